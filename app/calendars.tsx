export { CalendarsScreen as default } from '@/screens/calendars/CalendarsScreen';
export { ScreenTrouble as ErrorBoundary } from '@/screens/ScreenTrouble';

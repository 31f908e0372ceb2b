export { TodayScreen as default } from '@/screens/today/TodayScreen';
export { ScreenTrouble as ErrorBoundary } from '@/screens/ScreenTrouble';

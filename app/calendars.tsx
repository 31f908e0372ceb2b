export { CalendarsScreen as default } from '@/screens/calendars/CalendarsScreen';

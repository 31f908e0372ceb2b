export { DayPicker as default } from 'react-day-picker';

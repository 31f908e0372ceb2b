export { EventPageScreen as default } from '@/screens/page/EventPageScreen';

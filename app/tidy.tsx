export { TidyScreen as default } from '@/screens/tidy/TidyScreen';

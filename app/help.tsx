export { HelpScreen as default } from '@/screens/help/HelpScreen';

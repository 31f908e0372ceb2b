export { SmallScreen as default } from '@/screens/small/SmallScreen';

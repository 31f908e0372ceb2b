export { ImportScreen as default } from '@/screens/importing/ImportScreen';

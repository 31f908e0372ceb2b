export { PrintScreen as default } from '@/screens/print/PrintScreen';

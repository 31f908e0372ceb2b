export { ChangeScreen as default } from '@/screens/changing/ChangeScreen';

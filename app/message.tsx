export { MessageScreen as default } from '@/screens/message/MessageScreen';

export { RemovedScreen as default } from '@/screens/removed/RemovedScreen';

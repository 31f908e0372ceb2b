export { OutboxScreen as default } from '@/screens/outbox/OutboxScreen';

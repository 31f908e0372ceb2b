import { later } from '@/ui/later';

export const GuestNewsLater = later(() =>
  import('./GuestNewsPart').then(({ GuestNewsPart }) => GuestNewsPart),
);

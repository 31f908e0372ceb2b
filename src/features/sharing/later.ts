import { later } from '@/ui/later';

export const ShareLater = later(() =>
  import('./ShareDialog').then(({ ShareDialog }) => ShareDialog),
);

import { later } from '@/ui/later';

export const PreviewLater = later(() =>
  import('./PreviewCard').then(({ PreviewCard }) => PreviewCard),
);

import { later } from '@/ui/later';

export const CalendarLater = later(() =>
  import('./CalendarDialog').then(({ CalendarDialog }) => CalendarDialog),
);

export const FeedLater = later(() => import('./FeedDialog').then(({ FeedDialog }) => FeedDialog));

export const MergeLater = later(() =>
  import('./MergeDialog').then(({ MergeDialog }) => MergeDialog),
);

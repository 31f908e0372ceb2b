import { later } from '@/ui/later';

export const PlaceLater = later(() =>
  import('./PlaceDialog').then(({ PlaceDialog }) => PlaceDialog),
);

export const TaskLater = later(() => import('./TaskDialog').then(({ TaskDialog }) => TaskDialog));

import { later } from '@/ui/later';

export const OpeningsLater = later(() =>
  import('./asked').then(({ OpeningsDialog }) => OpeningsDialog),
);

export const OfferLater = later(() => import('./asked').then(({ OfferDialog }) => OfferDialog));

export const NewMeetingLater = later(() => import('./asked').then(({ NewMeeting }) => NewMeeting));

import { later } from '@/ui/later';

export const OpeningsLater = later(() =>
  import('./asked').then(({ OpeningsDialog }) => OpeningsDialog),
);

export const NewMeetingLater = later(() => import('./asked').then(({ NewMeeting }) => NewMeeting));

import { later } from '@/ui/later';

/** Brings the box here, so that what is typed right after its key is not lost on the way. */
export const loadCommandBox = () => import('./CommandBox').then(({ CommandBox }) => CommandBox);

export const CommandBoxLater = later(loadCommandBox);

import { later } from '@/ui/later';

export const TellLater = later(() => import('./TellDialog').then(({ TellDialog }) => TellDialog));

import { later } from '@/ui/later';

export const KeysLater = later(() => import('./KeysDialog').then(({ KeysDialog }) => KeysDialog));

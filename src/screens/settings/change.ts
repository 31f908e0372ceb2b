import type { Settings } from '@/core/model/others';

/** Changes settings as one change, called by the label. */
export type ChangeSettings = (fields: Partial<Settings>, label: string) => void;

/** Leaves a choice to the browser. */
export const AUTO = { value: null, label: 'As the browser' };

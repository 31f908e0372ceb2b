import type { Settings } from '@/core/model/others';
import type { Planner } from './plan';

/**
 * Sets some of the settings, from how they were seen (`before`); `label` says which, in the past
 * tense.
 */
export const setSettings: Planner<{
  before: Settings;
  fields: Partial<Settings>;
  label: string;
}> = (_, { before, fields, label }) => ({
  label,
  edits: [{ type: 'settings', before, after: { ...before, ...fields } }],
});

import type { Settings } from '@/core/model/others';
import type { Planner } from './plan';

/** Fields with parts of their own, each of which is set by itself. */
const IN_PARTS = ['reminding', 'workweek'] as const;

/** Of a field with parts those that were touched; the others are as they are by now. */
function partsAfter<T extends object>(before: T, wanted: T, current: T): T {
  const touched = Object.entries(wanted).filter(
    ([name, value]) => JSON.stringify(value) !== JSON.stringify(before[name as keyof T]),
  );
  return { ...current, ...Object.fromEntries(touched) };
}

/**
 * Sets some of the settings, from how they were seen (`before`); `label` says which, in the past
 * tense. Two that follow each other faster than the page hears of the first both hold.
 */
export const setSettings: Planner<{
  before: Settings;
  fields: Partial<Settings>;
  label: string;
}> = ({ records }, { before, fields, label }) => {
  const current = records.get('settings', 'mine') ?? before;
  const parts = IN_PARTS.flatMap((name) => {
    const wanted = fields[name];
    return wanted ? [[name, partsAfter<object>(before[name], wanted, current[name])]] : [];
  });
  const after = { ...current, ...fields, ...(Object.fromEntries(parts) as Partial<Settings>) };
  return { label, edits: [{ type: 'settings', before: current, after }] };
};

import type { TidyRule } from '@/core/model/tidyRule';
import type { Planner } from './plan';

/** Makes a rule (`before` null), or changes one. */
export const keepRule: Planner<{ before: TidyRule | null; rule: TidyRule }> = (
  _,
  { before, rule },
) => {
  const isSwitched = before !== null && before.isOn !== rule.isOn;
  const verb = !before
    ? 'Made'
    : isSwitched
      ? rule.isOn
        ? 'Switched on'
        : 'Switched off'
      : 'Changed';
  return {
    label: `${verb} the rule for ${rule.words}`,
    edits: [{ type: 'tidyRule', before, after: rule }],
  };
};

export const removeRule: Planner<{ id: string }> = ({ records }, { id }) => {
  const before = records.get('tidyRule', id);
  if (!before) return null;
  return {
    label: `Removed the rule for ${before.words}`,
    edits: [{ type: 'tidyRule', before, after: null }],
  };
};

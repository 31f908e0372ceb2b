import type { TidyRule } from '@/core/model/tidyRule';
import type { Edit } from '../change';
import type { Plan, Planner, Situation } from './plan';

/** What a rule does to events, and to which. */
export type RuleContent = Pick<TidyRule, 'words' | 'steps'>;

/** A change together with a rule that does the same to new events: one step of Undo. */
export function withRule(
  plan: Plan,
  rule: RuleContent | undefined,
  { newId, now }: Pick<Situation, 'newId' | 'now'>,
): Plan {
  if (!rule) return plan;
  const kept: Edit = {
    type: 'tidyRule',
    before: null,
    after: { ...rule, id: newId(), order: now, isOn: true },
  };
  return {
    ...plan,
    label: `${plan.label}, and made a rule for ${rule.words}`,
    edits: [...plan.edits, kept],
  };
}

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

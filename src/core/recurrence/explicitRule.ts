import { civilDate, dayOfWall, weekdayOf } from '../time/civil';
import type { Rule } from './rule';

/**
 * A rule with the parts that its first date implies written out (RFC 5545 §3.3.10: "Information, not
 * contained in the rule, … is derived from DTSTART"), so that it can begin on another of its dates.
 * `start` is that first date in wall ms.
 */
export function explicitRule(rule: Rule, start: number): Rule {
  const day = dayOfWall(start);
  const { month, day: ofMonth } = civilDate(day);
  const picksDays = rule.byDay.length + rule.byMonthDay.length + rule.byYearDay.length > 0;
  const weekday = [{ weekday: weekdayOf(day), nth: 0 }];
  switch (rule.frequency) {
    case 'WEEKLY':
      return rule.byDay.length ? rule : { ...rule, byDay: weekday };
    case 'MONTHLY':
      return picksDays || rule.byWeekNo.length ? rule : { ...rule, byMonthDay: [ofMonth] };
    case 'YEARLY':
      if (picksDays) return rule;
      if (rule.byWeekNo.length) return { ...rule, byDay: weekday };
      return {
        ...rule,
        byMonth: rule.byMonth.length ? rule.byMonth : [month],
        byMonthDay: [ofMonth],
      };
    default:
      return rule;
  }
}

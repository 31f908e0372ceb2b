import { HOUR, MINUTE } from '../time/civil';
import { evenStep } from './counting';
import { UNITS } from './generate';
import type { Rule } from './rule';

const coarserByStart = new WeakMap<Rule, Map<number, Rule>>();
const upTo = (n: number, from = 0) => Array.from({ length: n - from }, (_, i) => from + i);

/**
 * A rule in the coarsest terms that name the same dates: every hour, minute or second as days with
 * their times written out, and every day of some months as years. Fewer periods are gone through so.
 */
export function inCoarserTerms(rule: Rule, start: number): Rule {
  if (rule.interval > 1 || rule.bySetPos.length || evenStep(rule) !== null) return rule;
  if (rule.frequency !== 'DAILY' && !(rule.frequency in UNITS)) return rule;
  const ofHour = start - Math.floor(start / HOUR) * HOUR;
  let byStart = coarserByStart.get(rule);
  if (!byStart) coarserByStart.set(rule, (byStart = new Map()));
  let coarser = byStart.get(ofHour);
  if (!coarser) byStart.set(ofHour, (coarser = byTheYear(byTheDay(rule, ofHour))));
  return coarser;
}

function byTheDay(rule: Rule, ofHour: number): Rule {
  const { frequency } = rule;
  if (frequency === 'DAILY') return rule;
  const or = (given: number[], other: number[]) => (given.length ? given : other);
  const minute = frequency === 'HOURLY' ? [Math.floor(ofHour / MINUTE)] : upTo(60);
  const second = frequency === 'SECONDLY' ? upTo(60) : [Math.floor(ofHour / 1000) % 60];
  return {
    ...rule,
    frequency: 'DAILY',
    byHour: or(rule.byHour, upTo(24)),
    byMinute: or(rule.byMinute, minute),
    bySecond: or(rule.bySecond, second),
  };
}

function byTheYear(rule: Rule): Rule {
  const { byMonth, byMonthDay, byYearDay, byWeekNo, byDay } = rule;
  if (!byMonth.length && !byMonthDay.length && !byYearDay.length && !byWeekNo.length) return rule;
  const picksDays = byMonthDay.length + byYearDay.length + byDay.length > 0;
  return {
    ...rule,
    frequency: 'YEARLY',
    skip: 'OMIT',
    byMonthDay: picksDays ? byMonthDay : upTo(32, 1),
    // A daily rule knows no nth weekday.
    byDay: byDay.map(({ weekday }) => ({ weekday, nth: 0 })),
  };
}

import { civilDate, dayOfWall } from '../time/civil';
import { easterSunday } from '../time/easter';
import type { DayNumber } from '../time/units';
import { asDay, nextDate, todayOf } from './dates';
import type { JotContext, Rule } from './rule';
import { rule } from './rule';

/** Days of every year that have a name: month, day. */
const FIXED: Readonly<Record<string, readonly [month: number, day: number]>> = {
  "new year's day": [1, 1],
  'new years day': [1, 1],
  "new year's eve": [12, 31],
  'new years eve': [12, 31],
  'christmas eve': [12, 24],
  'christmas day': [12, 25],
  'boxing day': [12, 26],
};

/** Days that go by Easter: so many days from its Sunday. */
const BY_EASTER: Readonly<Record<string, number>> = {
  'maundy thursday': -3,
  'good friday': -2,
  'easter saturday': -1,
  'easter sunday': 0,
  'easter monday': 1,
  'ascension day': 39,
  'whit sunday': 49,
  'whit monday': 50,
};

/** The next day that lies so many days from an Easter Sunday. */
function nextByEaster(offset: number, today: DayNumber): DayNumber {
  const { year } = civilDate(today);
  const day = easterSunday(year) + offset;
  return day >= today ? day : easterSunday(year + 1) + offset;
}

const named = (name: string, next: (today: DayNumber) => DayNumber | null): Rule =>
  rule(`(?:on\\s+)?${name}`, 12, (_, context) => asDay(next(todayOf(context))));

/** Days that everybody calls by a name. */
export const FEAST_RULES: readonly Rule[] = [
  ...Object.entries(FIXED).map(([name, [month, day]]) =>
    named(name, (today) => nextDate(month, day, today)),
  ),
  ...Object.entries(BY_EASTER).map(([name, offset]) =>
    named(name.replace(' ', '\\s+'), (today) => nextByEaster(offset, today)),
  ),
];

/** Names that are as often part of a title; days only behind “until”, “except” and the like. */
export const FEAST_NAMES: readonly Rule[] = [
  named('(?:christmas|xmas)', (today) => nextDate(12, 25, today)),
  named('new\\s+year', (today) => nextDate(1, 1, today)),
  named('easter', (today) => nextByEaster(0, today)),
];

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** The next of the days that the person has given a name. */
export function namedDayRules({ namedDays, now }: Pick<JotContext, 'namedDays' | 'now'>): Rule[] {
  const next = new Map<string, number>();
  for (const { name, day } of namedDays) {
    const key = name.trim().toLowerCase().replace(/[’‘]/g, "'");
    const known = next.get(key);
    if (key && day >= dayOfWall(now) && (known === undefined || day < known)) next.set(key, day);
  }
  return [...next].map(([name, day]) => rule(`(?:on\\s+)?${escaped(name)}`, 12, () => asDay(day)));
}

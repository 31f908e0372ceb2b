import { readFileSync } from 'node:fs';
import path from 'node:path';
import { formatDate, parseDate } from '../time/civil';
import type { DayNumber } from '../time/units';
import { typedDay } from '../view/typedDate';
import { daysIn } from './daysIn';

/** Tuesday 24 November 2026, read day first. */
const context = { today: parseDate('2026-11-24'), firstWeekday: 0 as const, isMonthFirst: false };

/** "11-24" of the year of today, "27-01-05" of another one. */
const whole = (date: string) => (date.length === 5 ? `2026-${date}` : `20${date}`);
const days = (said: string) =>
  said
    .split('..')
    .map((date) => (date === '*' ? date : whole(date)))
    .join('..');

const rows = readFileSync(path.join(__dirname, 'testdata/days.txt'), 'utf8')
  .split('\n')
  .filter((line) => line.includes('|'))
  .map((line) => line.split('|') as [string, string, string]);

const written = (day: DayNumber | null | undefined) =>
  day === null || day === undefined ? '*' : formatDate(day);

function found(phrase: string): string {
  const [first] = daysIn(phrase, context);
  if (!first) return '';
  return first.from === first.to
    ? written(first.from)
    : `${written(first.from)}..${written(first.to)}`;
}

test.each(rows.filter(([, day]) => day))('“%s” is gone to on %s', (phrase, day) => {
  expect(written(typedDay(phrase, context))).toBe(whole(day));
});

test.each(rows.filter(([, , wanted]) => wanted))(
  '“%s” finds what is on its days (%#)',
  (phrase, _, wanted) => {
    expect(wanted.split(' or ').map(days)).toContain(found(phrase));
  },
);

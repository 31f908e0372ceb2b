import { EMPTY_FILTER } from '../model/filter';
import { formatDate, parseDate } from '../time/civil';
import { askedIn, meantFilter } from './meant';

/** Tuesday 24 November 2026. */
const context = { today: parseDate('2026-11-24'), firstWeekday: 0 as const, isMonthFirst: false };

const read = (text: string) => {
  const { words, days } = askedIn(text, context);
  const said = (day: number | null) => (day === null ? '*' : formatDate(day).slice(5));
  return days ? `${words} | ${said(days.from)}..${said(days.to)}` : words;
};

test.each([
  ['bench round next week', 'bench round | 11-30..12-06'],
  ['freight this week with Oskar', 'freight Oskar | 11-23..11-29'],
  ['last week freight', 'freight | 11-16..11-22'],
  ['lamp tomorrow', 'lamp | 11-25..11-25'],
  ['course december', 'course | 12-01..12-31'],
  ['lens in december', 'lens | 12-01..12-31'],
  ['invoices since october', 'invoices | 10-01..*'],
  ['calls from 1 to 12 december', 'calls | 12-01..12-12'],
  ['last 30 days', ' | 10-26..11-24'],
  ['next week', ' | 11-30..12-06'],
  ['Monday', ' | 11-30..11-30'],
  ['weekend', ' | 11-28..11-29'],
])('“%s” asks for %s', (text, asked) => expect(read(text)).toBe(asked));

test.each([
  'sun',
  'may',
  'black friday',
  'monday meeting',
  'sun hats',
  '12',
  'lens',
  '"next week"',
  '',
])('“%s” is words', (text) => expect(read(text)).toBe(text));

test('days are asked for beside words, unless the question says days or where words stand', () => {
  const filter = { ...EMPTY_FILTER, text: 'freight next week' };
  expect(meantFilter(filter, context)).toEqual({
    ...filter,
    text: 'freight',
    dates: { from: '2026-11-30', to: '2026-12-06', period: 'next week' },
  });
  for (const kept of [
    { ...filter, dates: { from: '2026-01-01', to: null } },
    { ...filter, textIn: ['title' as const] },
    { ...filter, not: ['words' as const] },
  ])
    expect(meantFilter(kept, context)).toBe(kept);
});

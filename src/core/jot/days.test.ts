import fc from 'fast-check';
import { writeRepeat } from '../recurrence/repeat';
import { civilDate, DAY, formatDate, formatLocal } from '../time/civil';
import type { DayNumber } from '../time/units';
import { readJot } from './jot';
import { TUESDAY } from './testing/context';

/** What a line says of when: days first to last, or times, and how it repeats. */
function whenOf(line: string): string {
  const { title, wholeDay, start, end, repeat } = readJot(line, TUESDAY);
  const { workdays } = TUESDAY;
  const rule = writeRepeat(repeat, { zone: 'Europe/London', wholeDay, workdays });
  const lastDay = formatDate(end / DAY - 1);
  const firstDay = formatDate(start / DAY);
  const when = wholeDay
    ? [...new Set([firstDay, lastDay])].join(' .. ')
    : `${formatLocal(start).slice(0, 16)} .. ${formatLocal(end).slice(0, 16)}`;
  return [title, when, rule].filter(Boolean).join(' | ');
}

// On Tuesday 24 November 2026, 10:25.
test.each([
  // Edges of periods.
  ['end of month invoice', 'invoice | 2026-11-30'],
  ['invoice by end of month', 'invoice | 2026-11-30'],
  ['End of month report fri 9', 'End of month report | 2026-11-27T09:00 .. 2026-11-27T09:30'],
  ['End of year party 18 dec', 'End of year party | 2026-12-18'],
  ['end of the week wrap-up', 'wrap-up | 2026-11-27'],
  ['end of next week wrap-up', 'wrap-up | 2026-12-04'],
  ['start of next month planning', 'planning | 2026-12-01'],
  ['planning at the start of the month', 'planning | 2026-12-01'],
  ['start of this week note', 'note | 2026-11-23'],
  ['middle of the week note', 'note | 2026-11-25'],
  ['middle of december stocktake', 'stocktake | 2026-12-15'],
  ['mid-december stocktake', 'stocktake | 2026-12-15'],
  ['end of february stocktake', 'stocktake | 2027-02-28'],
  ['end of february 2028 stocktake', 'stocktake | 2028-02-29'],
  ['end of the quarter VAT', 'VAT | 2026-12-31'],
  ['VAT at the end of next quarter', 'VAT | 2027-03-31'],
  ['review at the end of the year', 'review | 2026-12-31'],
  [
    'standup daily 9:15 until the end of the month',
    'standup | 2026-11-25T09:15 .. 2026-11-25T09:45 | FREQ=DAILY;UNTIL=20261130T235959Z',
  ],
  // Weeks by their number.
  ['cw 51 planning', 'planning | 2026-12-14 .. 2026-12-20'],
  ['mon cw 51 planning', 'planning | 2026-12-14'],
  ['planning in week 2', 'planning | 2027-01-11 .. 2027-01-17'],
  ['planning in week 53', 'planning | 2026-12-28 .. 2027-01-03'],
  ['sprint week 2 planning', 'sprint week 2 planning | 2026-11-24'],
  // So many weeks from a day.
  ['in a fortnight audit', 'audit | 2026-12-08'],
  ['audit a fortnight tomorrow', 'audit | 2026-12-09'],
  ['two weeks tomorrow check', 'check | 2026-12-09'],
  ['check a week today', 'check | 2026-12-01'],
  ['two weeks on friday check', 'check | 2026-12-11'],
  ['leave for two weeks on friday', 'leave | 2026-11-27 .. 2026-12-10'],
  ['leave for 2 weeks from monday', 'leave | 2026-11-30 .. 2026-12-13'],
  ['course 2 days from 3 Dec', 'course | 2026-12-03 .. 2026-12-04'],
  ['check 2 weeks from monday', 'check | 2026-12-14'],
  // Days between days.
  ['holiday mon to fri next week', 'holiday | 2026-11-30 .. 2026-12-04'],
  ['training next week tue-thu', 'training | 2026-12-01 .. 2026-12-03'],
  ['tomorrow to friday fair', 'fair | 2026-11-25 .. 2026-11-27'],
  ['leave from tomorrow until monday', 'leave | 2026-11-25 .. 2026-11-30'],
  ["christmas eve to new year's day closed", 'closed | 2026-12-24 .. 2027-01-01'],
  ['dec 24 - 26, 2026 closed', 'closed | 2026-12-24 .. 2026-12-26'],
  ['24.-26.12. closed', 'closed | 2026-12-24 .. 2026-12-26'],
  ['dec 24 - jan 3 2027 closed', 'closed | 2026-12-24 .. 2027-01-03'],
  ['24 dec 2026 to 3 jan closed', 'closed | 2026-12-24 .. 2027-01-03'],
  ['leave 20 nov - 3 jan', 'leave | 2026-11-20 .. 2027-01-03'],
  ['2026-12-24/2026-12-26 closed', 'closed | 2026-12-24 .. 2026-12-26'],
  ['dec 24 9-11 review', 'review | 2026-12-24T09:00 .. 2026-12-24T11:00'],
  [
    'standup daily 9:15 tomorrow until friday',
    'standup | 2026-11-25T09:15 .. 2026-11-25T09:45 | FREQ=DAILY;UNTIL=20261127T235959Z',
  ],
  ['offsite Mon 7 to Wed 9 Dec', 'offsite | 2026-12-07 .. 2026-12-09'],
  ['fair Mon 7 – Wed 9 December 2026', 'fair | 2026-12-07 .. 2026-12-09'],
  ['fair from the 7th to the 9th', 'fair | 2026-12-07 .. 2026-12-09'],
  ['next Mon–Wed training', 'training | 2026-11-30 .. 2026-12-02'],
  ['meet 15 dec 3-4', 'meet | 2026-12-15T15:00 .. 2026-12-15T16:00'],
  ['away between 1 and 14 august', 'away | 2027-08-01 .. 2027-08-14'],
  ['away between 28 jul and 14 august', 'away | 2027-07-28 .. 2027-08-14'],
  ['1-14/8 away', 'away | 2027-08-01 .. 2027-08-14'],
  // The nth, and the one after.
  ['meet 15th 3pm', 'meet | 2026-12-15T15:00 .. 2026-12-15T15:30'],
  ['meet the 15th', 'meet | 2026-12-15'],
  ['read the 2nd draft', 'read the 2nd draft | 2026-11-24'],
  ['meet the friday after next', 'meet | 2026-12-04'],
  ['meet the week after next', 'meet | 2026-12-07 .. 2026-12-11'],
  ['meet a month today', 'meet | 2026-12-24'],
  ['leave fri pm', 'leave | 2026-11-27T14:00 .. 2026-11-27T14:30'],
  // One of its kind in a month.
  ['board second Thursday in December', 'board | 2026-12-10'],
  ['board on the last Friday of November', 'board | 2026-11-27'],
  ['board first Monday of next month', 'board | 2026-12-07'],
  ['board first Monday in January', 'board | 2027-01-04'],
  ['training Friday (all day)', 'training | 2026-11-27'],
  // Feasts.
  ['easter monday closed', 'closed | 2027-03-29'],
  ['good friday closed', 'closed | 2027-03-26'],
  ['easter sunday to easter monday away', 'away | 2027-03-28 .. 2027-03-29'],
  // Every month, quarter, weekend.
  ['rent first of every month', 'rent | 2026-12-01 | FREQ=MONTHLY;BYMONTHDAY=1'],
  ['rent on the first day of each month', 'rent | 2026-12-01 | FREQ=MONTHLY;BYMONTHDAY=1'],
  ['invoice end of every month', 'invoice | 2026-11-30 | FREQ=MONTHLY;BYMONTHDAY=-1'],
  ['invoice start of each month', 'invoice | 2026-12-01 | FREQ=MONTHLY;BYMONTHDAY=1'],
  [
    'review first monday of the quarter',
    'review | 2027-01-04 | FREQ=MONTHLY;BYMONTH=1,4,7,10;BYDAY=MO;BYSETPOS=1',
  ],
  [
    'accounts last working day of every quarter',
    'accounts | 2026-12-31 | FREQ=MONTHLY;BYMONTH=3,6,9,12;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1',
  ],
  [
    'VAT last day of each quarter',
    'VAT | 2026-12-31 | FREQ=MONTHLY;BYMONTH=3,6,9,12;BYDAY=MO,TU,WE,TH,FR,SA,SU;BYSETPOS=-1',
  ],
  ['pay day every 25th', 'pay day | 2026-11-25 | FREQ=MONTHLY;BYMONTHDAY=25'],
  ['letter every last Thursday', 'letter | 2026-11-26 | FREQ=MONTHLY;BYDAY=-1TH'],
  ['letter every second Thursday', 'letter | 2026-11-26 | FREQ=WEEKLY;INTERVAL=2;BYDAY=TH'],
  [
    'fair every last Saturday in May',
    'fair | 2027-05-29 | FREQ=MONTHLY;BYMONTH=5;BYDAY=SA;BYSETPOS=-1',
  ],
  ['retro bi-weekly on thursdays', 'retro | 2026-11-26 | FREQ=WEEKLY;INTERVAL=2;BYDAY=TH'],
  [
    'retro every two weeks starting next thursday',
    'retro | 2026-12-03 | FREQ=WEEKLY;INTERVAL=2;BYDAY=TH',
  ],
  ['lunch first fri of month', 'lunch | 2026-12-04 | FREQ=MONTHLY;BYDAY=1FR'],
  [
    'invoice every quarter on the first working day',
    'invoice | 2027-01-01 | FREQ=MONTHLY;BYMONTH=1,4,7,10;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=1',
  ],
  [
    'fair second saturday of june every year',
    'fair | 2027-06-12 | FREQ=MONTHLY;BYMONTH=6;BYDAY=SA;BYSETPOS=2',
  ],
  [
    'fair yearly on the last sunday in may',
    'fair | 2027-05-30 | FREQ=MONTHLY;BYMONTH=5;BYDAY=SU;BYSETPOS=-1',
  ],
  [
    'standup every monday 7 dec - 21 dec',
    'standup | 2026-12-07 | FREQ=WEEKLY;BYDAY=MO;UNTIL=20261221',
  ],
  [
    'closed 24-26 dec every year',
    'closed | 2026-12-24 .. 2026-12-26 | FREQ=YEARLY;BYMONTH=12;BYMONTHDAY=24',
  ],
  ['standup every morning', 'standup | 2026-11-25T09:00 .. 2026-11-25T09:30 | FREQ=DAILY'],
  ['yoga tuesday evenings 6', 'yoga | 2026-11-24T18:00 .. 2026-11-24T18:30 | FREQ=WEEKLY;BYDAY=TU'],
  ['run at weekends', 'run | 2026-11-28 | FREQ=WEEKLY;BYDAY=SA,SU'],
])('%s', (line, when) => expect(whenOf(line)).toBe(when));

const TODAY = TUESDAY.now / DAY;
const MONTHS =
  'January February March April May June July August September October November December'.split(
    ' ',
  );
const two = (number: number) => String(number).padStart(2, '0');

/** Ways to write a date that say no year, and that say one. */
const SPELLINGS: readonly ((day: DayNumber) => string)[] = [
  (day) => `${civilDate(day).day} ${MONTHS[civilDate(day).month - 1]}`,
  (day) => `${civilDate(day).day} ${MONTHS[civilDate(day).month - 1]!.slice(0, 3)}`,
  (day) => `the ${civilDate(day).day}. of ${MONTHS[civilDate(day).month - 1]}`,
  (day) => `${MONTHS[civilDate(day).month - 1]!.slice(0, 3)} ${civilDate(day).day}`,
  (day) => `${civilDate(day).day}/${civilDate(day).month}`,
  (day) => `${civilDate(day).day}.${civilDate(day).month}.`,
  (day) => `${civilDate(day).day}/${civilDate(day).month}/${civilDate(day).year}`,
  (day) => `${two(civilDate(day).day)}.${two(civilDate(day).month)}.${civilDate(day).year}`,
  (day) => `${civilDate(day).day} ${MONTHS[civilDate(day).month - 1]} ${civilDate(day).year}`,
  formatDate,
];

test('all days from a date to another, however they are written and joined', () => {
  const spelling = fc.constantFrom(...SPELLINGS);
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 200 }),
      fc.integer({ min: 1, max: 150 }),
      spelling,
      spelling,
      fc.constantFrom(' - ', ' – ', ' to ', ' until ', ' through '),
      fc.boolean(),
      (ahead, days, one, other, joint, isBehind) => {
        const first = Math.floor(TODAY) + ahead;
        const dates = one(first) + joint + other(first + days);
        // That is no date.
        fc.pre(!/(?<!\d)24\/7(?!\d|\/)/.test(dates));
        const line = isBehind ? `Closed ${dates}` : `${dates} closed`;
        const { title, wholeDay, start, end } = readJot(line, TUESDAY);
        expect([line, title.toLowerCase(), wholeDay, start / DAY, end / DAY - 1]).toEqual([
          ...[line, 'closed', true, first, first + days],
        ]);
      },
    ),
    { numRuns: 400 },
  );
});

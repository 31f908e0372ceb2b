import { PLAIN } from '../testing/occurrences';
import type { Occurrence } from '../agenda/occurrence';
import { DEFAULT_SETTINGS } from '../model/others';
import { DAY, HOUR, parseDate } from '../time/civil';
import type { PlannedSpan } from './consequences';
import { consequencesOf, hoursProblem } from './consequences';

const TUESDAY = parseDate('2026-11-24') * DAY;
const { workweek } = DEFAULT_SETTINGS;
const hours = workweek.days[1]!.hours!;
const span = (from: number, to: number, more = {}): PlannedSpan => ({
  start: TUESDAY + from,
  end: TUESDAY + to,
  startMs: TUESDAY + from,
  endMs: TUESDAY + to,
  wholeDay: false,
  isBooked: true,
  ...more,
});
const MIN = 60_000;
const work = span(hours.from * MIN, hours.to * MIN);

test('hours of work are within them to the minute', () => {
  expect(hoursProblem(work, workweek)).toBeNull();
  expect(hoursProblem({ ...work, start: work.start - MIN }, workweek)).toBe(
    'Outside working hours',
  );
  expect(hoursProblem({ ...work, end: work.end + MIN }, workweek)).toBe('Outside working hours');
  expect(hoursProblem({ ...work, wholeDay: true, end: TUESDAY + DAY }, workweek)).toBeNull();
  const sunday = { ...work, start: work.start + 5 * DAY, end: work.end + 5 * DAY };
  expect(hoursProblem(sunday, workweek)).toBe('On a day off');
});

const other = (id: string, more: Partial<Occurrence> = {}): Occurrence =>
  ({
    id,
    eventId: id,
    title: id,
    wholeDay: false,
    availability: 'busy',
    visibility: 'public',
    ...PLAIN,
    start: TUESDAY + 10 * HOUR,
    end: TUESDAY + 11 * HOUR,
    startMs: TUESDAY + 10 * HOUR,
    endMs: TUESDAY + 11 * HOUR,
    ...more,
  }) as Occurrence;
const meets = (around: Occurrence[], at = span(10 * HOUR, 11 * HOUR), own: string | null = null) =>
  consequencesOf(at, around, own, workweek);

test('the way there and back takes time too, of what is there and of what is planned', () => {
  const after = span(11 * HOUR, 12 * HOUR);
  expect(meets([other('Call', { travelAfter: 15 })], after)).toEqual(['Overlaps “Call”']);
  expect(meets([other('Call')], { ...after, travelBefore: 15 })).toEqual(['Overlaps “Call”']);
  expect(meets([other('Call', { travelBefore: 15 })], { ...after, travelAfter: 15 })).toEqual([]);
});

test('what it overlaps is named, the first of several', () => {
  expect(meets([other('Call')])).toEqual(['Overlaps “Call”']);
  expect(meets([other('Call'), other('Round')])).toEqual(['Overlaps “Call” and 1 more']);
  expect(meets([other('Call')], span(11 * HOUR, 12 * HOUR))).toEqual([]);
  expect(meets([other('Call')], undefined, 'Call')).toEqual([]);
  expect(meets([other('Call')], span(10 * HOUR, 11 * HOUR, { isBooked: false }))).toEqual([]);
});

test('a whole day that is busy or away is in the way, a free or tentative one is not', () => {
  const day = { wholeDay: true, start: TUESDAY, end: TUESDAY + DAY } as const;
  const whole = (availability: Occurrence['availability'], more = {}) =>
    meets([other('Fair', { ...day, availability, ...more })], undefined, 'Own');
  expect(whole('busy')).toContain('“Fair” lasts all that day');
  expect(whole('away')).toContain('“Fair” lasts all that day');
  expect(whole('free')).toEqual([]);
  expect(whole('tentative').filter((said) => said.includes('all that day'))).toEqual([]);
  expect(whole('busy', { eventId: 'Own' })).toEqual([]);
  expect(whole('away', { start: TUESDAY + DAY, end: TUESDAY + 2 * DAY })).toEqual([]);
});

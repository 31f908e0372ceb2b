import fc from 'fast-check';
import { at, timed, TODAY, wholeDays } from '../testing/occurrences';
import { DAY, MINUTE } from '../time/civil';
import { agendaDays } from './agendaDays';
import { bookedMinutes } from './booked';
import { clearStretches, clearMinutes } from './clear';
import { dayLoads } from './dayLoads';
import { spanLoad } from './spanLoad';
import { groupOccurrences, minutesWithin, totalsOf } from './table';

const HOURS = { from: at(9), to: at(17) };

test('clear time is what booked events leave of the working hours', () => {
  const clear = clearStretches(
    TODAY,
    [
      timed('Call', TODAY, at(8), at(10)),
      timed('Maybe', TODAY, at(11), at(12), { availability: 'tentative' }),
      timed('Tea', TODAY, at(14), at(15), { availability: 'free' }),
    ],
    HOURS,
  );
  expect(clearMinutes(clear, 'UTC')).toBe(60 + 300);
  expect(clearStretches(TODAY, [], null)).toEqual([]);
});

test('the way there and back is not clear', () => {
  const visit = timed('Visit', TODAY, at(10), at(11), { travelBefore: 30, travelAfter: 15 });
  const early = timed('Early', TODAY, at(8), at(8, 50), { travelAfter: 20 });
  const clear = clearStretches(TODAY, [early, visit], HOURS);
  expect(clear.map(({ start, end }) => [start - TODAY * DAY, end - TODAY * DAY])).toEqual([
    [at(9, 10) * MINUTE, at(9, 30) * MINUTE],
    [at(11, 15) * MINUTE, at(17) * MINUTE],
  ]);
});

test('a day that is taken whole has no clear time; a free whole day takes none', () => {
  const ask = (availability: 'busy' | 'away' | 'free' | 'tentative') =>
    clearMinutes(
      clearStretches(TODAY, [wholeDays('Day', TODAY, 1, { availability })], HOURS),
      'UTC',
    );
  expect([ask('busy'), ask('away'), ask('free'), ask('tentative')]).toEqual([0, 0, 480, 480]);
});

test('booked and clear time of the working hours make up the hours', () => {
  const some = fc.array(
    fc.tuple(fc.integer({ min: at(9), max: at(16) }), fc.integer({ min: 1, max: 60 })),
    { maxLength: 12 },
  );
  fc.assert(
    fc.property(some, (spans) => {
      const events = spans.map(([from, length], i) => timed(`e${i}`, TODAY, from, from + length));
      const booked = bookedMinutes(events, TODAY, TODAY + 1, 'UTC')[0]!;
      expect(booked + clearMinutes(clearStretches(TODAY, events, HOURS), 'UTC')).toBe(480);
    }),
  );
});

test('the agenda has only days with events, whole days first, and clear time that is worth saying', () => {
  const days = agendaDays(
    [
      wholeDays('Away', TODAY, 2, { availability: 'free' }),
      timed('Call', TODAY, at(9, 15), at(12)),
      timed('Late', TODAY + 4, at(16, 45), at(18)),
    ],
    TODAY,
    TODAY + 10,
    () => HOURS,
  );
  expect(days.map(({ day }) => day - TODAY)).toEqual([0, 1, 4]);
  expect(
    days[0]!.lines.map((line) => (line.kind === 'event' ? line.occurrence.title : 'clear')),
  ).toEqual(['Away', 'Call', 'clear']);
  expect(days[2]!.lines.map(({ kind }) => kind)).toEqual(['clear', 'event']);
});

test('an event of several days is on each of them within the window, and no other', () => {
  const days = agendaDays([wholeDays('Refit', TODAY - 3, 6)], TODAY, TODAY + 2, () => null);
  expect(days.map(({ day }) => day - TODAY)).toEqual([0, 1]);
});

test('days are told with their hours, their events and whether they are taken', () => {
  const loads = dayLoads(
    [timed('Night', TODAY, at(22), at(26)), wholeDays('Away', TODAY + 1, 1)],
    TODAY,
    TODAY + 3,
    'UTC',
  );
  expect(loads).toEqual({
    booked: [120, 120, 0],
    events: [1, 2, 0],
    isTaken: [false, true, false],
  });
});

const week = [
  timed('Bench', TODAY, at(9), at(11)),
  timed('Call', TODAY, at(10), at(11), { calendarId: 'clients', categoryIds: ['lamps'] }),
  timed('Tea', TODAY + 1, at(15), at(16), { availability: 'free', place: 'Hall' }),
  wholeDays('Away', TODAY + 2, 1),
];

test('totals count each event for itself, free and whole-day ones with no hours', () => {
  expect(totalsOf(week, TODAY, TODAY + 7)).toEqual({ events: 4, minutes: 180 });
  expect(minutesWithin(timed('Night', TODAY, at(22), at(26)), TODAY, TODAY + 1)).toBe(120);
});

test.each(['none', 'day', 'calendar', 'category', 'place'] as const)(
  'groups by %s hold every event once, and their totals add up',
  (by) => {
    const groups = groupOccurrences(week, by, TODAY, TODAY + 7);
    expect(groups.flatMap(({ occurrences }) => occurrences)).toHaveLength(week.length);
    const minutes = groups.reduce((sum, { totals }) => sum + totals.minutes, 0);
    expect(minutes).toBe(totalsOf(week, TODAY, TODAY + 7).minutes);
  },
);

test('an event from before the table belongs to its first day', () => {
  const groups = groupOccurrences([wholeDays('Refit', TODAY - 3, 6)], 'day', TODAY, TODAY + 2);
  expect(groups[0]!.key).toBe(String(TODAY));
});

test('the load of a span agrees with the table, by days in short ones and by weeks in long ones', () => {
  const setting = {
    fromDay: TODAY - 1,
    firstWeekday: 0 as const,
    zone: 'UTC',
    hoursOf: () => HOURS,
  };
  const short = spanLoad(week, { ...setting, toDay: TODAY + 6, by: 'calendar' });
  expect([short.step, short.parts.length]).toEqual([1, 7]);
  expect(short.total).toBe(totalsOf(week, TODAY - 1, TODAY + 6).minutes);
  expect(short.byKey).toEqual([
    { key: 'workshop', minutes: 120 },
    { key: 'clients', minutes: 60 },
  ]);
  // Five days of eight hours, one with two of them booked, and one that is taken whole.
  expect(short.clear).toBe(6 * 480 - 120);
  const long = spanLoad(week, { ...setting, toDay: TODAY + 27, by: 'category' });
  expect([long.step, long.parts.length]).toEqual([7, 4]);
  expect(long.byKey.map(({ key }) => key)).toEqual(['', 'lamps']);
});

import { DAY, HOUR, parseDate } from '../time/civil';
import { sheetClock } from '../time/sheetClock';
import type { ForeseenDate } from './foresight';
import { foresightOf, foresightWords } from './foresight';
import { saySpan } from '../time/words';
import { homeTimes, ownTimes } from './bothTimes';
import { formOf, eventFromForm, spanOn, timesProblem } from './form';
import { repeatOf, withRepeat } from './repeating';
import { newEvent } from '../model/event';
import { DEFAULT_SETTINGS } from '../model/others';

const LONDON = 'Europe/London';
const wording = { locale: 'en-GB', hourCycle: '24' } as const;
const zoned = (local: string, zone: string) => ({ kind: 'zoned', local, zone }) as const;
const workdays = [0, 1, 2, 3, 4] as const;

const flight = newEvent(
  {
    id: 'flight',
    calendarId: 'c',
    start: zoned('2026-11-28T13:00:00', LONDON),
    end: zoned('2026-11-28T12:00:00', 'America/Halifax'),
  },
  1,
);

test('own times are told where they differ from the clock shown, with their day when it is another', () => {
  const own = (start: string, end: string, zone: string, clock = LONDON) =>
    ownTimes({ start: zoned(start, zone), end: zoned(end, zone) }, clock, wording);
  expect(own('2026-11-24T09:00:00', '2026-11-24T10:00:00', LONDON)).toBeNull();
  expect(own('2026-11-24T18:45:00', '2026-11-24T19:30:00', 'Asia/Tokyo')).toBe(
    '18:45 – 19:30 in Tokyo',
  );
  expect(own('2026-11-25T08:00:00', '2026-11-25T09:00:00', 'Asia/Tokyo')).toMatch(
    /^Wed,? 25 Nov, 08:00 – 09:00 in Tokyo$/,
  );
  expect(ownTimes(flight, LONDON, wording)).toBe('13:00 in London – 12:00 in Halifax');
  const date = { kind: 'date', date: '2026-11-24' } as const;
  expect(ownTimes({ start: date, end: date }, LONDON, wording)).toBeNull();
});

test('home’s times are told to those who look from elsewhere', () => {
  const nine = parseDate('2026-12-16') * DAY + 9 * HOUR;
  const span = { start: nine, end: nine + HOUR, wholeDay: false };
  const away = sheetClock(LONDON, [
    { from: '2026-12-15', to: '2026-12-17', zone: 'America/Halifax' },
  ]);
  expect(homeTimes(span, LONDON, LONDON, wording)).toBeNull();
  expect(homeTimes(span, away, LONDON, wording)).toBe('13:00 – 14:00 in London');
  expect(homeTimes({ ...span, wholeDay: true }, away, LONDON, wording)).toBeNull();
  expect(homeTimes({ ...span, start: nine - 5 * HOUR }, 'Asia/Tokyo', LONDON, wording)).toMatch(
    /^Tue,? 15 Dec, 19:00/,
  );
});

test('a form holds two zones, and its times are judged by the instants that they mean', () => {
  const form = formOf(flight, { startMinute: 540, length: 30, zone: LONDON });
  expect(form).toMatchObject({ zone: LONDON, endZone: 'America/Halifax', endMinute: 720 });
  expect(timesProblem(form)).toBeNull();
  expect(timesProblem({ ...form, endMinute: 8 * 60 })).toBe('The end is before the start.');
  expect(eventFromForm(form, flight)).toEqual(flight);
  const { start, end } = spanOn(form, 'Asia/Tokyo');
  expect([(end - start) / HOUR, (start / HOUR) % 24]).toEqual([3, 22]);
});

test('a repeat begins on the first day that it has, and comes back as it was chosen', () => {
  const call = newEvent(
    {
      id: 'call',
      calendarId: 'c',
      start: zoned('2026-11-24T09:00:00', LONDON),
      end: zoned('2026-11-24T10:00:00', LONDON),
    },
    1,
  );
  const repeat = {
    pattern: { kind: 'weekly', interval: 2, weekdays: [4], weekStart: 0 },
    end: { kind: 'after', count: 3 },
  } as const;
  const series = withRepeat(
    call,
    { ...repeat, pattern: { ...repeat.pattern, weekdays: [4] } },
    workdays,
  );
  expect(series).toMatchObject({
    rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=FR;COUNT=3',
    start: { local: '2026-11-27T09:00:00' },
  });
  expect(repeatOf(series, workdays)).toEqual(repeat);
  expect(
    withRepeat(series, { pattern: { kind: 'none' }, end: { kind: 'never' } }, workdays).rule,
  ).toBeUndefined();
});

test('the next dates are summed up by what they meet', () => {
  const span = {
    start: 9 * HOUR,
    end: 10 * HOUR,
    startMs: 9 * HOUR,
    endMs: 10 * HOUR,
    wholeDay: false,
    isBooked: true,
  };
  // 1 January 1970 was a Thursday.
  const clear = foresightOf(span, [], new Set(), DEFAULT_SETTINGS.workweek);
  expect(clear).toMatchObject({ clashes: [], closure: null, hours: null });
  const away = {
    eventId: 'a',
    calendarId: 'leave',
    title: 'Leave',
    wholeDay: true,
    start: 0,
    end: 24 * HOUR,
  };
  const met = (availability: string) =>
    foresightOf(span, [{ ...away, availability } as never], new Set(), DEFAULT_SETTINGS.workweek);
  expect([met('away').clashes, met('busy').clashes, met('free').clashes]).toEqual([
    ['Leave'],
    ['Leave'],
    [],
  ]);
  const late = foresightOf(
    { ...span, start: 20 * HOUR, end: 21 * HOUR },
    [],
    new Set(),
    DEFAULT_SETTINGS.workweek,
  );
  const dates: ForeseenDate[] = [
    clear,
    late,
    { ...clear, clashes: ['Call'] },
    { ...clear, clashes: ['Visit'], closure: 'Shut' },
  ];
  expect(foresightWords(dates)).toEqual([
    '2 of the next 4 dates clash',
    '1 of the next 4 dates falls on a closure',
    '1 of the next 4 dates is outside working hours',
  ]);
  expect(foresightWords([clear])).toEqual([]);
});

test('a span says whose clock it is on where that is not home’s, and both where it ends on another', () => {
  const clock = sheetClock(LONDON, [
    { from: '2026-12-01', to: '2026-12-03', zone: 'Europe/Lisbon' },
  ]);
  const away = { ...wording, clocks: { sheet: clock, home: LONDON } };
  const on = (day: string, hours = 1, wholeDay = false) => {
    const start = parseDate(day) * DAY + (wholeDay ? 0 : 9 * HOUR);
    return saySpan({ start, end: start + hours * HOUR, wholeDay }, away);
  };
  expect(on('2026-11-30')).toBe('Mon 30 Nov, 09:00 – 10:00');
  expect(on('2026-12-01')).toBe('Tue 1 Dec, 09:00 – 10:00 in Lisbon');
  expect(on('2026-12-03')).toBe('Thu 3 Dec, 09:00 – 10:00 in Lisbon');
  expect(on('2026-12-04')).toBe('Fri 4 Dec, 09:00 – 10:00');
  expect(on('2026-12-01', 24, true)).toBe('Tue 1 Dec');
  expect(on('2026-12-01', 25)).toBe('Tue 1 Dec, 09:00 – Wed 2 Dec, 10:00 in Lisbon');
  expect(on('2026-11-30', 25)).toBe('Mon 30 Nov, 09:00 – Tue 1 Dec, 10:00 in Lisbon');
  expect(on('2026-12-03', 25)).toBe('Thu 3 Dec, 09:00 in Lisbon – Fri 4 Dec, 10:00');
});

import fc from 'fast-check';
import { EventIndex } from '../agenda/eventIndex';
import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import { DAY, formatLocal, HOUR, MINUTE, parseDate, parseLocal } from '../time/civil';
import { instantFromWall } from '../time/zones';
import { againChoices } from './again';
import { DEFAULT_SETTINGS } from '../model/others';
import { remindersDue, remindersOfDate, Schedule } from './schedule';
import { beginning, MOST_WAITING, putOff, shownAt, told, without } from './telling';

const RUNS = Number(process.env['PROPERTY_RUNS'] ?? 100);
const LONDON = 'Europe/London';
const START = parseLocal('2027-03-20T00:00:00');
const ALL = { zone: LONDON, calendarIds: new Set(['c']) };
const at = (local: string) => instantFromWall(parseLocal(local), LONDON);

function event(fields: Partial<CalendarEvent>): CalendarEvent {
  const zoned = (wall: number) =>
    ({ kind: 'zoned', local: formatLocal(wall), zone: LONDON }) as const;
  const times = { start: zoned(START + 9 * HOUR), end: zoned(START + 10 * HOUR) };
  return newEvent({ id: 'e', calendarId: 'c', title: 'Lamp check', ...times, ...fields }, 0);
}
const before = (minutes: number) => ({ minutes: -minutes, from: 'start' as const });

function dues(one: CalendarEvent, from: string, to: string) {
  const schedule = new Schedule();
  schedule.put(one);
  return schedule.between(at(from), at(to), ALL).map(({ at: due }) => due);
}

describe('when a reminder is due', () => {
  const zoned = (local: string) => ({ kind: 'zoned', local, zone: LONDON }) as const;

  test('minutes pass exactly, days follow the clock, also when it changes', () => {
    // The clock of London goes on an hour on 28 March 2027 at 01:00.
    const one = event({
      start: zoned('2027-03-28T09:00:00'),
      end: zoned('2027-03-28T10:00:00'),
      reminders: [before(10), before(9 * 60), before(1440), { minutes: 15, from: 'end' }],
    });
    expect(dues(one, '2027-03-01T00:00:00', '2027-04-01T00:00:00')).toEqual([
      at('2027-03-27T09:00:00'),
      // Nine hours before 09:00, of which the night has one less.
      at('2027-03-27T23:00:00'),
      at('2027-03-28T08:50:00'),
      at('2027-03-28T10:15:00'),
    ]);
  });

  test('a whole day is reminded of at a time of day', () => {
    const date = (day: string) => ({ kind: 'date', date: day }) as const;
    const one = event({
      start: date('2027-03-29'),
      end: date('2027-03-30'),
      reminders: [before(8 * 60), { minutes: 9 * 60, from: 'start' }, before(1440 - 9 * 60 + 1440)],
    });
    expect(dues(one, '2027-03-01T00:00:00', '2027-04-01T00:00:00')).toEqual([
      at('2027-03-27T09:00:00'),
      at('2027-03-28T16:00:00'),
      at('2027-03-29T09:00:00'),
    ]);
  });

  test('a date has its own reminders, or those of a change that reaches it', () => {
    const series = event({
      rule: 'FREQ=DAILY;COUNT=5',
      reminders: [before(5)],
      changedDates: {
        '2027-03-21T09:00:00': { reminders: [] },
        '2027-03-22T09:00:00': { reminders: [before(30)], andLater: true },
        '2027-03-24T09:00:00': { title: 'Late lamp check' },
      },
    });
    const minutesOn = (day: string) =>
      remindersOfDate(series, `2027-03-${day}T09:00:00`).map(({ minutes }) => minutes);
    expect(['20', '21', '22', '23', '24'].map(minutesOn)).toEqual([[-5], [], [-30], [-30], [-5]]);
  });

  test('what is removed, on no such calendar or without reminders is not due', () => {
    const schedule = new Schedule();
    const one = event({ reminders: [before(5)] });
    const window = [at('2027-03-20T00:00:00'), at('2027-03-21T00:00:00')] as const;
    schedule.put(one);
    expect(schedule.between(...window, ALL)).toHaveLength(1);
    expect(schedule.between(...window, { ...ALL, calendarIds: new Set() })).toEqual([]);
    schedule.put({ ...one, removedAt: 1 });
    expect(schedule.between(...window, ALL)).toEqual([]);
    schedule.put(one);
    schedule.put({ ...one, reminders: [] });
    expect(schedule.between(...window, ALL)).toEqual([]);
  });
});

const someEvent = fc.record({
  minute: fc.integer({ min: 0, max: 20 * 1440 }),
  length: fc.integer({ min: 0, max: 3 * 60 }),
  days: fc.integer({ min: 0, max: 2 }),
  rule: fc.constantFrom(
    undefined,
    undefined,
    'FREQ=DAILY;COUNT=5',
    'FREQ=WEEKLY',
    'FREQ=DAILY;INTERVAL=3',
  ),
  reminders: fc.array(
    fc.record({
      minutes: fc.integer({ min: -5 * 1440, max: 600 }),
      from: fc.constantFrom('start' as const, 'end' as const),
    }),
    { maxLength: 3 },
  ),
});

test('however the app is opened and closed, each reminder is told once, and none else', () => {
  const steps = fc.array(fc.integer({ min: 1, max: 2000 }), { minLength: 1, maxLength: 25 });
  fc.assert(
    fc.property(fc.array(someEvent, { maxLength: 8 }), steps, (drafts, leaps) => {
      const schedule = new Schedule();
      const everything = new EventIndex();
      const events = new Map<string, CalendarEvent>();
      for (const [i, { minute, length, days, rule, reminders }] of drafts.entries()) {
        const start = START + minute * MINUTE;
        const times = days
          ? {
              start: { kind: 'date' as const, date: formatLocal(start).slice(0, 10) },
              end: { kind: 'date' as const, date: formatLocal(start + days * DAY).slice(0, 10) },
            }
          : {
              start: { kind: 'zoned' as const, local: formatLocal(start), zone: LONDON },
              end: {
                kind: 'zoned' as const,
                local: formatLocal(start + length * MINUTE),
                zone: LONDON,
              },
            };
        const one = event({ id: `e${i}`, ...times, rule, reminders });
        events.set(one.id, one);
        schedule.put(one);
        everything.put(one);
      }
      const begin = instantFromWall(START, LONDON);
      let now = begin;
      let standing = beginning(begin);
      const heard: string[] = [];
      for (const leap of leaps) {
        now += leap * MINUTE;
        const step = told(standing, schedule.between(standing.toldUntil, now, ALL), now);
        heard.push(...(step?.fresh ?? []));
        standing = step?.next ?? standing;
        if (leap % 3 === 0) standing = without(standing, [...heard]);
      }
      const window = { fromDay: START / DAY - 10, toDay: now / DAY + 10, zone: LONDON };
      const expected = everything
        .query({ ...window, toDay: Math.ceil(window.toDay) }, null)
        .occurrences.flatMap((o) => remindersDue(events.get(o.eventId)!, o, LONDON))
        .filter(({ at: due }) => due > begin && due <= now)
        .map(({ id }) => id);
      // Two reminders of one event for the same moment are one.
      expect([...heard].sort()).toEqual([...new Set(expected)].sort());
    }),
    { numRuns: RUNS },
  );
});

describe('what waits', () => {
  const now = at('2027-03-20T09:00:00');
  const due = (id: string, ago = 0) => ({ id, at: now - ago * MINUTE });

  test('what came due while nobody looked is missed, what was put off comes back once', () => {
    const first = told(beginning(now - DAY), [due('old', 90), due('new')], now)!;
    expect(first.fresh).toEqual(['old', 'new']);
    expect(first.next.waiting.map(({ id, isMissed }) => [id, isMissed])).toEqual([
      ['old', true],
      ['new', false],
    ]);
    const later = putOff(first.next, 'new', now + 5 * MINUTE);
    expect(shownAt(later, now).map(({ id }) => id)).toEqual(['old']);
    expect(told(later, [], now + 4 * MINUTE)).toBeNull();
    const again = told(later, [], now + 5 * MINUTE)!;
    expect(again.fresh).toEqual(['new']);
    expect(told(again.next, [], now + 6 * MINUTE)).toBeNull();
    expect(without(again.next, ['old', 'new']).waiting).toEqual([]);
  });

  test('of very many the newest are kept', () => {
    const many = Array.from({ length: MOST_WAITING + 5 }, (_, i) => due(`r${i}`));
    const { waiting } = told(beginning(now - DAY), many, now)!.next;
    expect([waiting.length, waiting[0]!.id]).toEqual([MOST_WAITING, 'r5']);
  });

  test('it can come again soon, as the event begins, or as work begins the day after', () => {
    const { workweek } = DEFAULT_SETTINGS;
    const friday = at('2026-11-27T14:00:00');
    const setting = { now: friday, zone: LONDON, workweek };
    const labels = againChoices({ startMs: friday + HOUR }, setting);
    expect(labels.map(({ label, at: moment }) => [label, (moment - friday) / MINUTE])).toEqual([
      ['In 5 min', 5],
      ['In 10 min', 10],
      ['In 30 min', 30],
      ['When it begins', 60],
      ['Tomorrow morning', 18.5 * 60],
    ]);
    expect(againChoices({ startMs: friday }, setting).map(({ label }) => label)).not.toContain(
      'When it begins',
    );
  });
});

test('of a daily series a day has one, and no time at all none', () => {
  const schedule = new Schedule();
  const day = parseDate('2027-03-20');
  schedule.put(event({ rule: 'FREQ=DAILY', reminders: [before(10)] }));
  const begin = instantFromWall(day * DAY, LONDON);
  expect(schedule.between(begin, begin, ALL)).toEqual([]);
  expect(schedule.between(begin, begin + DAY, ALL)).toHaveLength(1);
});

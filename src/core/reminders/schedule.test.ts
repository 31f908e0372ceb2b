import type { CalendarEvent } from '../model/event';
import type { CalendarReminders } from './following';
import { newEvent } from '../model/event';
import { DAY, formatLocal, HOUR, MINUTE, parseDate, parseLocal } from '../time/civil';
import { instantFromWall } from '../time/zones';
import { againChoices } from './again';
import { DEFAULT_SETTINGS } from '../model/others';
import { remindersOfDate, Schedule } from './schedule';
import {
  beginning,
  MOST_WAITING,
  putOff,
  queued,
  released,
  shownAt,
  taken,
  told,
  untold,
  untoldSince,
  without,
} from './telling';

const LONDON = 'Europe/London';
const START = parseLocal('2027-03-20T00:00:00');
/** Without calendars no event follows any. */
const newSchedule = () => new Schedule(() => undefined);
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
  const schedule = newSchedule();
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
      remindersOfDate(series, `2027-03-${day}T09:00:00`, undefined).map((one) =>
        'at' in one ? one.at : one.minutes,
      );
    expect(['20', '21', '22', '23', '24'].map(minutesOn)).toEqual([[-5], [], [-30], [-30], [-5]]);
  });

  test('the time to leave is that of the way there, also of a date that has its own', () => {
    const series = event({
      rule: 'FREQ=DAILY;COUNT=2',
      travelBefore: 25,
      reminders: [{ minutes: -5, from: 'leave' }],
      changedDates: { '2027-03-21T09:00:00': { travelBefore: 40 } },
    });
    expect(dues(series, '2027-03-20T00:00:00', '2027-03-22T00:00:00')).toEqual([
      at('2027-03-20T08:30:00'),
      at('2027-03-21T08:15:00'),
    ]);
  });

  test('an alarm at an instant of its own, one that repeats, and one that was acknowledged', () => {
    const one = event({
      reminders: [
        { at: at('2027-03-19T12:00:00') },
        { minutes: -30, from: 'start', repeat: { times: 2, every: 10 } },
        { minutes: -60, from: 'start', acknowledged: at('2027-03-20T08:00:00') },
      ],
    });
    expect(dues(one, '2027-03-01T00:00:00', '2027-04-01T00:00:00')).toEqual([
      at('2027-03-19T12:00:00'),
      at('2027-03-20T08:30:00'),
      at('2027-03-20T08:40:00'),
      at('2027-03-20T08:50:00'),
    ]);
  });

  test('an event without its own has those of its calendar: for hours, for whole days, as far as they are meant', () => {
    const calendar: CalendarReminders = {
      defaultReminders: [before(10)],
      defaultWholeDayReminders: [{ minutes: 8 * 60, from: 'start' }],
      remindsOf: 'booked',
    };
    const schedule = new Schedule((id) => (id === 'c' ? calendar : undefined));
    const day = { kind: 'date', date: '2027-03-20' } as const;
    const next = { kind: 'date', date: '2027-03-21' } as const;
    schedule.put(event({ id: 'hours' }));
    schedule.put(event({ id: 'none', reminders: [] }));
    schedule.put(event({ id: 'free', availability: 'free' }));
    schedule.put(event({ id: 'day', start: day, end: next }));
    const found = () =>
      schedule
        .between(at('2027-03-20T00:00:00'), at('2027-03-21T00:00:00'), ALL)
        .map(({ id, at: due }) => [id, due]);
    expect(found()).toEqual([
      ['day#start480', at('2027-03-20T08:00:00')],
      ['hours#start-10', at('2027-03-20T08:50:00')],
    ]);
    calendar.defaultReminders = [];
    schedule.put(event({ id: 'hours' }));
    expect(found().map(([id]) => id)).toEqual(['day#start480']);
  });

  test('the next one is found however far it is, within a year', () => {
    const schedule = newSchedule();
    const from = at('2027-03-01T00:00:00');
    const next = () => schedule.next(from, ALL);
    expect(next()).toBeNull();
    schedule.put(event({ id: 'far', reminders: [before(7 * 1440)] }));
    expect(next()).toBe(at('2027-03-13T09:00:00'));
    schedule.put(event({ id: 'near', reminders: [before(30 * 24 * 60)] }));
    expect(next()).toBe(at('2027-03-13T09:00:00'));
    schedule.put(event({ id: 'near', reminders: [{ at: at('2027-03-02T00:00:00') }] }));
    expect(next()).toBe(at('2027-03-02T00:00:00'));
    schedule.remove('near');
    schedule.remove('far');
    expect(next()).toBeNull();
  });

  test('what is removed, on no such calendar or without reminders is not due', () => {
    const schedule = newSchedule();
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

describe('what waits', () => {
  const now = at('2027-03-20T09:00:00');
  const due = (id: string, ago = 0) => ({ id, at: now - ago * MINUTE });

  test('what came due while nobody looked is missed, what was put off comes back once', () => {
    const first = told(beginning(now - DAY), [due('old', 90), due('new')], now);
    expect(first.fresh).toEqual(['old', 'new']);
    expect(first.next.waiting.map(({ id, isMissed }) => [id, isMissed])).toEqual([
      ['old', true],
      ['new', false],
    ]);
    const later = putOff(first.next, 'new', now + 5 * MINUTE);
    expect(shownAt(later, now).map(({ id }) => id)).toEqual(['old']);
    expect(told(later, [], now + 4 * MINUTE).fresh).toEqual([]);
    const again = told(later, [], now + 5 * MINUTE);
    expect(again.fresh).toEqual(['new']);
    expect(told(again.next, [], now + 6 * MINUTE).fresh).toEqual([]);
    expect(without(again.next, ['old', 'new']).waiting).toEqual([]);
  });

  test('what is held back waits, is no loss, and comes once it is quiet no longer', () => {
    const isHeld = (id: string) => id !== 'high';
    const quiet = told(beginning(now - DAY), [due('a', 5), due('high')], now, isHeld);
    expect(quiet.fresh).toEqual(['high']);
    expect(shownAt(quiet.next, now).map(({ id }) => id)).toEqual(['high']);
    const still = told(quiet.next, [], now + MINUTE, isHeld);
    expect(still.fresh).toEqual([]);
    const after = told(still.next, [], now + 2 * MINUTE);
    expect(after.fresh).toEqual(['a']);
    expect(shownAt(after.next, now + 2 * MINUTE)).toMatchObject([
      { id: 'a', isMissed: false },
      { id: 'high' },
    ]);
    expect(shownAt(released(quiet.next), now)).toHaveLength(2);
    // What was put off and comes back while it is quiet waits, too.
    const off = told(putOff(quiet.next, 'high', now + MINUTE), [], now + MINUTE, () => true);
    expect([off.fresh, shownAt(off.next, now + MINUTE)]).toEqual([[], []]);
  });

  test('a clock that is set back begins anew where it is, and tells nothing twice', () => {
    const first = told(beginning(now - DAY), [due('a')], now).next;
    const done = without(first, ['a']);
    const back = now - 60 * MINUTE;
    expect(untoldSince(done, now, back)).toBe(back);
    const later = told({ ...done, toldUntil: back }, untold(done, [due('a'), due('b', 30)]), now);
    expect(later.fresh).toEqual(['b']);
    expect(untoldSince(done, now + 5, now + 10)).toBe(now + 5);
  });

  test('messages are queued once, and leave when they were taken', () => {
    const mail = {
      id: 'm',
      how: 'mail',
      to: 'a@quay.example',
      at: now,
      subject: 's',
      text: 't',
    } as const;
    const waiting = queued(beginning(now), [mail]);
    expect(waiting.toSend).toEqual([mail]);
    expect(untold(waiting, [due('m')])).toEqual([]);
    expect(taken(waiting, ['m']).toSend).toEqual([]);
  });

  test('of very many the newest are kept', () => {
    const many = Array.from({ length: MOST_WAITING + 5 }, (_, i) => due(`r${i}#start0`));
    const { waiting } = told(beginning(now - DAY), many, now).next;
    expect([waiting.length, waiting[0]!.id]).toEqual([MOST_WAITING, 'r5#start0']);
  });

  test('what was put off is let go last, and comes first when it is back', () => {
    const first = told(beginning(now - DAY), [due('a#start0')], now).next;
    const put = putOff(first, 'a#start0', now + DAY);
    const many = Array.from({ length: MOST_WAITING + 5 }, (_, i) => due(`r${i}#start0`));
    const full = told(put, many, now).next;
    expect(full.waiting).toHaveLength(MOST_WAITING);
    const back = told(full, [], now + DAY);
    expect([back.fresh, back.next.waiting[0]!.id]).toEqual([['a#start0'], 'a#start0']);
  });

  test('a clock that is set back repeats none of a thousand', () => {
    const many = Array.from({ length: 1000 }, (_, i) => due(`r${i}#start0`));
    const { next } = told(beginning(now - DAY), many, now);
    const done = without(
      next,
      many.map(({ id }) => id),
    );
    expect(told(done, many, now - DAY / 2).next.waiting).toEqual([]);
  });

  test('reminders of one date are one card: the latest that is told by now', () => {
    const first = told(beginning(now - DAY), [due('a#start-10')], now).next;
    const put = putOff(first, 'a#start-10', now + 2 * MINUTE);
    const second = told(put, [{ ...due('a#start0'), at: now + MINUTE }], now + MINUTE).next;
    expect(shownAt(second, now + MINUTE).map(({ id }) => id)).toEqual(['a#start0']);
    const third = told(second, [], now + 2 * MINUTE).next;
    expect(shownAt(third, now + 2 * MINUTE).map(({ id }) => id)).toEqual(['a#start0']);
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
  const schedule = newSchedule();
  const day = parseDate('2027-03-20');
  schedule.put(event({ rule: 'FREQ=DAILY', reminders: [before(10)] }));
  const begin = instantFromWall(day * DAY, LONDON);
  expect(schedule.between(begin, begin, ALL)).toEqual([]);
  expect(schedule.between(begin, begin + DAY, ALL)).toHaveLength(1);
});

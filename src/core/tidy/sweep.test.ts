import { EventIndex } from '../agenda/eventIndex';
import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import { DEFAULT_SETTINGS } from '../model/others';
import { DAY, formatLocal, parseDate } from '../time/civil';
import type { SweepAction } from './sweep';
import { effective, findSweep, planSweep, SWEEP_REACH, sweepEvents } from './sweep';

const LONDON = 'Europe/London';
const CLOSURES = new Set(['closures']);
const { workweek } = DEFAULT_SETTINGS;

const zoned = (local: string) => ({ kind: 'zoned', local, zone: LONDON }) as const;
const timed = (id: string, local: string, minutes: number, more: Partial<CalendarEvent> = {}) => {
  const end = Date.parse(`${local}Z`) + minutes * 60_000;
  const times = { start: zoned(local), end: zoned(formatLocal(end)) };
  return newEvent({ id, calendarId: 'workshop', title: id, ...times, ...more }, 1);
};
const closed = (id: string, from: string, days = 1) =>
  newEvent(
    {
      id,
      calendarId: 'closures',
      title: id,
      start: { kind: 'date', date: from },
      end: { kind: 'date', date: formatLocal((parseDate(from) + days) * DAY).slice(0, 10) },
    },
    1,
  );

/** Sweeps what lies in December 2026, all dates alike or as `actionOf` says. */
function sweep(events: CalendarEvent[], action: SweepAction | ((id: string) => SweepAction)) {
  const index = new EventIndex();
  for (const event of events) index.put(event);
  const [from, to] = [parseDate('2026-12-01'), parseDate('2027-01-01')];
  const window = { fromDay: from - SWEEP_REACH, toDay: to + SWEEP_REACH, zone: LONDON };
  const { occurrences } = index.query(window, null);
  const items = findSweep(
    occurrences,
    CLOSURES,
    ({ start }) => start >= from * DAY && start < to * DAY,
  );
  const actionOf = ({ date }: { date: { id: string } }) =>
    typeof action === 'string' ? action : action(date.id);
  const steps = planSweep(items, actionOf, { occurrences, blockerIds: CLOSURES, workweek });
  const byId = new Map(events.map((event) => [event.id, event]));
  const kept = sweepEvents(steps, (id) => byId.get(id) ?? null, LONDON, 9);
  const said = steps.map(({ date, blockedBy, target }) => [
    date.dateKey,
    blockedBy,
    target && formatLocal(target.start).slice(0, 16),
  ]);
  return { steps, kept, said };
}

/** Wednesdays at nine, with one closed on the 9th and the week of the 23rd shut. */
const round = (more: Partial<CalendarEvent> = {}) =>
  timed('round', '2026-11-25T09:00:00', 60, { rule: 'FREQ=WEEKLY', ...more });
const shut = [closed('Founders', '2026-12-09'), closed('Winter', '2026-12-23', 6)];

test('every date on a closure is found, with the closure’s name; others are not', () => {
  const { said } = sweep([round(), ...shut], 'leave');
  expect(said).toEqual([
    ['2026-12-09T09:00:00', 'Founders', null],
    ['2026-12-23T09:00:00', 'Winter', null],
  ]);
});

test('dates move to the next clear working day at their time, over closures, weekends and what is booked', () => {
  const booked = timed('visit', '2026-12-10T09:30:00', 60);
  const { said } = sweep([round(), ...shut, booked], 'next');
  expect(said.map(([, , target]) => target)).toEqual(['2026-12-11T09:00', '2026-12-29T09:00']);
});

test('or to the one before; a date of the same series is no clear day', () => {
  const daily = timed('daily', '2026-12-07T09:00:00', 30, {
    rule: 'FREQ=DAILY;BYDAY=MO,TU,WE,FR',
  });
  const { said } = sweep([daily, shut[0]!], 'previous');
  expect(said[0]).toEqual(['2026-12-09T09:00:00', 'Founders', '2026-12-04T09:00']);
});

test('two dates of one sweep don’t meet where they go', () => {
  const other = timed('other', '2026-12-02T09:30:00', 60, { rule: 'FREQ=WEEKLY' });
  const { said } = sweep([round(), other, shut[0]!], 'next');
  expect(said.map(([, , target]) => target)).toEqual(['2026-12-10T09:00', '2026-12-11T09:30']);
});

test('free time is no hindrance; where nothing is clear within two months the date stays', () => {
  const free = timed('tea', '2026-12-10T09:00:00', 60, { availability: 'free' });
  expect(sweep([round(), shut[0]!, free], 'next').said[0]![2]).toBe('2026-12-10T09:00');
  const long = closed('Long', '2026-12-09', 90);
  const { steps, kept } = sweep([round(), long], 'next');
  expect(steps[0]).toMatchObject({ action: 'next', target: null });
  expect([effective(steps), kept]).toEqual([[], []]);
});

test('each date can be chosen by itself; all of a series is one edit', () => {
  const { kept } = sweep([round(), ...shut], (id) => (id.includes('12-09') ? 'skip' : 'next'));
  expect(kept).toHaveLength(1);
  expect(kept[0]!.after).toMatchObject({
    skippedDates: ['2026-12-09T09:00:00'],
    changedDates: {
      '2026-12-23T09:00:00': {
        start: zoned('2026-12-29T09:00:00'),
        end: zoned('2026-12-29T10:00:00'),
      },
    },
    revision: 1,
  });
});

test('a date that was changed by hand keeps its title when it moves', () => {
  const changed = round({ changedDates: { '2026-12-09T09:00:00': { title: 'Long round' } } });
  const { kept } = sweep([changed, shut[0]!], 'next');
  expect(kept[0]!.after.changedDates['2026-12-09T09:00:00']).toMatchObject({
    title: 'Long round',
    start: zoned('2026-12-10T09:00:00'),
  });
});

test('a tentative whole day is no hindrance, a tentative hour is', () => {
  const fair = { ...closed('Fair', '2026-12-10'), calendarId: 'workshop' };
  const tentative = { availability: 'tentative' } as const;
  const target = (other: CalendarEvent) =>
    sweep([round(), shut[0]!, { ...other, ...tentative }], 'next').said[0]![2];
  expect(target(fair)).toBe('2026-12-10T09:00');
  expect(target(timed('visit', '2026-12-10T09:30:00', 60))).toBe('2026-12-11T09:00');
});

test('a date of the same series is in the way, free or not', () => {
  const free = timed('daily', '2026-12-07T09:00:00', 30, {
    rule: 'FREQ=DAILY;BYDAY=MO,TU,WE,TH',
    availability: 'free',
  });
  expect(sweep([free, shut[0]!], 'next').said[0]![2]).toBe('2026-12-11T09:00');
});

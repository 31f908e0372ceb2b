import fc from 'fast-check';
import { EventIndex } from '../agenda/eventIndex';
import type { Occurrence } from '../agenda/occurrence';
import type { Reminder } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import { DAY, formatLocal, MINUTE, parseLocal } from '../time/civil';
import { instantFromWall, wallFromInstant } from '../time/zones';
import type { CalendarReminders } from './following';
import { Schedule } from './schedule';
import { beginning, shownAt, told, untold, untoldSince, without } from './telling';

const RUNS = Number(process.env['PROPERTY_RUNS'] ?? 100);
const LONDON = 'Europe/London';
/** A week before London's clock goes on. */
const START = parseLocal('2027-03-20T00:00:00');
const BEGIN = instantFromWall(START, LONDON);

const someReminder: fc.Arbitrary<Reminder> = fc.oneof(
  fc.record({
    minutes: fc.integer({ min: -5 * 1440, max: 600 }),
    from: fc.constantFrom('start' as const, 'end' as const, 'leave' as const),
  }),
  fc.record({
    minutes: fc.integer({ min: -90, max: 0 }),
    from: fc.constant('start' as const),
    repeat: fc.record({
      times: fc.integer({ min: 1, max: 3 }),
      every: fc.integer({ min: 1, max: 30 }),
    }),
  }),
  fc.record({ at: fc.integer({ min: 0, max: 20 * 1440 }).map((m) => BEGIN + m * MINUTE) }),
);
const someReminders = fc.array(someReminder, { maxLength: 3 });

const someDraft = fc.record({
  minute: fc.integer({ min: 0, max: 20 * 1440 }),
  length: fc.integer({ min: 0, max: 180 }),
  days: fc.integer({ min: 0, max: 2 }),
  travelBefore: fc.integer({ min: 0, max: 90 }),
  availability: fc.constantFrom('busy' as const, 'free' as const),
  rule: fc.constantFrom(undefined, undefined, 'FREQ=DAILY;COUNT=5', 'FREQ=WEEKLY'),
  // Half of them have those of their calendar.
  reminders: fc.option(someReminders),
});

const someCalendar: fc.Arbitrary<CalendarReminders> = fc.record({
  defaultReminders: someReminders,
  defaultWholeDayReminders: someReminders,
  remindsOf: fc.constantFrom('all' as const, 'booked' as const),
});

function eventOf(draft: typeof someDraft extends fc.Arbitrary<infer D> ? D : never, i: number) {
  const { minute, length, days, ...fields } = draft;
  const start = START + minute * MINUTE;
  const date = (wall: number) => ({ kind: 'date' as const, date: formatLocal(wall).slice(0, 10) });
  const zoned = (wall: number) =>
    ({ kind: 'zoned', local: formatLocal(wall), zone: LONDON }) as const;
  const times = days
    ? { start: date(start), end: date(start + days * DAY) }
    : { start: zoned(start), end: zoned(start + length * MINUTE) };
  return newEvent({ id: `e${i}`, calendarId: 'c', title: 'Lamp', ...times, ...fields }, 0);
}

/** When reminders of a date are due, worked out by itself. */
function naiveDue(event: CalendarEvent, o: Occurrence, calendar: CalendarReminders): number[] {
  const isMeant = calendar.remindsOf === 'all' || o.availability === 'busy';
  const theirs = o.wholeDay ? calendar.defaultWholeDayReminders : calendar.defaultReminders;
  return (event.reminders ?? (isMeant ? theirs : [])).flatMap((reminder) => {
    // Those at an instant are the event's, not the date's.
    if ('at' in reminder) return [];
    const { minutes, from, repeat } = reminder;
    const begin =
      from === 'end' ? o.endMs : o.startMs - (from === 'leave' ? o.travelBefore * MINUTE : 0);
    const onClock = (instant: number, wall: number) =>
      instantFromWall(wallFromInstant(instant, LONDON) + wall, LONDON);
    const days = Math.sign(minutes) * Math.floor(Math.abs(minutes) / 1440) || 0;
    const first = o.wholeDay
      ? onClock(begin, minutes * MINUTE)
      : (days ? onClock(begin, days * DAY) : begin) + (minutes - days * 1440) * MINUTE;
    const times = 1 + (repeat?.times ?? 0);
    return Array.from({ length: times }, (_, n) => first + n * (repeat?.every ?? 0) * MINUTE);
  });
}

/** Of a calendar nothing is due at an instant: it has many events. */
const naiveFixed = ({ reminders }: CalendarEvent): number[] =>
  (reminders ?? []).flatMap((reminder) => ('at' in reminder ? [reminder.at] : []));

test('however the app is opened, closed and its clock set back, each reminder is told exactly once, and none else', () => {
  const steps = fc.array(
    fc.record({
      leap: fc.integer({ min: 1, max: 2000 }),
      /** What the person does: nothing, is done with all, closes the app and opens it later, sets the clock back. */
      deed: fc.constantFrom('look', 'look', 'done', 'reopen', 'back'),
    }),
    { minLength: 1, maxLength: 25 },
  );
  fc.assert(
    fc.property(
      fc.array(someDraft, { maxLength: 8 }),
      someCalendar,
      steps,
      (drafts, calendar, deeds) => {
        const schedule = new Schedule(() => calendar);
        const index = new EventIndex();
        const events = drafts.map(eventOf);
        for (const event of events) {
          schedule.put(event);
          index.put(event);
        }
        const all = { zone: LONDON, calendarIds: new Set(['c']) };
        let now = BEGIN;
        let latest = BEGIN;
        let checked = BEGIN;
        let standing = beginning(now);
        const heard: string[] = [];
        for (const { leap, deed } of deeds) {
          now += leap * MINUTE;
          if (deed === 'back') now -= Math.min(leap, 300) * 2 * MINUTE;
          if (now < BEGIN) now = BEGIN;
          const due = schedule.between(untoldSince(standing, checked, now), now, all);
          const step = told(standing, untold(standing, due), now);
          standing = step.next;
          heard.push(...step.fresh);
          checked = deed === 'reopen' ? -Infinity : now;
          latest = Math.max(latest, now);
          expect(shownAt(standing, now).length).toBe(standing.waiting.length);
          if (deed === 'done') standing = without(standing, heard);
        }
        const window = { fromDay: START / DAY - 10, toDay: START / DAY + 400, zone: LONDON };
        const byId = new Map(events.map((event) => [event.id, event]));
        const expected = [
          ...index
            .query(window, null)
            .occurrences.flatMap((o) =>
              naiveDue(byId.get(o.eventId)!, o, calendar).map((at) => `${o.id} ${at}`),
            ),
          ...events.flatMap((event) => naiveFixed(event).map((at) => `${event.id} ${at}`)),
        ].filter((one) => {
          const at = Number(one.split(' ')[1]);
          return at > BEGIN && at <= latest;
        });
        const atOf = new Map(
          schedule.between(BEGIN, latest, all).map(({ id, at }) => [id, at] as const),
        );
        expect(new Set(heard).size).toBe(heard.length);
        const said = heard.map((id) => `${id.slice(0, id.lastIndexOf('#'))} ${atOf.get(id)}`);
        // Two reminders of one date at one moment may be one.
        expect([...new Set(said)].sort()).toEqual([...new Set(expected)].sort());
      },
    ),
    { numRuns: RUNS },
  );
});

import { putOnDays } from '../../agenda/byDay';
import { clearStretches } from '../../agenda/clear';
import { findClashes } from '../../agenda/clashes';
import type { Occurrence } from '../../agenda/occurrence';
import { dateAsEvent } from '../../editing/series/dates';
import { editSeries } from '../../editing/series/edit';
import { movedTimes, wallOnClock } from '../../editing/times';
import type { CalendarEvent } from '../../model/event';
import { revised } from '../../model/event';
import { titleOf } from '../../model/titleOf';
import { workdayOf } from '../../model/workweek';
import { dayOfWall, minuteOfDay } from '../../time/civil';
import { SHORT_DAY, sayDay, sayMinute, saySpan } from '../../time/words';
import { findDoubles } from '../doubles';
import type { Check, Hand, Way, World } from './check';
import { keyOf } from './check';
import { partsOfId } from '../../agenda/occurrence';

/** Days ahead in which clashes are looked for, and in which a clear time is. */
const AHEAD = 60;
const SEARCHED = 10;

/** Firm: what is tentative gives way by itself. */
const isFirm = ({ availability }: Occurrence) => availability === 'busy' || availability === 'away';

/** Of two that clash those that can be changed, what gives way more easily first: what begins later. */
const yielding = (first: Occurrence, second: Occurrence, own: ReadonlySet<string>): Occurrence[] =>
  [second, first].filter(({ calendarId }) => own.has(calendarId));

/** What lies on each day of the weeks that are looked at; what was moved by a mend lies where it went. */
interface Days {
  byId: Map<string, Occurrence>;
  byDay: Map<number, Occurrence[]>;
}

const known = new WeakMap<World, Days>();

function put({ byId, byDay }: Days, o: Occurrence): void {
  byId.set(o.id, o);
  putOnDays(byDay, o);
}

/** Looked at once, however many clashes there are. */
function daysOf(world: World): Days {
  let days = known.get(world);
  if (!days) {
    known.set(world, (days = { byId: new Map(), byDay: new Map() }));
    const all = world.occurrencesIn(world.today - 1, world.today + AHEAD + SEARCHED + 1);
    for (const o of all) put(days, o);
  }
  return days;
}

/**
 * The next time within working hours that is clear for as long as a date lasts, wall ms; null when none is
 * near. A date of a series stays before the day of its series' next one.
 */
function nextClear(o: Occurrence, world: World): number | null {
  const { byDay } = daysOf(world);
  const length = o.end - o.start;
  const first = dayOfWall(o.start);
  for (let day = first; day <= first + SEARCHED; day++) {
    const { hours } = workdayOf(day, world.settings.workweek);
    const around = (byDay.get(day) ?? []).filter(({ id }) => id !== o.id);
    if (day > first && around.some(({ eventId }) => eventId === o.eventId)) return null;
    const fitting = clearStretches(day, around, hours).find(
      ({ start, end }) => Math.max(start, o.start) + length <= end,
    );
    if (fitting) return Math.max(fitting.start, o.start);
  }
  return null;
}

function changeDate(
  id: string,
  fieldsOf: (date: CalendarEvent) => Partial<CalendarEvent>,
  { now }: World,
  hand: Hand,
): void {
  const { eventId, dateKey } = partsOfId(id);
  const event = hand.event(eventId);
  if (!event) return;
  const before = dateAsEvent(event, dateKey);
  const after = { ...before, ...fieldsOf(before) };
  if (dateKey === null) return hand.putEvent(revised(event, fieldsOf(before), now));
  const names = { id: event.id, uid: event.uid };
  const [edit] = editSeries(
    event,
    dateKey,
    { before, after },
    { scope: 'this', fate: 'keep', names, now },
  );
  hand.putEvent(edit!.after);
}

/** What can be done about one of two that clash; `nth` tells which of a finding's ids it is. */
function waysOf(o: Occurrence, nth: number, world: World): Way[] {
  const { wording } = world;
  const clear = nextClear(o, world);
  const title = titleOf(o);
  const ways = [
    { how: `tentative ${nth}`, label: `${title} tentative` },
    { how: `decline ${nth}`, label: `Decline ${title}` },
  ];
  if (clear === null) return ways;
  const at = `${sayDay(dayOfWall(clear), wording, SHORT_DAY)}, ${sayMinute(minuteOfDay(clear), wording.hourCycle)}`;
  return [{ how: `move ${nth}`, label: `${title} to ${at}` }, ...ways];
}

/** Ids of events of which there are doubles. */
function doubled({ events, zone }: World): ReadonlySet<string> {
  const groups = findDoubles(events, ({ start }) => dayOfWall(wallOnClock(start, zone)));
  return new Set(groups.flatMap((group) => group.map(({ id }) => id)));
}

/**
 * Firm events that want the person at the same time. Doubles are another check's: moved by themselves
 * they would not be known as such any more.
 */
export const clashing: Check = {
  find(world) {
    const doubles = doubled(world);
    const isDouble = ({ eventId }: Occurrence) => doubles.has(eventId);
    const own = new Set(world.calendars.flatMap((c) => (c.kind === 'own' ? [c.id] : [])));
    const { wording } = world;
    const around = world.occurrencesIn(world.today, world.today + AHEAD);
    return findClashes(around.filter(isFirm)).flatMap(({ first, second }) => {
      const either = yielding(first, second, own).filter(({ endMs }) => endMs >= world.now);
      if (!either.length || isDouble(first) || isDouble(second)) return [];
      const ids = [...new Set([...either, second, first].map(({ id }) => id))];
      return {
        key: keyOf(first.id, second.id),
        ids,
        title: `${titleOf(first)} and ${titleOf(second)}`,
        reason: `${saySpan(first, wording)}, and ${saySpan(second, wording)}`,
        ways: either.flatMap((o) => waysOf(o, ids.indexOf(o.id), world)),
      };
    });
  },
  mend({ ids }, how, world, hand) {
    const [deed, nth] = how.split(' ');
    const id = ids[Number(nth)];
    if (id === undefined) return;
    if (deed !== 'move') {
      const availability = deed === 'decline' ? 'free' : 'tentative';
      return changeDate(id, () => ({ availability }), world, hand);
    }
    const days = daysOf(world);
    const o = days.byId.get(id);
    const clear = o ? nextClear(o, world) : null;
    if (!o || clear === null) return;
    // What is moved next does not go to the same place.
    put(days, { ...o, start: clear, end: clear + (o.end - o.start) });
    changeDate(id, (date) => movedTimes(date, clear, world.zone), world, hand);
  },
};

import { putOnDays } from '../../agenda/byDay';
import { clearStretches } from '../../agenda/clear';
import { findClashes } from '../../agenda/clashes';
import type { Occurrence } from '../../agenda/occurrence';
import { dateAsEvent } from '../../editing/series/dates';
import { editSeries } from '../../editing/series/edit';
import { movedTimes } from '../../editing/times';
import type { CalendarEvent } from '../../model/event';
import { revised } from '../../model/event';
import { titleOf } from '../../model/titleOf';
import { workdayOf } from '../../model/workweek';
import { dayOfWall, minuteOfDay } from '../../time/civil';
import { SHORT_DAY, sayDay, sayMinute, saySpan } from '../../time/words';
import type { Check, Hand, World } from './check';
import { keyOf } from './check';
import { partsOfId } from '../../agenda/occurrence';

/** Days ahead in which clashes are looked for, and in which a clear time is. */
const AHEAD = 60;
const SEARCHED = 10;

/** Firm: what is tentative gives way by itself. */
const isFirm = ({ availability }: Occurrence) => availability === 'busy' || availability === 'away';

/** Of two that clash, the one that is moved more easily: what begins later, and matters less. */
function easier(
  first: Occurrence,
  second: Occurrence,
  own: ReadonlySet<string>,
): Occurrence | null {
  const [a, b] = [own.has(first.calendarId), own.has(second.calendarId)];
  if (a !== b) return a ? first : second;
  return a ? second : null;
}

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

/** The next time within working hours that is clear for as long as a date lasts, wall ms; null when none is near. */
function nextClear(o: Occurrence, world: World): number | null {
  const { byDay } = daysOf(world);
  const length = o.end - o.start;
  const first = dayOfWall(o.start);
  for (let day = first; day <= first + SEARCHED; day++) {
    const { hours } = workdayOf(day, world.settings.workweek);
    const around = (byDay.get(day) ?? []).filter(({ id }) => id !== o.id);
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

/** Firm events that want the person at the same time. */
export const clashing: Check = {
  find(world) {
    const own = new Set(world.calendars.flatMap((c) => (c.kind === 'own' ? [c.id] : [])));
    const { wording } = world;
    const around = world.occurrencesIn(world.today, world.today + AHEAD);
    return findClashes(around.filter(isFirm)).flatMap(({ first, second }) => {
      const yielding = easier(first, second, own);
      if (!yielding || yielding.endMs < world.now) return [];
      const clear = nextClear(yielding, world);
      const at = (wall: number) =>
        `${sayDay(dayOfWall(wall), wording, SHORT_DAY)}, ${sayMinute(minuteOfDay(wall), wording.hourCycle)}`;
      return {
        key: keyOf(first.id, second.id),
        ids: [yielding.id, yielding === first ? second.id : first.id],
        title: `${titleOf(first)} and ${titleOf(second)}`,
        reason: `${saySpan(first, wording)}, and ${saySpan(second, wording)}`,
        ways: [
          ...(clear === null
            ? []
            : [{ how: 'move', label: `${titleOf(yielding)} to ${at(clear)}` }]),
          { how: 'tentative', label: `${titleOf(yielding)} tentative` },
          { how: 'decline', label: `Decline ${titleOf(yielding)}` },
        ],
      };
    });
  },
  mend({ ids }, how, world, hand) {
    const [id] = ids;
    if (id === undefined) return;
    if (how !== 'move') {
      const availability = how === 'decline' ? 'free' : 'tentative';
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

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
import { partsOf } from './parts';

/** Days ahead in which clashes are looked for, and in which a clear time is. */
const AHEAD = 60;
const SEARCHED = 21;

/** Firm: what is tentative gives way by itself. */
const isFirm = ({ availability }: Occurrence) => availability === 'busy' || availability === 'away';

/** Of two that clash, the one that is moved more easily: what begins later, and matters less. */
function mover(first: Occurrence, second: Occurrence, own: ReadonlySet<string>): Occurrence | null {
  const [a, b] = [own.has(first.calendarId), own.has(second.calendarId)];
  if (a !== b) return a ? first : second;
  return a ? second : null;
}

/** The next time within working hours that is clear for as long as a date lasts, wall ms; null when none is near. */
function nextClear(o: Occurrence, world: World): number | null {
  const length = o.end - o.start;
  const day = dayOfWall(o.start);
  const around = world.occurrencesIn(day, day + SEARCHED + 1).filter(({ id }) => id !== o.id);
  for (let ahead = 0; ahead <= SEARCHED; ahead++) {
    const { hours } = workdayOf(day + ahead, world.settings.workweek);
    const fitting = clearStretches(day + ahead, around, hours).find(
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
  const { eventId, dateKey } = partsOf(id);
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
  name: 'Clashes',
  says: 'busy events at the same time, in the next two months',
  find(world) {
    const own = new Set(world.calendars.flatMap((c) => (c.kind === 'own' ? [c.id] : [])));
    const { wording } = world;
    const around = world.occurrencesIn(world.today, world.today + AHEAD);
    return findClashes(around.filter(isFirm)).flatMap(({ first, second }) => {
      const moved = mover(first, second, own);
      if (!moved || moved.endMs < world.now) return [];
      const clear = nextClear(moved, world);
      const at = (wall: number) =>
        `${sayDay(dayOfWall(wall), wording, SHORT_DAY)}, ${sayMinute(minuteOfDay(wall), wording.hourCycle)}`;
      return {
        key: keyOf(first.id, second.id),
        ids: [moved.id, moved === first ? second.id : first.id],
        title: `${titleOf(first)} and ${titleOf(second)}`,
        reason: `${saySpan(first, wording)}, and ${saySpan(second, wording)}`,
        ways: [
          ...(clear === null ? [] : [{ how: 'move', label: `${titleOf(moved)} to ${at(clear)}` }]),
          { how: 'tentative', label: `${titleOf(moved)} tentative` },
          { how: 'decline', label: `Decline ${titleOf(moved)}` },
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
    const o = world
      .occurrencesIn(world.today, world.today + AHEAD)
      .find((occurrence) => occurrence.id === id);
    const clear = o ? nextClear(o, world) : null;
    if (clear !== null) changeDate(id, (date) => movedTimes(date, clear, world.zone), world, hand);
  },
};

import { movedTimes, withLength, wallOnClock } from '../editing/times';
import type { EventTime } from '../model/common';
import { dayOf, timeOfInstant, wallOf, zoneOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { durationOf, isWholeDay, lastsForward } from '../model/event';
import { DAY, dayOfWall, formatDate, formatLocal, MINUTE, parseLocal } from '../time/civil';
import type { WallMs } from '../time/units';
import { instantFromWall } from '../time/zones';
import type { BulkStep } from '../model/bulkSteps';
import { UserError, errorOf } from '../userError';

/** Steps that say when an event is. */
export type TimeStep = Extract<
  BulkStep,
  {
    kind:
      | 'shiftDays'
      | 'toDay'
      | 'shiftMinutes'
      | 'setStart'
      | 'setLength'
      | 'round'
      | 'wholeDay'
      | 'hours'
      | 'zone';
  }
>;

type Timed = Pick<CalendarEvent, 'start' | 'end'> & Partial<Pick<CalendarEvent, 'keptHours'>>;

/** Why a step can't be done to an event, in words. */
export class Refusal extends errorOf('refused') {}

const hasNoHours = () => new Refusal('It lasts whole days and has no hours.');

/** The clock that an event is moved by: its own, or UTC where every clock is the same to it. */
const clockOf = (event: Timed) => zoneOf(event.start) ?? 'UTC';

const movedTo = (event: Timed, wall: WallMs): Timed => ({
  ...event,
  ...movedTimes(event, wall, clockOf(event)),
});

const nearest = (wall: WallMs, slot: number) => Math.round(wall / (slot * MINUTE)) * slot * MINUTE;

function rounded(event: Timed, slot: number): Timed {
  const start = nearest(wallOf(event.start), slot);
  const length = Math.max(slot * MINUTE, nearest(durationOf(event), slot));
  return { ...event, ...withLength(movedTimes(event, start, clockOf(event)), length) };
}

/** The days that an event with hours touches; one that ends at midnight does not touch the next. */
function asWholeDay(event: Timed): Timed {
  const startDay = dayOf(event.start);
  const end = wallOnClock(event.end, clockOf(event));
  const lastDay = Math.max(startDay, dayOfWall(end - 1));
  return {
    start: { kind: 'date', date: formatDate(startDay) },
    end: { kind: 'date', date: formatDate(lastDay + 1) },
    keptHours: {
      start: formatLocal(wallOf(event.start)),
      end: formatLocal(end),
      zone: zoneOf(event.start),
    },
  };
}

/** Hours for a whole day: those that it had, or others, on its first day. */
function withHours(event: Timed, minute: number, minutes: number, zone: string): Timed {
  const { keptHours } = event;
  const day = dayOf(event.start) * DAY;
  const time = (wall: WallMs, own: string | null): EventTime =>
    own === null
      ? { kind: 'floating', local: formatLocal(wall) }
      : { kind: 'zoned', local: formatLocal(wall), zone: own };
  if (!keptHours) {
    const start = time(day + minute * MINUTE, zone);
    return { keptHours: undefined, ...withLength({ start, end: start }, minutes * MINUTE) };
  }
  const first = parseLocal(keptHours.start);
  const start = day + (first - dayOfWall(first) * DAY);
  const end = start + (parseLocal(keptHours.end) - first);
  return {
    start: time(start, keptHours.zone),
    end: time(end, keptHours.zone),
    keptHours: undefined,
  };
}

/** Another zone: its clock shows what the one before did, or the instant stays. */
function inZone(
  event: Timed,
  zone: string | null,
  keeps: 'clock' | 'instant',
  view: string,
): Timed {
  const turned = (time: EventTime): EventTime => {
    if (time.kind === 'date') return time;
    const { local } = time;
    if (keeps === 'clock')
      return zone === null ? { kind: 'floating', local } : { kind: 'zoned', local, zone };
    const instant = instantFromWall(wallOf(time), zoneOf(time) ?? view);
    return zone === null
      ? { kind: 'floating', local: formatLocal(wallOnClock(timeOfInstant(instant, 'UTC'), view)) }
      : timeOfInstant(instant, zone);
  };
  return { ...event, start: turned(event.start), end: turned(event.end) };
}

/**
 * An event's times after a step. `viewZone` is the clock of the person, for times that float and for
 * hours that are given.
 * @throws Refusal when the step can't be done to such an event.
 */
export function stepTimes(event: Timed, step: TimeStep, viewZone: string): Timed {
  const isWhole = isWholeDay(event);
  switch (step.kind) {
    case 'shiftDays':
      return movedTo(event, wallOf(event.start) + step.days * DAY);
    case 'toDay':
      // What lies how far from the earliest is known where all are: see `planBulk`.
      throw new UserError('refused', 'A day to go to is no step of a single event.');
    case 'shiftMinutes':
      if (isWhole) throw hasNoHours();
      return movedTo(event, wallOf(event.start) + step.minutes * MINUTE);
    case 'setStart':
      if (isWhole) throw hasNoHours();
      return movedTo(event, dayOf(event.start) * DAY + step.minute * MINUTE);
    case 'setLength':
      if (isWhole) throw hasNoHours();
      return { ...event, ...withLength(event, step.minutes * MINUTE) };
    case 'round':
      if (isWhole) throw hasNoHours();
      return rounded(event, step.slot);
    case 'wholeDay':
      return isWhole ? event : asWholeDay(event);
    case 'hours':
      return isWhole ? withHours(event, step.minute, step.minutes, viewZone) : event;
    case 'zone': {
      if (isWhole) throw hasNoHours();
      const turned = inZone(event, step.zone, step.keeps, viewZone);
      if (!lastsForward(turned.start, turned.end))
        throw new Refusal('Its end would lie before its start.');
      return turned;
    }
  }
}

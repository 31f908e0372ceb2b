import type { Occurrence } from '../agenda/occurrence';
import { dateAsEvent, keyOfWall, seriesOf } from '../editing/series/dates';
import type { EventEdit } from '../editing/series/edit';
import { copySeriesTo } from '../editing/series/copy';
import { removeDates } from '../editing/series/skips';
import { copyTo } from '../editing/edits';
import { dayOf, wallOf, zoneOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { isSeries, revised, uidOf } from '../model/event';
import { isEndless, nextStarts } from '../recurrence/walk';
import type { EpochMs } from '../time/units';
import { joined } from './joining';
import type { BulkManner } from './planBulk';
import { Becoming } from './planBulk';
import { asSeries } from './seriesOfEvents';
import type { Subject } from './subjects';
import { UserError } from '../userError';

/** What is done to events as wholes, rather than to what they say. */
export type BulkDeed =
  | { kind: 'remove' }
  /** Dates of series don't happen; what is single stays. */
  | { kind: 'skip' }
  /** Copies, so many days on, on the calendar of each or on another. */
  | { kind: 'copy'; days: number; calendarId: string | null }
  | { kind: 'join' }
  | { kind: 'makeSeries' }
  | { kind: 'makeSingles' };

/** A subject with what becomes of it, in words. */
export interface DeedLine {
  subject: Subject;
  outcome: string;
  isChanged: boolean;
}

export interface DeedPlan {
  lines: DeedLine[];
  edits: EventEdit[];
}

/** The most single events that a series is turned into. */
const MOST_SINGLES = 1000;

const gone = (event: CalendarEvent, now: EpochMs) => revised(event, { removedAt: now }, now);

function named(event: CalendarEvent, { newId, now }: BulkManner): CalendarEvent {
  const id = newId();
  const { removedAt: _removedAt, ...kept } = event;
  return { ...kept, id, uid: uidOf(id), created: now, updated: now, revision: 0 };
}

function removal(subjects: readonly Subject[], { now }: BulkManner): DeedPlan {
  const becoming = new Becoming();
  const lines = subjects.map((subject): DeedLine => {
    const { event, key, scope } = subject;
    const current = becoming.current(event);
    if (current.removedAt === undefined) {
      const after = key === null ? gone(current, now) : removeDates(current, key, scope, now);
      becoming.take({ before: current, after });
    }
    const outcome =
      key === null
        ? 'is removed'
        : {
            this: 'is skipped',
            later: 'is removed with all later dates',
            every: 'goes with its series',
          }[scope];
    return { subject, outcome, isChanged: true };
  });
  return { lines, edits: becoming.edits };
}

/** Skips dates of series, each by itself. */
function skips(subjects: readonly Subject[], manner: BulkManner): DeedPlan {
  const isDate = ({ id, event }: Subject) => id !== event.id;
  const dates = subjects.filter(isDate).map((one) => ({ ...one, scope: 'this' as const }));
  const { lines, edits } = removal(dates, manner);
  const others = subjects.filter((subject) => !isDate(subject));
  const untouched = others.map((subject): DeedLine => ({
    subject,
    outcome: `is ${isSeries(subject.event) ? 'a series as a whole' : 'single'}: dates are skipped`,
    isChanged: false,
  }));
  return { lines: [...lines, ...untouched], edits };
}

function copies(
  subjects: readonly Subject[],
  { days, calendarId }: Extract<BulkDeed, { kind: 'copy' }>,
  manner: BulkManner,
): DeedPlan {
  const lines: DeedLine[] = [];
  const edits = subjects.map((subject): EventEdit => {
    const { event, key, scope, date } = subject;
    const to = {
      day: dayOf(date.start) + days,
      calendarId: calendarId ?? event.calendarId,
      id: manner.newId(),
      now: manner.now,
    };
    lines.push({ subject, outcome: 'is copied', isChanged: true });
    if (key !== null && scope !== 'this')
      return { before: null, after: copySeriesTo(event, key, scope, to) };
    const start = wallOf(date.start);
    const at: Pick<Occurrence, 'dateKey' | 'start'> = { dateKey: key, start };
    return {
      before: null,
      after: copyTo(event, at, { ...to, viewZone: zoneOf(date.start) ?? 'UTC' }),
    };
  });
  return { lines, edits };
}

/** Takes the events, or dates, that became another one out of the way. */
function replaced(
  subjects: readonly Subject[],
  made: CalendarEvent,
  outcome: string,
  manner: BulkManner,
): DeedPlan {
  const { edits } = removal(
    subjects.map((subject) => ({ ...subject, scope: 'this' as const })),
    manner,
  );
  return {
    lines: subjects.map((subject) => ({ subject, outcome, isChanged: true })),
    edits: [...edits, { before: null, after: named(made, manner) }],
  };
}

/** The single events that a series' dates become; of one without an end those up to now, and it goes on from there. */
function singles(subjects: readonly Subject[], manner: BulkManner): DeedPlan {
  const edits: EventEdit[] = [];
  const lines = subjects.map((subject): DeedLine => {
    const { event, key } = subject;
    if (key === null) return { subject, outcome: 'is single already', isChanged: false };
    const series = seriesOf(event);
    if (isEndless(series))
      return { subject, outcome: 'has no end: end it first', isChanged: false };
    const starts = nextStarts(series, -Infinity, MOST_SINGLES + 1);
    if (starts.length > MOST_SINGLES)
      return { subject, outcome: `has more than ${MOST_SINGLES} dates`, isChanged: false };
    for (const wall of starts) {
      const date = dateAsEvent(event, keyOfWall(event, wall));
      edits.push({ before: null, after: named(date, manner) });
    }
    edits.push({ before: event, after: gone(event, manner.now) });
    return { subject, outcome: `becomes ${starts.length} single events`, isChanged: true };
  });
  return { lines, edits };
}

/**
 * What a deed makes of the subjects, in order of time; those in `leftOut` are not touched.
 * @throws UserError, in words for the person, when it can't be done.
 */
export function planDeed(
  subjects: readonly Subject[],
  deed: BulkDeed,
  leftOut: ReadonlySet<string>,
  manner: BulkManner,
): DeedPlan {
  const isFree = ({ event }: Subject) => manner.calendarOf(event.calendarId)?.kind === 'own';
  const isCopied = deed.kind === 'copy' && deed.calendarId !== null;
  const meant = subjects.filter(
    (subject) => !leftOut.has(subject.id) && (isCopied || isFree(subject)),
  );
  const others = subjects.filter((subject) => !meant.includes(subject));
  const plan = ((): DeedPlan => {
    if (!meant.length) return { lines: [], edits: [] };
    switch (deed.kind) {
      case 'remove':
        return removal(meant, manner);
      case 'skip':
        return skips(meant, manner);
      case 'copy':
        return copies(meant, deed, manner);
      case 'join':
        if (meant.length < 2) throw new UserError('refused', 'Joining needs two events or more.');
        if (meant.some(({ scope, key }) => key !== null && scope !== 'this'))
          throw new UserError('refused', 'Series can’t be joined; single dates of them can.');
        return replaced(meant, joined(meant.map(({ date }) => date)), 'is joined', manner);
      case 'makeSeries':
        if (meant.some(({ event }) => isSeries(event)))
          throw new UserError('refused', 'One of them is a series already.');
        return replaced(meant, asSeries(meant.map(({ date }) => date)), 'becomes a date', manner);
      case 'makeSingles':
        return singles(meant, manner);
    }
  })();
  const untouched = others.map((subject): DeedLine => {
    const isLeft = leftOut.has(subject.id);
    return {
      subject,
      outcome: isLeft ? 'is left out' : 'is on a followed calendar',
      isChanged: false,
    };
  });
  const at = ({ subject }: DeedLine) => wallOf(subject.date.start);
  return { lines: [...plan.lines, ...untouched].sort((a, b) => at(a) - at(b)), edits: plan.edits };
}

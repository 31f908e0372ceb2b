import { dateAsEvent } from '../editing/series/dates';
import type { ChangedDatesFate, EventEdit } from '../editing/series/edit';
import { editSeries } from '../editing/series/edit';
import { RefusedEdit } from '../editing/series/fit';
import { dayOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { revised, uidOf } from '../model/event';
import type { CalendarReminders } from '../reminders/following';
import { parseDate } from '../time/civil';
import type { EpochMs } from '../time/units';
import type { ReadyStep } from './fieldSteps';
import { applied, readyStep } from './apply';
import type { BulkStep } from '../model/bulkSteps';
import type { Subject } from './subjects';

/** What becomes of one of the events that were selected. */
export interface BulkLine {
  subject: Subject;
  /** As it will be; what it was where nothing differs. */
  after: CalendarEvent;
  /** Why something, or all of it, can't be done to it. */
  refusals: string[];
  isChanged: boolean;
}

/** How things are done. */
export interface BulkManner {
  viewZone: string;
  fate: ChangedDatesFate;
  /** Epoch ms */
  now: EpochMs;
  newId(): string;
  calendarOf(
    id: string,
  ): (CalendarReminders & { kind: 'own' | 'followed'; name: string }) | undefined;
}

export interface BulkPlan {
  lines: BulkLine[];
  /** Each event once, from how it is stored to how it will be. */
  edits: EventEdit[];
}

/** Events as they become, one step after the other. */
export class Becoming {
  private readonly before = new Map<string, CalendarEvent | null>();
  private readonly after = new Map<string, CalendarEvent>();

  current(event: CalendarEvent): CalendarEvent {
    return this.after.get(event.id) ?? event;
  }

  take({ before, after }: EventEdit): void {
    if (!this.before.has(after.id)) this.before.set(after.id, before);
    this.after.set(after.id, after);
  }

  get edits(): EventEdit[] {
    return [...this.after].map(([id, after]) => ({ before: this.before.get(id)!, after }));
  }
}

const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** Steps with a day to go to turned into days to go on: the earliest goes there, the rest as far after it. */
function onDays(steps: readonly BulkStep[], subjects: readonly Subject[]): BulkStep[] {
  if (!subjects.length) return steps.filter(({ kind }) => kind !== 'toDay');
  const first = Math.min(...subjects.map(({ date }) => dayOf(date.start)));
  let shifted = 0;
  return steps.map((step) => {
    if (step.kind === 'shiftDays') shifted += step.days;
    if (step.kind !== 'toDay') return step;
    const days = parseDate(step.day) - (first + shifted);
    shifted += days;
    return { kind: 'shiftDays', days };
  });
}

function editsOf(
  current: CalendarEvent,
  { key, scope }: Subject,
  before: CalendarEvent,
  after: CalendarEvent,
  { fate, now, newId }: BulkManner,
): EventEdit[] {
  if (key === null) {
    const { icon: _icon, inkOverride: _ink, keptHours: _kept, ...rest } = current;
    const { rule, extraDates, skippedDates, changedDates } = current;
    const whole = { ...rest, ...after, rule, extraDates, skippedDates, changedDates };
    return [{ before: current, after: revised(whole, {}, now) }];
  }
  const id = newId();
  const names = { id, uid: uidOf(id) };
  const edits = editSeries(current, key, { before, after }, { scope, fate, names, now });
  if (isSame(before.attachments, after.attachments)) return edits;
  // Files are of a series whole.
  return edits.map((edit) => ({
    ...edit,
    after: { ...edit.after, attachments: after.attachments },
  }));
}

function lineOf(
  subject: Subject,
  nth: number,
  steps: readonly ReadyStep[],
  becoming: Becoming,
  manner: BulkManner,
): BulkLine {
  const { event, key } = subject;
  const calendar = manner.calendarOf(event.calendarId);
  const unchanged = { subject, after: subject.date, isChanged: false };
  if (!calendar || calendar.kind === 'followed') {
    const name = calendar?.name ?? 'Its calendar';
    return { ...unchanged, refusals: [`${name} is followed: it can be looked at, not changed.`] };
  }
  const current = becoming.current(event);
  const before = dateAsEvent(current, key);
  const { after, refusals } = applied(before, steps, {
    viewZone: manner.viewZone,
    nth,
    calendar,
  });
  if (isSame(before, after)) return { ...unchanged, refusals };
  try {
    for (const edit of editsOf(current, subject, before, after, manner)) becoming.take(edit);
  } catch (error) {
    if (!(error instanceof RefusedEdit)) throw error;
    return { ...unchanged, refusals: [...refusals, error.message] };
  }
  return { subject, after, refusals, isChanged: true };
}

/**
 * What steps make of the subjects, in order of time. Those in `leftOut` (as they were selected) are
 * listed and not changed. Nothing is changed here.
 * @throws RangeError, in words for the person, for a pattern that can't be used.
 */
export function planBulk(
  subjects: readonly Subject[],
  steps: readonly BulkStep[],
  leftOut: ReadonlySet<string>,
  manner: BulkManner,
): BulkPlan {
  // What stays as it is has no say in where the others go, nor in how they are counted.
  const changing = subjects.filter(
    ({ id, event }) => !leftOut.has(id) && manner.calendarOf(event.calendarId)?.kind === 'own',
  );
  const ready = onDays(steps, changing).map(readyStep);
  const becoming = new Becoming();
  let nth = 0;
  const lines = subjects.map((subject): BulkLine => {
    if (leftOut.has(subject.id))
      return { subject, after: subject.date, refusals: [], isChanged: false };
    const line = lineOf(subject, nth, ready, becoming, manner);
    if (line.isChanged) nth++;
    return line;
  });
  return { lines, edits: becoming.edits };
}

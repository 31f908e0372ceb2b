import type { Calendar } from '../../model/calendar';
import type { Passthrough } from '../../model/common';
import type { CalendarEvent } from '../../model/event';
import { isSeries } from '../../model/event';
import type { EventField } from '../../model/eventFields';
import { GIVEN_FIELDS } from '../../model/eventFields';
import type { Task } from '../../model/task';
import { changedDateFrom, fieldsSpokenOf } from './readEvent';
import type { EventDraft } from './readEvent';
import type { FileContents, LooseDate } from './readFile';
import type { Answered } from './answers';
import { planAnswers } from './answers';
import { withoutTask } from './blocks';
import { canonical } from './canonical';
import type { PlannedTask } from './planTask';
import { planTasks } from './planTask';
import { dateKeyFor } from './readTimes';

/** What the app holds already, as an import needs to know it. */
export interface Present {
  /** Events of own calendars with a UID, removed ones too. */
  eventsOf(uid: string): readonly CalendarEvent[];
  taskOf(uid: string): Task | undefined;
}

export type Fate = 'new' | 'updated' | 'unchanged' | 'older';

export interface PlannedEvent {
  fate: Fate;
  /** As it stands now; undefined when it is new. */
  before?: CalendarEvent;
  after: CalendarEvent;
}

export interface ImportPlan {
  events: PlannedEvent[];
  tasks: PlannedTask[];
  counts: Record<Fate, number>;
  /** What could not be done with what the file holds, in words. */
  notes: string[];
}

const recurrenceIdOf = (event: Pick<CalendarEvent, 'passthrough'>) =>
  JSON.stringify(event.passthrough?.properties.find(([name]) => name === 'recurrence-id') ?? null);

/** The event that a draft means: the same UID, and the same RECURRENCE-ID when it stands alone. */
function counterpart(draft: EventDraft, present: Present): CalendarEvent | undefined {
  const candidates = present
    .eventsOf(draft.uid)
    .filter((event) => recurrenceIdOf(event) === recurrenceIdOf(draft));
  return candidates.find((event) => event.removedAt === undefined) ?? candidates[0];
}

function fateOf(before: CalendarEvent, after: CalendarEvent, spoken: readonly EventField[]): Fate {
  const gone = before.removedAt !== undefined;
  if (!gone && after.revision < before.revision) return 'older';
  const same = spoken.every((field) => canonical(before[field]) === canonical(after[field]));
  return same && !gone ? 'unchanged' : 'updated';
}

/**
 * The changed dates of a file, with what only the app knows of them: files of other programs are
 * silent about it.
 */
function datesWithGiven(before: CalendarEvent, draft: EventDraft): CalendarEvent['changedDates'] {
  const dates = { ...draft.changedDates };
  for (const [key, old] of Object.entries(before.changedDates)) {
    const known = Object.entries(old).filter(([field]) =>
      GIVEN_FIELDS.includes(field as EventField),
    );
    if (!known.length || (!dates[key] && before.rule !== draft.rule)) continue;
    dates[key] = { ...Object.fromEntries(known), ...dates[key] };
  }
  return dates;
}

function planDraft(
  draft: EventDraft,
  calendarId: string,
  present: Present,
  { makeId, isOwnFile }: { makeId: () => string; isOwnFile: boolean },
): PlannedEvent {
  const before = counterpart(draft, present);
  if (!before) return { fate: 'new', after: { ...draft, id: makeId(), calendarId } };
  const spoken = fieldsSpokenOf(draft, isOwnFile);
  const fields = Object.fromEntries(
    spoken.map((field) => [field, draft[field as keyof EventDraft]]),
  );
  const after = {
    ...before,
    ...fields,
    ...(isOwnFile ? {} : { changedDates: datesWithGiven(before, draft) }),
    // Other programs have no word for *away* (RFC 5545 §3.8.2.7): theirs is busy.
    ...(!isOwnFile && before.availability === 'away' && draft.availability === 'busy'
      ? { availability: before.availability }
      : {}),
    updated: draft.updated,
    revision: draft.revision,
    removedAt: undefined,
  } as CalendarEvent;
  return { fate: fateOf(before, after, spoken), before, after };
}

/** A changed date goes into its series when that is here; else it stands alone. */
function planLooseDate(
  loose: LooseDate,
  calendarId: string,
  present: Present,
  makeId: () => string,
): PlannedEvent {
  const series = present
    .eventsOf(loose.draft.uid)
    .find((event) => isSeries(event) && event.removedAt === undefined);
  const { andLater, isOwnFile } = loose;
  if (!series) return planDraft(loose.draft, calendarId, present, { makeId, isOwnFile });
  const key = dateKeyFor(series.start, loose.time);
  const change = changedDateFrom(series, loose.draft, { key, andLater, isOwnFile });
  const same = canonical(series.changedDates[key]) === canonical(change);
  return {
    fate: same ? 'unchanged' : 'updated',
    before: series,
    after: { ...series, changedDates: { ...series.changedDates, [key]: change } },
  };
}

/** Whether an event is one date whose series is not here. */
const isLoose = (event: CalendarEvent) => recurrenceIdOf(event) !== 'null';

const asPlanned = ({ before, after }: Answered): PlannedEvent => ({
  fate: before === after ? 'unchanged' : 'updated',
  before,
  after,
});

/** What is here once the planned events are: several changed dates may go into one series. */
function withPlanned(present: Present, planned: ReadonlyMap<string, PlannedEvent>): Present {
  return {
    ...present,
    eventsOf: (uid) => present.eventsOf(uid).map((event) => planned.get(event.id)?.after ?? event),
  };
}

/**
 * What an import would do, without doing it: each entry of the file is new, brings an update to the
 * event with its UID wherever that is, says nothing new, or is older than what is here (SEQUENCE,
 * RFC 5545 §3.8.7.4).
 */
export function planImport(
  contents: FileContents,
  calendarId: string,
  present: Present,
  makeId: () => string,
): ImportPlan {
  const ofFile = new Set(contents.tasks.map(({ uid }) => uid));
  const isTask = (uid: string) => ofFile.has(uid) || present.taskOf(uid) !== undefined;
  /** Which tasks events are time for, by UIDs. */
  const blocks = new Map<string, string>();
  const events = contents.events.map((whole) => {
    const block = withoutTask(whole, isTask);
    if (block) blocks.set(whole.uid, block.taskUid);
    const draft = block?.draft ?? whole;
    const isOwnFile = contents.ownUids.has(draft.uid);
    return planDraft(draft, calendarId, present, { makeId, isOwnFile });
  });
  const series = new Map<string, PlannedEvent>();
  for (const loose of contents.looseDates) {
    const planned = planLooseDate(loose, calendarId, withPlanned(present, series), makeId);
    const earlier = series.get(planned.after.id);
    series.set(planned.after.id, earlier ? { ...planned, before: earlier.before } : planned);
  }
  const planned = new Map(
    [...events, ...series.values()].map(({ after }) => [after.uid, after.id]),
  );
  const eventIdOf = (uid: string) =>
    planned.get(uid) ?? present.eventsOf(uid).find(({ removedAt }) => removedAt === undefined)?.id;
  const tasks = planTasks(contents.tasks, calendarId, { ...present, eventIdOf }, makeId);
  const taskIdOf = (uid: string) =>
    tasks.find(({ after }) => after.uid === uid)?.after.id ?? present.taskOf(uid)?.id;
  const answers = planAnswers(contents.answers, (uid) =>
    present.eventsOf(uid).find((event) => event.removedAt === undefined && !isLoose(event)),
  );
  const plan: ImportPlan = {
    events: [...events, ...series.values(), ...answers.events.map(asPlanned)].map((one) => {
      const taskUid = blocks.get(one.after.uid);
      const taskId = taskUid === undefined ? undefined : taskIdOf(taskUid);
      return taskId === undefined ? one : { ...one, after: { ...one.after, taskId } };
    }),
    tasks,
    counts: { new: 0, updated: 0, unchanged: 0, older: 0 },
    notes: answers.notes,
  };
  for (const { fate } of plan.events) plan.counts[fate]++;
  return plan;
}

/** A calendar with what a file held besides events, each thing once. */
export function withFileExtras(calendar: Calendar, contents: FileContents): Calendar {
  const kept: Passthrough = calendar.passthrough ?? { properties: [], components: [] };
  const passthrough: Passthrough = {
    properties: distinct([...kept.properties, ...contents.properties]),
    components: distinct([...kept.components, ...contents.otherComponents]),
  };
  const empty = !passthrough.properties.length && !passthrough.components.length;
  return empty ? calendar : { ...calendar, passthrough };
}

function distinct<T>(values: readonly T[]): T[] {
  return [...new Map(values.map((value) => [canonical(value), value])).values()];
}

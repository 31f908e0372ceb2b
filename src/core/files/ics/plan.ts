import type { Calendar } from '../../model/calendar';
import type { Passthrough } from '../../model/common';
import type { CalendarEvent } from '../../model/event';
import { isSeries } from '../../model/event';
import type { Task } from '../../model/others';
import { changedDateFrom } from './readEvent';
import type { EventDraft } from './readEvent';
import type { FileContents, LooseDate } from './readFile';
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

export interface PlannedTask {
  before?: Task;
  after: Task;
}

export interface ImportPlan {
  events: PlannedEvent[];
  tasks: PlannedTask[];
  counts: Record<Fate, number>;
}

/** Fields that a file can speak of; the rest of an event is the app's own and stays. */
const FILE_FIELDS = [
  'start',
  'end',
  'title',
  'place',
  'notes',
  'link',
  'rule',
  'extraDates',
  'skippedDates',
  'changedDates',
  'availability',
  'visibility',
  'importance',
  'passthrough',
] as const satisfies readonly (keyof EventDraft)[];

/** The fields that a draft speaks of; without categories it leaves the app's alone. */
const fieldsOf = (draft: EventDraft) =>
  draft.categoryIds.length ? ([...FILE_FIELDS, 'categoryIds'] as const) : FILE_FIELDS;

const recurrenceIdOf = (event: Pick<CalendarEvent, 'passthrough'>) =>
  JSON.stringify(event.passthrough?.properties.find(([name]) => name === 'recurrence-id') ?? null);

/** The event that a draft means: the same UID, and the same RECURRENCE-ID when it stands alone. */
function counterpart(draft: EventDraft, present: Present): CalendarEvent | undefined {
  const candidates = present
    .eventsOf(draft.uid)
    .filter((event) => recurrenceIdOf(event) === recurrenceIdOf(draft));
  return candidates.find((event) => event.removedAt === undefined) ?? candidates[0];
}

/** Text of a value, the same whatever the order of its keys. */
function canonical(value: unknown): string {
  return JSON.stringify(value, (_key, inner: unknown) =>
    inner && typeof inner === 'object' && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  );
}

function fateOf(before: CalendarEvent, draft: EventDraft): Fate {
  const gone = before.removedAt !== undefined;
  if (!gone && draft.revision < before.revision) return 'older';
  const same = fieldsOf(draft).every(
    (field) => canonical(before[field]) === canonical(draft[field]),
  );
  return same && !gone ? 'unchanged' : 'updated';
}

function planDraft(
  draft: EventDraft,
  calendarId: string,
  present: Present,
  makeId: () => string,
): PlannedEvent {
  const before = counterpart(draft, present);
  if (!before) return { fate: 'new', after: { ...draft, id: makeId(), calendarId } };
  const fields = Object.fromEntries(fieldsOf(draft).map((field) => [field, draft[field]]));
  const after = {
    ...before,
    ...fields,
    updated: draft.updated,
    revision: draft.revision,
    removedAt: undefined,
  } as CalendarEvent;
  return { fate: fateOf(before, draft), before, after };
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
  if (!series) return planDraft(loose.draft, calendarId, present, makeId);
  const key = dateKeyFor(series.start, loose.time);
  const change = changedDateFrom(series, loose.draft, loose.andLater);
  const same = canonical(series.changedDates[key]) === canonical(change);
  return {
    fate: same ? 'unchanged' : 'updated',
    before: series,
    after: { ...series, changedDates: { ...series.changedDates, [key]: change } },
  };
}

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
  const events = contents.events.map((draft) => planDraft(draft, calendarId, present, makeId));
  const series = new Map<string, PlannedEvent>();
  for (const loose of contents.looseDates) {
    const planned = planLooseDate(loose, calendarId, withPlanned(present, series), makeId);
    const earlier = series.get(planned.after.id);
    series.set(planned.after.id, earlier ? { ...planned, before: earlier.before } : planned);
  }
  const plan: ImportPlan = {
    events: [...events, ...series.values()],
    tasks: contents.tasks.map((task) => {
      const before = present.taskOf(task.uid);
      return { before, after: { ...task, id: before?.id ?? makeId(), calendarId } };
    }),
    counts: { new: 0, updated: 0, unchanged: 0, older: 0 },
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

import { freeInk } from '@/core/calendars/inks';
import { takeCategories } from '@/core/files/ics/categories';
import type { ColumnMap } from '@/core/files/csv/columns';
import { signatureOf } from '@/core/files/csv/columns';
import { guessColumns } from '@/core/files/csv/guessColumns';
import type { DateOrder } from '@/core/files/csv/dates';
import { dateOrderOf, isOrderAsked } from '@/core/files/csv/dates';
import type { TableReading } from '@/core/files/csv/rows';
import { readRows } from '@/core/files/csv/rows';
import type { Table } from '@/core/files/csv/table';
import { readTable } from '@/core/files/csv/table';
import { isBetweenPeople } from '@/core/invitations/messages';
import { mergeContents } from '@/core/files/ics/mergeContents';
import { decodeText } from '@/core/files/ics/decode';
import type { Problem } from '@/core/files/ics/jcal';
import type { Fate, ImportPlan } from '@/core/files/ics/plan';
import { planImport, withFileExtras } from '@/core/files/ics/plan';
import type { FileContents } from '@/core/files/ics/readFile';
import { readCalendarFile } from '@/core/files/ics/readFile';
import { FileError } from '@/core/files/ics/scan';
import type { Calendar } from '@/core/model/calendar';
import { newCalendar } from '@/core/model/calendar';
import type { EventTime } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { isSeries } from '@/core/model/event';
import { nanoid } from 'nanoid';
import type { EpochMs } from '@/core/time/units';
import type { Edit } from '../change';
import type { Plan } from '../commands/plan';
import { yieldToEventLoop } from '../yieldToEventLoop';
import type { Odd } from './incoming';
import { asRuled, asTidied, oddOf } from './incoming';
import type { FilesInside } from './filesInside';
import { withFilesKept, withoutFiles } from './filesInside';
import type { FileStore } from '../storage/fileStore';
import type { Repository } from '../repository';

/** Files larger than this are not read: what they hold would not fit in memory several times over. */
const MAX_BYTES = 32 * 1024 * 1024;
/** Rows and problems that a preview lists. */
const ROWS = 50;
const PROBLEMS = 200;
/** Rows that show what a table's columns hold. */
const SAMPLES = 3;
/** Rows that a guess of what columns mean looks at. */
const GUESSED_FROM = 50;

export interface ImportProgress {
  done: number;
  total: number;
}

export interface ImportRow {
  title: string;
  start: EventTime;
  end: EventTime;
  repeats: boolean;
  fate: Fate;
}

/** What a file would bring, for a look before it does. */
export interface ImportPreview {
  fileName: string;
  /** The calendar's name in the file, or made from the file's. */
  calendarName: string;
  counts: FileContents['counts'];
  /** Entries of the file, of which each comes in or is left out. */
  sums: { inFile: number; comesIn: number; leftOut: number };
  /** Names of the calendars that its entries go to, where the file says so; empty for the chosen one. */
  calendars: string[];
  series: number;
  fates: Record<Fate, number>;
  rows: ImportRow[];
  skipped: Problem[];
  /** Problems in all; `skipped` lists the first of them. */
  problems: number;
  notes: string[];
  odd: Odd;
  /** Whether it is an invitation or an answer, which can be taken in as such. */
  isInvitation: boolean;
}

/** A table file, opened but not read yet. */
export interface TableLook {
  fileName: string;
  columns: string[];
  signature: string;
  guessed: ColumnMap;
  /** As its dates tell; null when they could be either. */
  order: DateOrder | null;
  /** Whether any date would be another day in the other order. */
  isOrderAsked: boolean;
  rows: number;
  samples: string[][];
}

/** The calendar that new events go to: one that is there, or a new one. */
export type ImportTarget = ({ calendarId: string } | { newCalendar: Calendar }) & {
  /** Whether what is odd is put right on the way. */
  isTidied?: boolean;
};

export interface ImportResult {
  added: number;
  updated: number;
  label: string;
}

/** Words for a file that was stopped; the page knows it stopped. */
const STOPPED = 'The import was stopped. Nothing was changed.';

function nameFromFile(fileName: string): string {
  return (
    fileName
      .replace(/\.[^.]*$/, '')
      .replaceAll(/[_-]+/g, ' ')
      .trim() || 'Imported'
  );
}

/** Brings files in: reads one for a preview, then keeps what it holds as one change. */
export class Importer {
  private read: { fileName: string; contents: FileContents; inside: FilesInside } | null = null;
  private table: { fileName: string; table: Table } | null = null;
  private run = 0;

  constructor(
    private readonly repository: Repository,
    private readonly files: Pick<FileStore, 'put'>,
  ) {}

  stop(): void {
    this.run++;
    this.read = null;
    this.table = null;
  }

  /** @throws FileError when nothing can come in, or when it was stopped. */
  async preview(
    files: readonly (Blob & { name: string })[],
    now: EpochMs,
    onProgress: (progress: ImportProgress) => void,
  ): Promise<ImportPreview> {
    this.stop();
    const run = this.run;
    const read: { name: string; contents: FileContents }[] = [];
    const bad: Problem[] = [];
    for (const file of files) {
      try {
        checkSize(file);
        const { text, note } = decodeText(new Uint8Array(await file.arrayBuffer()));
        const contents = await this.readOne(text, { now, run, onProgress });
        if (note) contents.notes.unshift(note);
        read.push({ name: file.name, contents });
      } catch (error) {
        // One bad file of several keeps none of the others out.
        if (!(error instanceof FileError) || files.length === 1 || run !== this.run) throw error;
        bad.push({ line: 1, what: `${file.name} stays out: ${error.message}` });
      }
    }
    if (!read.length) throw new FileError(bad.map(({ what }) => what).join(' '));
    const fileName = files.length === 1 ? files[0]!.name : `${files.length} files`;
    const contents = mergeContents(read);
    return this.look(fileName, { ...contents, skipped: [...bad, ...contents.skipped] });
  }

  private async readOne(
    text: string,
    { now, run, onProgress }: { now: EpochMs; run: number; onProgress(p: ImportProgress): void },
  ): Promise<FileContents> {
    const reader = readCalendarFile(text, now);
    let step = reader.next();
    while (!step.done) {
      onProgress(step.value);
      await yieldToEventLoop();
      if (run !== this.run) throw new FileError(STOPPED);
      step = reader.next();
    }
    return step.value;
  }

  private look(fileName: string, contents: FileContents): ImportPreview {
    const { contents: bare, inside } = withoutFiles(contents);
    this.read = { fileName, contents: bare, inside };
    const plan = this.compared(this.categorised(bare).contents, 'preview');
    return { ...describe(fileName, bare, plan), odd: oddOf(this.repository, plan) };
  }

  /**
   * Opens a table file, to find out what its columns mean.
   * @throws FileError when it has no rows.
   */
  async openTable(file: Blob & { name: string }): Promise<TableLook> {
    this.stop();
    checkSize(file);
    const { text } = decodeText(new Uint8Array(await file.arrayBuffer()));
    const table = readTable(text);
    this.table = { fileName: file.name, table };
    const samples = table.rows.slice(0, GUESSED_FROM).map(({ cells }) => cells);
    const guessed = guessColumns(table.columns, samples);
    const dates = [guessed.startDate, guessed.endDate].filter((column) => column !== undefined);
    const texts = table.rows.flatMap(({ cells }) =>
      dates.map((column) => (cells[column] ?? '').trim()),
    );
    return {
      fileName: file.name,
      columns: table.columns,
      signature: signatureOf(table.columns),
      guessed,
      order: dateOrderOf(texts),
      isOrderAsked: isOrderAsked(texts),
      rows: table.rows.length,
      samples: table.rows.slice(0, SAMPLES).map(({ cells }) => cells),
    };
  }

  /** @throws FileError when no table was opened. */
  previewTable(reading: TableReading): ImportPreview {
    if (!this.table) throw new FileError('Choose the file again: none is open.');
    return this.look(this.table.fileName, readRows(this.table.table, reading));
  }

  /** The file's categories as the app's; new ones get inks that none has. */
  private categorised(contents: FileContents) {
    const present = this.repository.all('category');
    const inks = present.map(({ ink }) => ink);
    const first = Math.max(-1, ...present.map(({ order }) => order)) + 1;
    return takeCategories(contents, present, (name, nth) => {
      const ink = freeInk(inks);
      inks.push(ink);
      return { id: nanoid(12), name, ink, order: first + nth };
    });
  }

  private compared(contents: FileContents, calendarId: string): ImportPlan {
    const byUid = new Map<string, CalendarEvent[]>();
    const followed = new Set(
      this.repository.all('calendar').flatMap((c) => (c.kind === 'followed' ? [c.id] : [])),
    );
    for (const event of this.repository.all('event')) {
      if (followed.has(event.calendarId)) continue;
      const same = byUid.get(event.uid);
      if (same) same.push(event);
      else byUid.set(event.uid, [event]);
    }
    const tasks = new Map(this.repository.all('task').map((task) => [task.uid, task]));
    const present = {
      eventsOf: (uid: string) => byUid.get(uid) ?? [],
      taskOf: (uid: string) => tasks.get(uid),
    };
    return planImport(contents, calendarId, present, () => nanoid(12));
  }

  /**
   * New entries that name a calendar go there, whatever was chosen for the rest: to one of the person's,
   * or to one that went along in the file and is made. Of a file of one calendar, what was chosen counts.
   */
  private onNamedCalendars(
    plan: ImportPlan,
    { calendarNames, calendars }: FileContents,
  ): { plan: ImportPlan; made: Calendar[] } {
    if (!calendarNames.size || calendars.size === 1) return { plan, made: [] };
    const all = this.repository.all('calendar');
    const own = all.filter(({ kind, removedAt }) => kind === 'own' && removedAt === undefined);
    const byName = new Map(own.map(({ id, name }) => [name.trim().toLowerCase(), id]));
    const made: Calendar[] = [];
    const first = Math.max(-1, ...all.map(({ order }) => order)) + 1;
    const idFor = (uid: string): string | undefined => {
      const name = calendarNames.get(uid)?.toLowerCase() ?? '';
      const carried = calendars.get(name);
      if (!byName.has(name) && carried) {
        const calendar = newCalendar({ ...carried, id: nanoid(12), order: first + made.length });
        made.push(calendar);
        byName.set(name, calendar.id);
      }
      return byName.get(name);
    };
    const placed = <T extends { after: { uid: string; calendarId?: string | undefined } }>(
      planned: T,
      isNew: boolean,
    ): T => {
      const calendarId = isNew ? idFor(planned.after.uid) : undefined;
      return calendarId === undefined
        ? planned
        : { ...planned, after: { ...planned.after, calendarId } };
    };
    const events = plan.events.map((planned) => placed(planned, planned.fate === 'new'));
    const tasks = plan.tasks.map((planned) => placed(planned, planned.before === undefined));
    return { plan: { ...plan, events, tasks }, made };
  }

  /**
   * The change that brings in what the last preview read.
   * @throws FileError when none was, or its calendar is gone.
   */
  async plan(
    target: ImportTarget,
    now: EpochMs,
  ): Promise<Plan & Pick<ImportResult, 'added' | 'updated'>> {
    if (!this.read) throw new FileError('Choose the file again: nothing is waiting to come in.');
    const { fileName, inside } = this.read;
    const { contents, made } = this.categorised(this.read.contents);
    const existing =
      'calendarId' in target ? this.repository.get('calendar', target.calendarId) : undefined;
    const calendar = 'newCalendar' in target ? target.newCalendar : existing;
    if (!calendar) throw new FileError('The chosen calendar is gone. Choose another one.');
    const { plan: compared, made: calendars } = this.onNamedCalendars(
      this.compared(contents, calendar.id),
      contents,
    );
    const whole = asRuled(this.repository, compared);
    const { plan, joined } = target.isTidied
      ? asTidied(this.repository, whole, now)
      : { plan: whole, joined: [] };
    const comesFrom = plan.events.filter(({ fate }) => fate === 'new' || fate === 'updated');
    const events = await withFilesKept(comesFrom, inside, this.files);
    const edits: Edit[] = [
      ...events.map(({ before, after }): Edit => ({
        type: 'event',
        before: before ?? null,
        after: { ...after, broughtIn: fileName },
      })),
      ...plan.tasks.map(({ before, after }): Edit => ({
        type: 'task',
        before: before ?? null,
        after,
      })),
    ];
    edits.push(...joined);
    edits.push(...made.map((after): Edit => ({ type: 'category', before: null, after })));
    // A new calendar is like the one that went along alone; where all entries have one, it is not made.
    const [alone] = contents.calendars.size === 1 ? [...contents.calendars.values()] : [];
    const { order } = calendar;
    const filled = withFileExtras(
      alone && !existing ? { ...calendar, ...alone, name: calendar.name, order } : calendar,
      contents,
    );
    const comesIn = [...plan.events, ...plan.tasks].some(
      ({ before, after }) => !before && after.calendarId === calendar.id,
    );
    if (existing ? filled !== existing : comesIn)
      edits.unshift({ type: 'calendar', before: existing ?? null, after: filled });
    edits.unshift(...calendars.map((after): Edit => ({ type: 'calendar', before: null, after })));
    const { new: added, updated } = plan.counts;
    return { label: `Imported ${fileName}`, edits, added, updated: updated + joined.length };
  }

  /** What was read is not asked for any more. */
  forget(): void {
    this.read = null;
  }
}

function checkSize(file: Blob): void {
  if (file.size <= MAX_BYTES) return;
  const megabytes = (bytes: number) => `${Math.round(bytes / 1024 / 1024)} MB`;
  throw new FileError(
    `The file is ${megabytes(file.size)}; files of up to ${megabytes(MAX_BYTES)} can be brought in. ` +
      'Nothing was read from line 1 on. Export it in parts, for example a year at a time.',
  );
}

/** How many entries there are, come in, and are left out: unread, older, or here already as they are. */
function sumsOf({ counts, leftOut, entriesOf, tasks }: FileContents, plan: ImportPlan) {
  const inFile = counts.events + counts.tasks;
  const planned = new Set(plan.tasks.map(({ after }) => after.uid));
  const here = new Set([
    ...plan.events
      .filter(({ fate }) => fate === 'unchanged' || fate === 'older')
      .map(({ after }) => after.uid),
    ...tasks.flatMap(({ uid }) => (planned.has(uid) ? [] : [uid])),
  ]);
  const left = [...here].reduce((sum, uid) => sum + (entriesOf.get(uid) ?? 0), leftOut);
  return { inFile, comesIn: inFile - left, leftOut: left };
}

function describe(
  fileName: string,
  contents: FileContents,
  plan: ImportPlan,
): Omit<ImportPreview, 'odd'> {
  const events = plan.events;
  return {
    fileName,
    calendarName: contents.name || nameFromFile(fileName),
    counts: contents.counts,
    sums: sumsOf(contents, plan),
    calendars:
      contents.calendars.size > 1 ? [...contents.calendars.values()].map(({ name }) => name) : [],
    series: events.filter(({ after }) => isSeries(after)).length,
    fates: plan.counts,
    rows: events.slice(0, ROWS).map(({ after, fate }) => ({
      title: after.title,
      start: after.start,
      end: after.end,
      repeats: isSeries(after),
      fate,
    })),
    skipped: contents.skipped.slice(0, PROBLEMS),
    problems: contents.skipped.length,
    notes: [...contents.notes, ...plan.notes],
    isInvitation: isBetweenPeople(contents.method),
  };
}

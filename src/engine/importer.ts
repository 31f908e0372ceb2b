import { decodeText } from '@/core/files/ics/decode';
import type { Problem } from '@/core/files/ics/jcal';
import type { Fate, ImportPlan } from '@/core/files/ics/plan';
import { planImport, withFileExtras } from '@/core/files/ics/plan';
import type { FileContents } from '@/core/files/ics/readFile';
import { readCalendarFile } from '@/core/files/ics/readFile';
import { FileError } from '@/core/files/ics/scan';
import type { Calendar } from '@/core/model/calendar';
import type { EventTime } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { isSeries } from '@/core/model/event';
import { nanoid } from 'nanoid';
import type { Edit } from './change';
import { breathe } from './breathe';
import type { Repository } from './repository';

/** Files larger than this are not read: what they hold would not fit in memory several times over. */
const MAX_BYTES = 32 * 1024 * 1024;
/** Rows and problems that a preview lists. */
const ROWS = 50;
const PROBLEMS = 200;

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
  series: number;
  fates: Record<Fate, number>;
  rows: ImportRow[];
  skipped: Problem[];
  /** Problems in all; `skipped` lists the first of them. */
  problems: number;
  notes: string[];
}

/** The calendar that new events go to: one that is there, or a new one. */
export type ImportTarget = { calendarId: string } | { newCalendar: Calendar };

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
  private read: { fileName: string; contents: FileContents } | null = null;
  private run = 0;

  constructor(private readonly repository: Repository) {}

  stop(): void {
    this.run++;
    this.read = null;
  }

  /** @throws FileError when nothing can come in, or when it was stopped. */
  async preview(
    file: Blob & { name: string },
    now: number,
    onProgress: (progress: ImportProgress) => void,
  ): Promise<ImportPreview> {
    this.stop();
    const run = this.run;
    checkSize(file);
    const { text, note } = decodeText(new Uint8Array(await file.arrayBuffer()));
    const reader = readCalendarFile(text, now);
    let step = reader.next();
    while (!step.done) {
      onProgress(step.value);
      await breathe();
      if (run !== this.run) throw new FileError(STOPPED);
      step = reader.next();
    }
    const contents = step.value;
    if (note) contents.notes.unshift(note);
    this.read = { fileName: file.name, contents };
    return describe(file.name, contents, this.plan(contents, 'preview'));
  }

  private plan(contents: FileContents, calendarId: string): ImportPlan {
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

  /** Keeps what the last preview read, as one change. */
  async apply(target: ImportTarget, now: number): Promise<ImportResult> {
    if (!this.read) throw new FileError('Choose the file again: nothing is waiting to come in.');
    const { fileName, contents } = this.read;
    const existing =
      'calendarId' in target ? this.repository.get('calendar', target.calendarId) : undefined;
    const calendar = 'newCalendar' in target ? target.newCalendar : existing;
    if (!calendar) throw new FileError('The chosen calendar is gone. Choose another one.');
    const plan = this.plan(contents, calendar.id);
    const events = plan.events.filter(({ fate }) => fate === 'new' || fate === 'updated');
    const edits: Edit[] = [
      ...events.map(({ before, after }): Edit => ({
        type: 'event',
        before: before ?? null,
        after,
      })),
      ...plan.tasks.map(({ before, after }): Edit => ({
        type: 'task',
        before: before ?? null,
        after,
      })),
    ];
    const filled = withFileExtras(calendar, contents);
    const comesIn = plan.counts.new > 0 || plan.tasks.length > 0;
    if (existing ? filled !== existing : comesIn)
      edits.unshift({ type: 'calendar', before: existing ?? null, after: filled });
    const label = `Imported ${fileName}`;
    if (edits.length) await this.repository.commit({ label, at: now, edits });
    this.read = null;
    return { added: plan.counts.new, updated: plan.counts.updated, label };
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

function describe(fileName: string, contents: FileContents, plan: ImportPlan): ImportPreview {
  const events = plan.events;
  return {
    fileName,
    calendarName: contents.name || nameFromFile(fileName),
    counts: contents.counts,
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
    notes: contents.notes,
  };
}

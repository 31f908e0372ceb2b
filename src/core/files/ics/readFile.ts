import type { EventTime, JcalComponent, JcalProperty } from '../../model/common';
import type { EpochMs } from '../../time/units';
import { checkRecord } from '../../model/records';
import { quotedTitle } from '../../model/titleOf';
import type { AnswerDraft } from './answers';
import type { CarriedCalendar } from './carried';
import { CALENDAR_PROPERTY, IN_CALENDAR_PROPERTY, readCarried } from './carried';
import type { Problem } from './jcal';
import { parseComponent, property, textValue } from './jcal';
import type { EventDraft } from './readEvent';
import { changedDateFrom, epochOf, readEvent, recurrenceOf } from './readEvent';
import type { TaskDraft } from './readTask';
import { readTask } from './readTask';
import { dateKeyFor } from './readTimes';
import { findEntries } from './entries';
import type { RawComponent } from './scan';
import { FileError, scanComponents } from './scan';
import { faultyTime } from './faultyTimes';
import { FileZones } from './zoneOfFile';
import { UserError, userErrorCode } from '../../userError';

/** One date of a series that is elsewhere; the draft can also stand by itself. */
export interface LooseDate {
  draft: EventDraft;
  time: EventTime;
  andLater: boolean;
  /** Whether this app wrote the file. */
  isOwnFile: boolean;
}

/** What a calendar file holds. */
export interface FileContents {
  /** The calendar's own name, when the file gives one. */
  name: string;
  events: EventDraft[];
  /** Changed dates whose series is not in the file. */
  looseDates: LooseDate[];
  tasks: TaskDraft[];
  /** What was answered to events of one's own: it changes those, and is no event itself. */
  answers: AnswerDraft[];
  /** Other times that somebody proposes (COUNTER), or that were turned down (DECLINECOUNTER). */
  proposals: AnswerDraft[];
  /** What a file of a message between people wants (METHOD, RFC 5546); empty for a plain calendar. */
  method: string;
  /** When each entry of such a message was written (DTSTAMP), epoch ms. */
  stamps: Map<EventDraft, EpochMs>;
  /** UIDs of entries that this app wrote: what these leave out is not there. */
  ownUids: ReadonlySet<string>;
  /** Names of the calendars that entries say they are of, by UID: tables have such a column. */
  calendarNames: Map<string, string>;
  /** Calendars that go along in the file (`carried`), by their names in small letters. */
  calendars: Map<string, CarriedCalendar>;
  /** Components that the app has no use for, and properties of the calendar: kept for export. */
  otherComponents: JcalComponent[];
  properties: JcalProperty[];
  /** Components read: VEVENT (changed dates included), VTODO, and VEVENT with RECURRENCE-ID. */
  counts: { events: number; tasks: number; overrides: number };
  /** Of those, the entries that stay out; each is among `skipped`, with its reason. */
  leftOut: number;
  /** How many entries of the file there are of each UID that comes in: the whole, and its changed dates. */
  entriesOf: Map<string, number>;
  /** Entries and lines that stay out, in order of line. */
  skipped: Problem[];
  /** What was read differently than it stands. */
  notes: string[];
}

export interface ReadProgress {
  done: number;
  total: number;
}

/** Entries after which the reader gives others a turn. */
const BATCH = 100;
/** The most changed dates of one series, and the most added and left-out ones: with more, nothing could be done at once. */
const MOST_CHANGED = 5000;
const MOST_OWN_DATES = 20_000;
/** Methods whose messages need no DTSTART (RFC 5546 §3.2): what they are about is known by its UID. */
const WITHOUT_START: ReadonlySet<string> = new Set([
  'REPLY',
  'CANCEL',
  'REFRESH',
  'DECLINECOUNTER',
]);

/** A message without a start gets that of the date it names, else the beginning of time. */
function withStart(component: JcalComponent): void {
  if (property(component, 'dtstart')) return;
  const named = property(component, 'recurrence-id');
  component[1].push(
    named
      ? ['dtstart', { ...named[1], range: undefined }, named[2], named[3]]
      : ['dtstart', {}, 'date-time', '1970-01-01T00:00:00Z'],
  );
}

/** Messages that speak of an event and are none (RFC 5546 §1.4). */
const PROPOSALS: ReadonlySet<string> = new Set(['COUNTER', 'DECLINECOUNTER', 'REFRESH']);
/** A rule of what a rule leaves out, which the standard has given up (RFC 5545 §A.3). */
const NO_EXRULE =
  'a rule of dates that it leaves out (EXRULE) is kept and not followed, so that these dates are shown';
/** Properties without which an event says something else than it should. */
const ESSENTIAL = /^(DTSTART|DTEND|DURATION|RRULE|RDATE|EXDATE|RECURRENCE-ID|UID)\b/i;
const FILE_PROPERTIES = new Set([
  'version',
  'prodid',
  'calscale',
  'method',
  'x-wr-calname',
  'name',
  CALENDAR_PROPERTY,
]);

interface ReadEntry {
  line: number;
  /** The RECURRENCE-ID line; without one the rest of the component is let go. */
  recurrenceId?: JcalProperty;
  uid: string;
  draft: EventDraft;
  recurrence: ReturnType<typeof recurrenceOf>;
}

/** FNV-1a: the same entry without a UID gets the same made-up one whenever it is read. */
function uidFor(component: RawComponent): string {
  let hash = 0x811c9dc5;
  for (const { text } of component.lines) {
    for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  }
  return `no-uid-${(hash >>> 0).toString(16)}-${component.lines.length}@orderly-week`;
}

/** How many dates an entry adds and leaves out, before any of them is read. */
const ownDates = ({ lines }: RawComponent): number =>
  lines.reduce(
    (sum, { text }) => (/^(RDATE|EXDATE)\b/i.test(text) ? sum + text.split(',').length : sum),
    0,
  );

/** The parser leaves properties that it doesn't know as they stand; this one is TEXT (RFC 5545 §3.3.11). */
function unescapeText(text: string): string {
  return text.replaceAll(/\\([\\;,nN])/g, (_all, c: string) => (c === 'n' || c === 'N' ? '\n' : c));
}

/** How this app begins the PRODID of its files (RFC 5545 §3.7.3). */
export const OWN_PRODUCT = '-//Orderly Week//';

class Reader {
  readonly contents: FileContents;
  private isOwnFile = false;
  /** What the file is about, where it is a message (METHOD, RFC 5546 §1.4). */
  private readonly zones: FileZones;
  private readonly entries: ReadEntry[] = [];

  constructor(
    private readonly components: RawComponent[],
    private readonly now: EpochMs,
  ) {
    this.zones = new FileZones(components.filter((c) => c.name === 'VTIMEZONE'));
    this.contents = {
      name: '',
      events: [],
      looseDates: [],
      tasks: [],
      answers: [],
      proposals: [],
      method: '',
      stamps: new Map(),
      ownUids: new Set(),
      calendarNames: new Map(),
      calendars: new Map(),
      otherComponents: [],
      properties: [],
      counts: { events: 0, tasks: 0, overrides: 0 },
      leftOut: 0,
      entriesOf: new Map(),
      skipped: [],
      notes: [],
    };
  }

  readHeader(calendar: RawComponent): void {
    const { jcal, bad } = parseComponent({ ...calendar, children: [] });
    this.isOwnFile ||= textValue(jcal, 'prodid').startsWith(OWN_PRODUCT);
    this.contents.method ||= textValue(jcal, 'method').toUpperCase();
    this.contents.name ||= unescapeText(textValue(jcal, 'x-wr-calname')) || textValue(jcal, 'name');
    for (const [name, , , value] of jcal[1])
      if (name === CALENDAR_PROPERTY) this.takeCarried(unescapeText(String(value)));
    this.contents.properties.push(...jcal[1].filter(([name]) => !FILE_PROPERTIES.has(name)));
    for (const { line } of bad) this.leaveOut(line, 'a line of the calendar can’t be read');
  }

  private takeCarried(text: string): void {
    const carried = readCarried(text);
    if (carried) this.contents.calendars.set(carried.name.toLowerCase(), carried);
  }

  /** Which calendar an entry says that it lies on. */
  private noteCalendar(jcal: JcalComponent, uid: string): void {
    const name = unescapeText(textValue(jcal, IN_CALENDAR_PROPERTY));
    if (name) this.contents.calendarNames.set(uid, name);
  }

  *read(): Generator<ReadProgress> {
    const total = this.components.length;
    // Each is let go once it is read: 20,000 of them, and what they become, are much to hold at once.
    this.components.reverse();
    for (let i = 0; i < total; i++) {
      const component = this.components.pop()!;
      if (i % BATCH === 0) yield { done: i, total };
      if (component.name === 'VEVENT') this.readEntry(component);
      else if (component.name === 'VTODO') this.readTask(component);
      else if (component.name !== 'VTIMEZONE') this.keep(component);
    }
    this.group();
    this.contents.notes.push(...this.zones.notes);
    this.contents.skipped.sort((a, b) => a.line - b.line);
    yield { done: total, total };
  }

  private leaveOut(line: number, what: string): void {
    this.contents.skipped.push({ line, what });
  }

  /** An entry stays out, whole. */
  private leaveOutEntry(line: number, what: string): void {
    this.contents.leftOut++;
    this.leaveOut(line, what);
  }

  private comesIn(uid: string): void {
    this.contents.entriesOf.set(uid, (this.contents.entriesOf.get(uid) ?? 0) + 1);
  }

  private keep(component: RawComponent): void {
    const { jcal, bad } = parseComponent(component);
    this.contents.otherComponents.push(jcal);
    for (const { line } of bad) this.leaveOut(line, `a line of ${component.name} can’t be read`);
  }

  private readTask(component: RawComponent): void {
    const parsed = parseComponent(component);
    for (const { line } of parsed.bad) this.leaveOut(line, 'a line of a task can’t be read');
    this.contents.counts.tasks++;
    const uid = textValue(parsed.jcal, 'uid') || uidFor(component);
    try {
      this.contents.tasks.push(checkRecord('task', readTask(parsed, this.zones, uid, this.now)));
      this.comesIn(uid);
      this.noteCalendar(parsed.jcal, uid);
    } catch (error) {
      if (!isReadError(error)) throw error;
      const title = textValue(parsed.jcal, 'summary');
      this.leaveOutEntry(
        component.line,
        `The task “${title}” stays out: ${faultOf(error, component)}`,
      );
    }
  }

  private readEntry(component: RawComponent): void {
    const own = ownDates(component);
    if (own > MOST_OWN_DATES) {
      const what = `An entry with ${own} added or left-out dates stays out: it can have ${MOST_OWN_DATES}`;
      this.contents.counts.events++;
      return this.leaveOutEntry(component.line, what);
    }
    const parsed = parseComponent(component);
    const { counts } = this.contents;
    counts.events++;
    const title = textValue(parsed.jcal, 'summary');
    const named = title ? `“${title}”` : 'An entry without a title';
    const essential = parsed.bad.find(({ text }) => ESSENTIAL.test(text));
    if (essential) {
      this.leaveOutEntry(
        essential.line,
        `${named} stays out: this line can’t be read: ${essential.text.slice(0, 60)}`,
      );
      return;
    }
    for (const { line, text } of parsed.bad) {
      this.leaveOut(
        line,
        `${named} comes in without this line, which can’t be read: ${text.slice(0, 60)}`,
      );
    }
    try {
      const uid = textValue(parsed.jcal, 'uid') || uidFor(component);
      if (WITHOUT_START.has(this.contents.method)) withStart(parsed.jcal);
      const recurrence = recurrenceOf(parsed.jcal, this.zones);
      if (recurrence) counts.overrides++;
      const { draft, note } = readEvent(parsed, this.zones, uid, this.now);
      // The ids that stand in for the check are written over when the draft is kept: taking them
      // out again would copy every field of every event.
      const checked: EventDraft = checkRecord('event', draft);
      const tell = (what: string) =>
        this.contents.notes.push(`Line ${component.line}: ${named}: ${what}.`);
      if (note) tell(note);
      if (property(parsed.jcal, 'exrule')) tell(NO_EXRULE);
      this.noteCalendar(parsed.jcal, uid);
      const recurrenceId = recurrence ? property(parsed.jcal, 'recurrence-id') : undefined;
      if (this.contents.method)
        this.contents.stamps.set(checked, epochOf(parsed.jcal, 'dtstamp') ?? checked.updated);
      this.entries.push({ line: component.line, recurrenceId, uid, draft: checked, recurrence });
    } catch (error) {
      if (!isReadError(error)) throw error;
      this.leaveOutEntry(component.line, `${named} stays out: ${faultOf(error, component)}`);
    }
  }

  private takeAnswers(): void {
    for (const { draft, recurrence } of this.entries)
      this.contents.answers.push({ draft, time: recurrence?.time ?? null });
  }

  private takeProposals(): void {
    for (const { line, draft, recurrence } of this.entries) {
      this.contents.proposals.push({ draft, time: recurrence?.time ?? null });
      this.leaveOut(
        line,
        `${quotedTitle(draft)} proposes another time: open it under Invitations to look at that`,
      );
    }
  }

  /** Puts changed dates into their series; of several entries with one UID the latest revision counts. */
  private group(): void {
    if (this.contents.method === 'REPLY') return this.takeAnswers();
    if (PROPOSALS.has(this.contents.method)) return this.takeProposals();
    const series = new Map<string, ReadEntry>();
    for (const entry of this.entries) {
      if (entry.recurrence) continue;
      const other = series.get(entry.uid);
      const isOlder = other && other.draft.revision > entry.draft.revision;
      if (other) {
        const { line, draft } = isOlder ? entry : other;
        this.leaveOutEntry(
          line,
          `${quotedTitle(draft)} stays out: the file has it twice, and this is the older`,
        );
      }
      if (!isOlder) series.set(entry.uid, entry);
    }
    for (const uid of series.keys()) this.comesIn(uid);
    const changed = this.entries
      .filter((entry) => entry.recurrence)
      .sort((a, b) => a.draft.revision - b.draft.revision);
    for (const entry of changed) {
      const whole = series.get(entry.uid);
      if (whole) this.addChange(whole, entry);
    }
    for (const entry of series.values()) this.contents.events.push(entry.draft);
    if (this.isOwnFile) this.contents.ownUids = new Set(series.keys());
    for (const entry of changed) {
      if (!series.has(entry.uid)) this.addLoose(looseDate(entry, this.isOwnFile), entry);
    }
  }

  private addLoose(date: LooseDate, { draft }: ReadEntry): void {
    this.contents.looseDates.push(date);
    this.comesIn(date.draft.uid);
    const stamp = this.contents.stamps.get(draft);
    if (stamp !== undefined) this.contents.stamps.set(date.draft, stamp);
  }

  private addChange(whole: ReadEntry, entry: ReadEntry): void {
    const { time, andLater } = entry.recurrence!;
    if (Object.keys(whole.draft.changedDates).length >= MOST_CHANGED)
      return this.leaveOutEntry(
        entry.line,
        `“${entry.draft.title}” has more than ${MOST_CHANGED} changed dates: this one stays out`,
      );
    const key = dateKeyFor(whole.draft.start, time);
    this.comesIn(entry.uid);
    const date = { key, andLater, isOwnFile: this.isOwnFile };
    whole.draft.changedDates[key] = changedDateFrom(whole.draft, entry.draft, date);
  }
}

/** By itself, a changed date keeps its RECURRENCE-ID among what passes through. */
function looseDate(entry: ReadEntry, isOwnFile: boolean): LooseDate {
  const id = entry.recurrenceId!;
  const kept = entry.draft.passthrough ?? { properties: [], components: [] };
  return {
    ...entry.recurrence!,
    isOwnFile,
    draft: { ...entry.draft, passthrough: { ...kept, properties: [id, ...kept.properties] } },
  };
}

function isReadError(error: unknown): error is Error {
  return error instanceof RangeError || error instanceof UserError;
}

/** Why an entry can't be read: the words of its file say more than what was made of them. */
const faultOf = (error: Error, { lines }: RawComponent): string =>
  (error instanceof RangeError || userErrorCode(error) === 'unreadable'
    ? faultyTime(lines)
    : null) ?? (error instanceof UserError ? error.message : 'a date or time of it does not exist');

/**
 * Reads the text of an iCalendar file, giving others a turn after each batch. Entries that are
 * wrong by themselves are listed in `skipped`, and the rest comes in.
 * @throws FileError when nothing can come in, with the line at fault.
 */
export function* readCalendarFile(
  text: string,
  now: EpochMs,
): Generator<ReadProgress, FileContents> {
  const roots = scanComponents(text);
  const { components, calendars, misplaced } = findEntries(roots);
  const reader = new Reader(components, now);
  for (const calendar of calendars) reader.readHeader(calendar);
  for (const { line, what } of misplaced) reader.contents.notes.push(`Line ${line}: ${what}.`);
  yield* reader.read();
  const { contents } = reader;
  const { events, looseDates, tasks, answers, proposals } = contents;
  const nothing = [events, looseDates, tasks, answers, proposals].every((all) => !all.length);
  const [first] = contents.skipped;
  if (nothing && first) {
    throw new FileError(`Nothing in this file can be read. Line ${first.line}: ${first.what}`);
  }
  return contents;
}

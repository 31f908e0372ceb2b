import { nanoid } from 'nanoid';
import { useEffect, useState } from 'react';
import { wantsRoom } from '@/core/calendars/rooms';
import { spanOnClock } from '@/core/agenda/onClock';
import { homeTimes, ownTimes } from '@/core/editing/bothTimes';
import { newTask } from '@/core/model/task';
import { saysDue, startIn, taskOfJot } from '@/core/tasks/jotTask';
import { draftOf } from '@/core/editing/drafting';
import type { Times } from '@/core/editing/form';
import { spanOf, timesOf, timesProblem } from '@/core/editing/form';
import type { Span } from '@/core/layout/drag';
import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import { attendeesOf } from '@/core/people/guests';
import type { Repeat } from '@/core/recurrence/repeat';
import { firstStart } from '@/core/recurrence/repeat';
import type { Weekday } from '@/core/time/civil';
import type { Jot, JotPartKind } from '@/core/jot/jot';
import { HOUR_OPEN, isHourOpen } from '@/core/jot/jot';
import { MINUTE } from '@/core/time/civil';
import { sayLength } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import { useDo } from '@/data/commands';
import { LINE, NEW_EVENT, useDraft } from '@/data/drafts';
import { useMessages } from '@/data/messages';
import { useNow } from '@/data/now';
import { NO_CALENDAR, useOnceOpen } from '@/data/onceOpen';
import type { Preferences } from '@/data/preferences';
import { usePeople } from '@/data/people';
import { useCategories, useLastLike } from '@/data/queries';
import { useRooms } from '@/data/rooms';
import { useRuled } from '@/data/rules';
import type { ChosenJot } from '@/features/now/useJot';
import { saidFields } from '@/features/now/saidFields';
import { useJot } from '@/features/now/useJot';
import { useTaskStart } from '@/features/tasks/useTaskStart';
import { useReadable } from '@/ui/unreadable';

export interface Adding {
  /** The time that was pressed or drawn; null when the line has to say it. */
  span: Span | null;
  /** The day that a line without a date means. */
  day: DayNumber;
  calendars: readonly Calendar[];
  preferences: Preferences;
  defaultCalendarId: string;
  onAllDetails(draft: CalendarEvent): void;
  /** Told of the draft's time as it changes, so that it can be shown on the sheet. */
  onDraft(span: Span | null): void;
  /** Told when what was typed is about to be kept: whoever adds again meanwhile begins anew. */
  onKeeping(isKeeping: boolean): void;
  onKept(span: Span): void;
}

/** What the person has put right by hand; it holds against what the line says. */
interface Corrections {
  times?: Times;
  place?: string;
  calendarId?: string;
  repeat?: Repeat;
  categoryIds?: string[];
  reminders?: CalendarEvent['reminders'];
  hasRoom?: boolean;
  /** Whether it is something to be done, and no event. */
  isTask?: boolean;
  /** Whether those whom the line is with are asked. */
  hasGuests?: boolean;
}

type Part = 'when' | 'where' | 'repeat' | 'reminders';

/** The span that counts: corrected, said in the line, pressed on the sheet; in that order. */
function spanMeant(
  corrections: Corrections,
  { jot, span }: Pick<ChosenJot, 'jot' | 'span'>,
  pressed: Span | null,
): Span {
  if (corrections.times) return spanOf(corrections.times);
  if (!pressed || jot.saysDay || jot.saysTime) return span;
  if (jot.length === null || pressed.wholeDay) return pressed;
  return { ...pressed, end: pressed.start + jot.length * MINUTE, lasts: true };
}

/** The span on the first day from its own on that a repeat has. */
function begun(span: Span, { pattern }: Repeat, workdays: readonly Weekday[]): Span {
  const start = firstStart(pattern, span.start, workdays);
  return { ...span, start, end: span.end + (start - span.start) };
}

/** Offers what an event of the same title had the last time, as far as the line says nothing of it. */
function useAsLastTime(
  jot: Jot,
  corrections: Corrections,
  { calendars, span }: { calendars: readonly Calendar[]; span: Span },
  correct: (fields: Corrections) => void,
): { says: string; take(): void } | null {
  const { data: last } = useLastLike(jot.title);
  if (!last) return null;
  const says = (kind: JotPartKind) => jot.parts.some((part) => part.kind === kind);
  const calendar = calendars.find(({ id }) => id === last.calendarId);
  const fields: Corrections = {};
  const words: string[] = [];
  const isOther = calendar && calendar.id !== jot.calendarId;
  if (isOther && !says('calendar') && corrections.calendarId === undefined) {
    fields.calendarId = calendar.id;
    words.push(calendar.name);
  }
  const length = (span.end - span.start) / MINUTE;
  const isLong = last.minutes !== null && last.minutes !== length;
  if (isLong && jot.saysTime && jot.length === null && corrections.times === undefined) {
    fields.times = timesOf({ ...span, end: span.start + last.minutes! * MINUTE });
    words.push(sayLength(last.minutes!));
  }
  if (last.place && last.place !== jot.place && !says('place') && corrections.place === undefined) {
    fields.place = last.place;
    words.push(last.place);
  }
  return words.length ? { says: words.join(', '), take: () => correct(fields) } : null;
}

/** What was put right by hand of what rules set. */
const ofRules = ({ calendarId, categoryIds, reminders }: Corrections) => ({
  calendarId,
  categoryIds,
  reminders,
});

/** A new event that is being made from a line, and from what is corrected in what was understood. */
export function useAdding(adding: Adding) {
  const { span: pressed, day, calendars, preferences, defaultCalendarId } = adding;
  const { onAllDetails, onDraft, onKeeping, onKept } = adding;
  const { zone: home, clock, wording, workdays, settings } = preferences;
  const act = useDo();
  const { say } = useMessages();
  const categories = useCategories();
  const { isReadable, report } = useReadable();
  const [id] = useState(() => nanoid(12));
  const [line, setLine] = useState('');
  const { draft: lineBefore, keep: putBy, drop, dropOf } = useDraft(LINE);
  const { draft: eventBefore, drop: dropEvent } = useDraft(NEW_EVENT);
  const before = line === '' ? (eventBefore ?? lineBefore) : undefined;
  function type(next: string) {
    setLine(next);
    if (next.trim()) putBy({ title: next.trim(), values: null });
    else drop();
  }
  const [corrections, setCorrections] = useState<Corrections>({});
  const [open, setOpen] = useState<Part | null>(null);
  const correct = (fields: Corrections) => setCorrections((last) => ({ ...last, ...fields }));

  const instant = useNow();
  const jotSetting = {
    ...{ day, calendars, preferences },
    defaultCalendarId: corrections.calendarId ?? defaultCalendarId,
  };
  // Only a task has a start beside when it is due.
  const parted = saysDue(line) ? startIn(line) : null;
  const taskStart = useTaskStart(parted?.start, jotSetting);
  const { notBefore } = taskStart;
  const read = useJot(parted?.rest ?? line, { ...jotSetting, notBefore });
  const { jot } = read;
  const repeat = corrections.repeat ?? jot.repeat;
  const meant = spanMeant(corrections, read, pressed);
  // What the line says by itself begins where it fits already, by the clock that it names.
  const span = meant === read.span ? meant : begun(meant, repeat, workdays);
  const place = corrections.place ?? jot.place;
  const jottedId = corrections.calendarId ?? jot.calendarId;
  const jotted = calendars.find(({ id }) => id === jottedId);
  const jottedCategories = corrections.categoryIds ?? jot.categoryIds;
  const reminders = corrections.reminders === undefined ? jot.reminders : corrections.reminders;
  const people = usePeople();
  const hasGuests = corrections.hasGuests ?? true;
  const guests = jot.guestIds.map((guest) => ({ id: guest, isRequired: true }));
  const times = corrections.times ?? timesOf(span);
  const problem = timesProblem(times);
  const byRule = useRuled(draft(), saidFields(jot, ofRules(corrections)));
  const { event } = byRule;
  const rooms = useRooms();
  const { calendarId, categoryIds } = event;
  const calendar = calendars.find((one) => one.id === calendarId);
  const hasRoom = corrections.hasRoom ?? wantsRoom(event, calendar, settings);
  const atHome = homeTimes(span, clock, home, wording);
  // A calendar may have a zone of its own.
  const itsOwn = jot.zone || calendar?.zone ? ownTimes(event, clock, wording) : null;

  const asLastTime = useAsLastTime(jot, corrections, { calendars, span }, correct);

  const { start, end, wholeDay } = spanOnClock(event, clock);
  useEffect(() => {
    onDraft({ start, end, wholeDay });
    return () => onDraft(null);
  }, [onDraft, start, end, wholeDay]);

  function draft(): CalendarEvent {
    const { title, link, zone, extras } = jot;
    const where = { calendarId: jottedId, categoryIds: jottedCategories };
    const attendees = hasGuests ? attendeesOf(guests, people) : [];
    const fields = { id, ...where, title, place, link, attendees, ...extras };
    const when = { span, repeat, reminders, clock, zone, named: jot, workdays, now: instant };
    return draftOf({ ...when, fields, calendar: jotted });
  }

  /** With a room where it is to have one; without where none is to be had, which was said. */
  const roomed = async () => (hasRoom ? { ...event, room: await rooms.give() } : event);

  const isTask = corrections.isTask ?? jot.task === 'said';
  const hasOpenHour = meant === read.span && !isTask && isHourOpen(jot);
  const asTask = () =>
    newTask(
      {
        id,
        ...taskOfJot({ ...jot, place: '' }, draft()),
        start: taskStart.at(instant),
        notes: event.notes,
      },
      instant,
    );

  async function keep() {
    if (problem || !isReadable) return;
    if (!calendar) return say(NO_CALENDAR);
    onKeeping(true);
    const isKept = await act(
      isTask
        ? { kind: 'keepTask', before: null, task: asTask() }
        : { kind: 'addEvent', event: await roomed() },
    );
    onKeeping(false);
    if (!isKept) return;
    // Another line may have been begun meanwhile.
    dropOf(line.trim());
    onKept(span);
  }

  const keepOnceOpen = useOnceOpen(keep, line);

  /** Goes on with what was begun before: a line, or an event that had all its details open. */
  function goOn() {
    if (eventBefore) onAllDetails(event);
    else if (lineBefore) setLine(lineBefore.title);
  }

  const toggle = (part: Part) => setOpen((last) => (last === part ? null : part));
  return {
    line,
    type,
    before,
    goOn,
    letGo: () => {
      drop();
      dropEvent();
    },
    jot,
    correct,
    open,
    toggle,
    span,
    times,
    place,
    repeat,
    calendar,
    calendarId,
    categories,
    categoryIds,
    event,
    hasRoom,
    isTask,
    /** Whether nothing says at what hour it is to begin. */
    hasOpenHour,
    guesses: read.guesses.filter((guess) => hasOpenHour || guess !== HOUR_OPEN),
    /** The task that it would be, where the line may mean one. */
    task: jot.task === null ? null : asTask(),
    /** Names of those whom the line is with; empty for nobody known. */
    guestNames: attendeesOf(guests, people).map(({ name }) => name),
    hasGuests,
    roomed,
    byRule,
    problem,
    instant,
    atHome,
    itsOwn: itsOwn && (jot.zone ? itsOwn : `${itsOwn}, the zone of ${calendar!.name}`),
    read,
    asLastTime,
    canKeep: problem === null && calendar !== undefined && isReadable,
    report,
    keep: keepOnceOpen,
  };
}

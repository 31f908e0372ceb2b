import { nanoid } from 'nanoid';
import { useEffect, useState } from 'react';
import { homeTimes, ownTimes } from '@/core/editing/bothTimes';
import { draftOf } from '@/core/editing/drafting';
import type { Times } from '@/core/editing/form';
import { spanOf, timesOf, timesProblem } from '@/core/editing/form';
import type { Jot } from '@/core/jot/jot';
import { readJot } from '@/core/jot/jot';
import type { Span } from '@/core/layout/drag';
import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import type { Repeat } from '@/core/recurrence/repeat';
import { firstStart } from '@/core/recurrence/repeat';
import type { Weekday } from '@/core/time/civil';
import { MINUTE } from '@/core/time/civil';
import { wallFromInstant } from '@/core/time/zones';
import { useDo } from '@/data/commands';
import { LINE, NEW_EVENT, useDraft } from '@/data/drafts';
import { useMessages } from '@/data/messages';
import { useNow } from '@/data/now';
import type { Preferences } from '@/data/preferences';
import { useCategories } from '@/data/queries';
import { useReadable } from '@/ui/unreadable';

export interface Adding {
  /** The time that was pressed or drawn; null when the line has to say it. */
  span: Span | null;
  /** The day that a line without a date means. */
  day: number;
  calendars: readonly Calendar[];
  preferences: Preferences;
  defaultCalendarId: string;
  onAllDetails(draft: CalendarEvent): void;
  /** Told of the draft's time as it changes, so that it can be shown on the sheet. */
  onDraft(span: Span | null): void;
  onKept(span: Span): void;
}

/** What the person has put right by hand; it holds against what the line says. */
interface Corrections {
  times?: Times;
  place?: string;
  calendarId?: string;
  repeat?: Repeat;
  categoryIds?: string[];
}

type Part = 'when' | 'where' | 'repeat';

/** The span that counts: corrected, said in the line, pressed on the sheet; in that order. */
function spanMeant(corrections: Corrections, jot: Jot, pressed: Span | null): Span {
  if (corrections.times) return spanOf(corrections.times);
  const says = jot.parts.some(({ kind }) => kind === 'when');
  if (!pressed || says) return jot;
  if (jot.length === null || pressed.wholeDay) return pressed;
  return { ...pressed, end: pressed.start + jot.length * MINUTE };
}

/** The span on the first day from its own on that a repeat has. */
function begun(span: Span, { pattern }: Repeat, workdays: readonly Weekday[]): Span {
  const start = firstStart(pattern, span.start, workdays);
  return { ...span, start, end: span.end + (start - span.start) };
}

/** A new event that is being made from a line, and from what is corrected in what was understood. */
export function useAdding(adding: Adding) {
  const { span: pressed, day, calendars, preferences, defaultCalendarId } = adding;
  const { onAllDetails, onDraft, onKept } = adding;
  const { zone: home, clock, wording, settings, workdays } = preferences;
  const act = useDo();
  const { say } = useMessages();
  const categories = useCategories();
  const { isReadable, report } = useReadable();
  const [id] = useState(() => nanoid(12));
  const [line, setLine] = useState('');
  const { draft: lineBefore, keep: putBy, drop } = useDraft(LINE);
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
  const now = wallFromInstant(instant, clock);
  const jot = readJot(line, {
    now,
    day,
    calendars,
    categories,
    defaultCalendarId: corrections.calendarId ?? defaultCalendarId,
    defaultLength: settings.defaultLength,
    workdays,
  });
  const repeat = corrections.repeat ?? jot.repeat;
  const span = begun(spanMeant(corrections, jot, pressed), repeat, workdays);
  const place = corrections.place ?? jot.place;
  const calendarId = corrections.calendarId ?? jot.calendarId;
  const calendar = calendars.find(({ id }) => id === calendarId);
  const categoryIds = corrections.categoryIds ?? jot.categoryIds;
  const times = corrections.times ?? timesOf(span);
  const problem = timesProblem(times);
  const event = draft();
  const atHome = homeTimes(span, clock, home, wording);
  // A calendar may have a zone of its own.
  const itsOwn = calendar?.zone ? ownTimes(event, clock, wording) : null;

  const { start, end, wholeDay } = span;
  useEffect(() => {
    onDraft({ start, end, wholeDay });
    return () => onDraft(null);
  }, [onDraft, start, end, wholeDay]);

  function draft(): CalendarEvent {
    const fields = { id, calendarId, title: jot.title, place, categoryIds, link: jot.link };
    return draftOf({ span, fields, calendar, repeat, clock, workdays, now: Date.now() });
  }

  async function keep() {
    if (problem || !isReadable) return;
    // Typed faster than the store opens: not kept, and not without a word.
    if (!calendar) return say('Your calendars are still being opened. Try again in a moment.');
    if (!(await act({ kind: 'addEvent', event }))) return;
    drop();
    onKept(span);
  }

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
    problem,
    instant,
    atHome,
    itsOwn: itsOwn && `${itsOwn}, the zone of ${calendar!.name}`,
    canKeep: problem === null && calendar !== undefined && isReadable,
    report,
    keep,
  };
}

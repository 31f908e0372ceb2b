import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useMemo, useState } from 'react';
import type { Resolver } from 'react-hook-form';
import { useForm, useWatch } from 'react-hook-form';
import type { EventForm } from '@/core/editing/form';
import { eventFromForm, formOf, timesProblem } from '@/core/editing/form';
import { repeatContext, repeatOf, withRepeat } from '@/core/editing/repeating';
import { dateAsEvent } from '@/core/editing/series/dates';
import type { DateEdit } from '@/core/editing/series/edit';
import { editSeries } from '@/core/editing/series/edit';
import { availability, hexColour, reminder, visibility, zoneName } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { attendee } from '@/core/model/attendees';
import { isSeries } from '@/core/model/event';
import { titleOf } from '@/core/model/titleOf';
import { z } from '@/core/model/zod';
import type { Repeat } from '@/core/recurrence/repeat';
import { patternOnDay, writeRepeat } from '@/core/recurrence/repeat';
import { dayOfWall } from '@/core/time/civil';
import { useDraft } from '@/data/drafts';
import type { Preferences } from '@/data/preferences';
import { UserError } from '@/core/userError';

const fields = z.object({
  title: z.string(),
  calendarId: z.string().min(1, 'Choose a calendar.'),
  wholeDay: z.boolean(),
  startDay: z.number(),
  endDay: z.number(),
  startMinute: z.number(),
  endMinute: z.number(),
  zone: zoneName.nullable(),
  endZone: zoneName.nullable(),
  place: z.string(),
  notes: z.string(),
  link: z.string(),
  room: z.string().default(''),
  attendees: z.array(attendee).default([]),
  availability,
  visibility,
  categoryIds: z.array(z.string()),
  reminders: z.array(reminder).nullable().default(null),
  importance: z.number().default(0),
  isQuiet: z.boolean().default(false),
  travelBefore: z.number().default(0),
  travelAfter: z.number().default(0),
  icon: z.string().optional(),
  inkOverride: hexColour.optional(),
});
const schema = fields.refine((form) => timesProblem(form) === null);

/** The form as its library sees it: what a reminder kept of its file has no end for its types. */
type Fields = Omit<EventForm, 'reminders'> & { reminders: unknown };

/** What was put by of an edit: its fields, and the repeat where that was touched. */
const putBy = z.object({
  // Begun before the calendars were there, it has none yet.
  form: fields.extend({ calendarId: z.string() }),
  repeat: z
    .object({
      pattern: z.looseObject({ kind: z.string() }),
      end: z.looseObject({ kind: z.string() }),
    })
    .nullable(),
});

/** A repeat that was put by, if it is one that can be written. */
function repeatPutBy(
  repeat: z.infer<typeof putBy>['repeat'] | undefined,
  context: ReturnType<typeof repeatContext>,
): Repeat | null {
  if (!repeat) return null;
  try {
    writeRepeat(repeat as unknown as Repeat, context);
    return repeat as unknown as Repeat;
  } catch {
    return null; // Of another version of the app: the event's own repeat stands.
  }
}

const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** Fields in one order, without those that are not set. */
const sorted = (form: object) =>
  Object.entries(form)
    .filter(([, value]) => value !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1));

/** The series from the edited date on as an edit would leave it, for a look ahead; as it is where it can't be. */
function seriesAhead(event: CalendarEvent, key: string, edit: DateEdit): CalendarEvent {
  const plan = { fate: 'keep' as const, names: { id: event.id, uid: event.uid }, now: 0 };
  try {
    return editSeries(event, key, edit, { ...plan, scope: 'later' }).at(-1)!.after;
  } catch (error) {
    if (error instanceof UserError) return event;
    throw error;
  }
}

/** What the editor holds: the fields, the repeat, and what they would make of the event. */
export function useEditor(
  latest: CalendarEvent,
  dateKey: string | null,
  preferences: Preferences,
  /** Under which name it is put by until it is kept, and whether the event is a new one. */
  { name, isNew }: { name: string; isNew: boolean },
) {
  const { zone: home, settings, workdays } = preferences;
  // What the fields began with: an edit is what differs from that, whatever others do meanwhile.
  const [event] = useState(latest);
  const [date] = useState(() => (dateKey === null ? latest : dateAsEvent(latest, dateKey)));
  const [first] = useState(() => repeatOf(event, workdays));
  const { draft: waiting, keep: putByDraft, drop } = useDraft(name);
  const [taken] = useState(() => putBy.safeParse(waiting?.values).data);
  const [chosen, setRepeat] = useState<Repeat | null>(() =>
    repeatPutBy(taken?.repeat, repeatContext(latest, workdays)),
  );
  const hours = { startMinute: 9 * 60, length: settings.defaultLength, zone: home };
  const [asItIs] = useState(() => formOf(date, hours));
  const { control, handleSubmit, setValue, reset } = useForm<Fields>({
    defaultValues: taken
      ? { ...taken.form, calendarId: taken.form.calendarId || asItIs.calendarId }
      : asItIs,
    resolver: zodResolver(schema) as Resolver<Fields>,
  });
  const form = useWatch({ control }) as EventForm;
  const isInSeries = dateKey !== null && isSeries(event);
  const isTouched = chosen !== null && !isSame(chosen, first);
  const isChanged = isNew || isTouched || !isSame(sorted(form), sorted(asItIs));

  // Put by as it is typed: whatever closes the editor, it is offered again.
  const said = titleOf(form);
  useEffect(() => {
    if (isChanged) putByDraft({ title: said, values: { form, repeat: chosen } });
    else drop();
    // What is put by changes the store, not what is to be put by.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isChanged, form, chosen, said]);
  const { startDay } = form;

  /** Until it is touched, the repeat of an event without other dates follows its day. */
  const repeat = useMemo((): Repeat => {
    const now = chosen ?? first;
    if (isInSeries || isTouched) return now;
    const from = dayOfWall(repeatContext(date, workdays).start);
    return { ...now, pattern: patternOnDay(now.pattern, from, startDay) };
  }, [chosen, first, isInSeries, isTouched, date, workdays, startDay]);

  /** What was done to one date of a series. */
  const dateEdit = (values: EventForm): DateEdit => {
    const after = eventFromForm(values, date);
    const rule = writeRepeat(repeat, repeatContext(after, workdays));
    const change = { rule, keepsEnd: isSame(repeat.end, first.end) };
    return { before: date, after, ...(isTouched ? { repeat: change } : {}) };
  };

  /** The event as the form has it; null while its times are wrong. */
  const draft = (): CalendarEvent | null => {
    if (timesProblem(form) !== null) return null;
    return isInSeries
      ? seriesAhead(event, dateKey, dateEdit(form))
      : withRepeat(eventFromForm(form, date), repeat, workdays);
  };

  return {
    event,
    date,
    control,
    form,
    setValue,
    handleSubmit: (keep: (values: EventForm) => Promise<void>) =>
      handleSubmit((values) => keep(values as EventForm)),
    problem: timesProblem(form),
    isInSeries,
    repeat,
    setRepeat,
    dateEdit,
    draft: draft(),
    /** Whether anything differs from how the event is. */
    isChanged,
    /** Whether it began with what was put by before. */
    isTakenUp: taken !== undefined && isChanged,
    startOver: () => {
      reset(asItIs);
      setRepeat(null);
    },
    /** Lets go of what was put by: it was kept, or given up. */
    drop,
    /** Whether an edit of a date would change anything. */
    changes: (edit: DateEdit) => isTouched || !isSame(edit.before, edit.after),
  };
}

export type Editor = ReturnType<typeof useEditor>;

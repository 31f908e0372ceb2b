import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo, useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import type { EventForm } from '@/core/editing/form';
import { eventFromForm, formOf, timesProblem } from '@/core/editing/form';
import { repeatContext, repeatOf, withRepeat } from '@/core/editing/repeating';
import { dateAsEvent } from '@/core/editing/series/dates';
import type { DateEdit } from '@/core/editing/series/edit';
import { editSeries } from '@/core/editing/series/edit';
import { availability, hexColour, visibility, zoneName } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { isSeries } from '@/core/model/event';
import { z } from '@/core/model/zod';
import type { Repeat } from '@/core/recurrence/repeat';
import { patternOnDay, writeRepeat } from '@/core/recurrence/repeat';
import { dayOfWall } from '@/core/time/civil';
import type { Preferences } from '@/data/preferences';

const schema = z
  .object({
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
    availability,
    visibility,
    categoryIds: z.array(z.string()),
    icon: z.string().optional(),
    inkOverride: hexColour.optional(),
  })
  .refine((form) => timesProblem(form) === null);

const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** The series from the edited date on as an edit would leave it, for a look ahead; as it is where it can't be. */
function seriesAhead(event: CalendarEvent, key: string, edit: DateEdit): CalendarEvent {
  const plan = { fate: 'keep' as const, names: { id: event.id, uid: event.uid }, now: 0 };
  try {
    return editSeries(event, key, edit, { ...plan, scope: 'later' }).at(-1)!.after;
  } catch (error) {
    if (error instanceof RangeError) return event;
    throw error;
  }
}

/** What the editor holds: the fields, the repeat, and what they would make of the event. */
export function useEditor(latest: CalendarEvent, dateKey: string | null, preferences: Preferences) {
  const { zone: home, settings, workdays } = preferences;
  // What the fields began with: an edit is what differs from that, whatever others do meanwhile.
  const [event] = useState(latest);
  const [date] = useState(() => (dateKey === null ? latest : dateAsEvent(latest, dateKey)));
  const [first] = useState(() => repeatOf(event, workdays));
  const [chosen, setRepeat] = useState<Repeat | null>(null);
  const hours = { startMinute: 9 * 60, length: settings.defaultLength, zone: home };
  const { control, handleSubmit, setValue } = useForm<EventForm>({
    defaultValues: formOf(date, hours),
    resolver: zodResolver(schema),
  });
  const form = useWatch({ control }) as EventForm;
  const isInSeries = dateKey !== null && isSeries(event);
  const isTouched = chosen !== null && !isSame(chosen, first);
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
    handleSubmit,
    problem: timesProblem(form),
    isInSeries,
    repeat,
    setRepeat,
    dateEdit,
    draft: draft(),
    /** Whether an edit of a date would change anything. */
    changes: (edit: DateEdit) => isTouched || !isSame(edit.before, edit.after),
  };
}

import { nanoid } from 'nanoid';
import { draftOf, onClock } from '@/core/editing/drafting';
import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import { newTask } from '@/core/model/task';
import type { Candidate } from '@/core/message/candidates';
import { withArrival } from '@/core/message/journeys';
import type { EventTime } from '@/core/model/common';
import { NO_REPEAT } from '@/core/recurrence/repeat';
import { dayOfWall, formatDate, formatLocal } from '@/core/time/civil';
import { zoneOnDay } from '@/core/time/sheetClock';
import { useDo } from '@/data/commands';
import { usePreferences } from '@/data/preferences';
import { useFiles } from '@/features/event/useFiles';
import type { Opened } from './useMessage';

/** A candidate as the person corrected it. */
export interface Corrected extends Candidate {
  calendarId: string;
}

/** Those named, as people who are asked to an event: nobody has answered yet. */
function attendeesOf({ people }: Candidate, { message }: Opened): CalendarEvent['attendees'] {
  const known = [...(message.from ? [message.from] : []), ...message.to];
  return people.map((name) => ({
    name,
    address: known.find((one) => one.name === name)?.address ?? '',
    role: 'required',
    answer: 'none',
  }));
}

/** Keeps what was read of a message: its text goes into the notes, and its file onto the event. */
export function useKeeping(opened: Opened, calendars: readonly Calendar[]) {
  const { clock, workdays } = usePreferences();
  const act = useDo();
  const files = useFiles();

  async function keepEvent(one: Corrected): Promise<boolean> {
    const { start, end, wholeDay, lasts, zone, calendarId, title, place, link } = one;
    const id = nanoid(12);
    const event = draftOf({
      span: onClock({ start, end, wholeDay, ...(lasts && { lasts }) }, zone ?? clock, clock),
      fields: {
        id,
        calendarId,
        title,
        place,
        link,
        notes: opened.notes,
        attendees: attendeesOf(one, opened),
        agenda: (one.points ?? []).map((point) => ({ ...point, id: nanoid(12), done: false })),
      },
      calendar: calendars.find((calendar) => calendar.id === calendarId),
      repeat: one.repeat ?? NO_REPEAT,
      clock,
      zone,
      workdays,
      now: Date.now(),
    });
    if (!(await act({ kind: 'addEvent', event: withArrival(event, one, clock) }))) return false;
    if (opened.file) await files.attach(id, [opened.file]);
    return true;
  }

  function keepTask({ start, wholeDay, zone, calendarId, title, link }: Corrected) {
    const day = dayOfWall(start);
    const due: EventTime = wholeDay
      ? { kind: 'date', date: formatDate(day) }
      : { kind: 'zoned', local: formatLocal(start), zone: zone ?? zoneOnDay(clock, day) };
    const fields = { id: nanoid(12), calendarId, title, link, due, notes: opened.notes };
    return act({ kind: 'keepTask', before: null, task: newTask(fields, Date.now()) });
  }

  return (one: Corrected) => (one.kind === 'task' ? keepTask(one) : keepEvent(one));
}

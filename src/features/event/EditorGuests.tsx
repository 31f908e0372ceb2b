import { useMemo } from 'react';
import { spanOf, timesOf } from '@/core/editing/form';
import { MINUTE } from '@/core/time/civil';
import { instantFromWall, wallFromInstant } from '@/core/time/zones';
import type { Preferences } from '@/data/preferences';
import { GuestsPart } from '@/features/guests/GuestsPart';
import type { Editor } from './useEditor';

/** The guests of the edited event, whose time can be that of an opening. */
export function EditorGuests({
  editor,
  preferences,
}: {
  editor: Editor;
  preferences: Preferences;
}) {
  const { form, setValue, problem, event } = editor;
  const zone = form.zone ?? preferences.zone;
  const hasTime = problem === null && !form.wholeDay;
  const { start, end } = spanOf(form);
  const span = useMemo(
    () =>
      hasTime ? { start: instantFromWall(start, zone), end: instantFromWall(end, zone) } : null,
    [hasTime, start, end, zone],
  );

  function take(from: number, minutes: number) {
    const wall = wallFromInstant(from, zone);
    const times = timesOf({ start: wall, end: wall + minutes * MINUTE, wholeDay: false });
    setValue('wholeDay', false);
    setValue('startDay', times.startDay);
    setValue('endDay', times.endDay);
    setValue('startMinute', times.startMinute);
    setValue('endMinute', times.endMinute);
    setValue('endZone', form.zone);
  }

  return (
    <GuestsPart
      attendees={form.attendees}
      span={span}
      day={form.startDay}
      minutes={span && end > start ? (end - start) / MINUTE : preferences.settings.defaultLength}
      eventId={event.id}
      onChange={(attendees) => setValue('attendees', attendees)}
      onTime={take}
    />
  );
}

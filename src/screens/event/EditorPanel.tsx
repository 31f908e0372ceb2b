import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { Button, Text } from 'react-native-paper';
import type { EventForm } from '@/core/editing/form';
import { eventFromForm, formOf, spanOf, timesProblem } from '@/core/editing/form';
import type { Span } from '@/core/layout/drag';
import type { Calendar } from '@/core/model/calendar';
import { availability, visibility } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { z } from '@/core/model/zod';
import { wallFromInstant, instantFromWall } from '@/core/time/zones';
import { titleOf, useActions } from '@/data/actions';
import type { Preferences } from '@/data/preferences';
import { Consequences } from '@/screens/plan/panels/Consequences';
import { PanelFrame } from '@/screens/plan/panels/PanelFrame';
import { CalendarChoice } from '@/ui/CalendarChoice';
import { Choice } from '@/ui/Choice';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';
import { TimesFields } from './TimesFields';

const schema = z
  .object({
    title: z.string(),
    calendarId: z.string().min(1, 'Choose a calendar.'),
    wholeDay: z.boolean(),
    startDay: z.number(),
    endDay: z.number(),
    startMinute: z.number(),
    endMinute: z.number(),
    place: z.string(),
    notes: z.string(),
    link: z.string(),
    availability,
    visibility,
  })
  .refine((form) => timesProblem(form) === null);

const AVAILABILITIES = [
  { value: 'busy' as const, label: 'Busy' },
  { value: 'tentative' as const, label: 'Tentative' },
  { value: 'free' as const, label: 'Free' },
  { value: 'away' as const, label: 'Away' },
];
const VISIBILITIES = [
  { value: 'public' as const, label: 'Public' },
  { value: 'private' as const, label: 'Private' },
];

interface Props {
  event: CalendarEvent;
  isNew: boolean;
  calendars: readonly Calendar[];
  preferences: Preferences;
  onDone(): void;
}

/** The form's span on the clock that the sheet shows. */
function spanShown(form: EventForm, event: CalendarEvent, zone: string): Span {
  const span = spanOf(form);
  const own = event.start.kind === 'zoned' ? event.start.zone : zone;
  if (form.wholeDay || own === zone) return span;
  const shown = (wall: number) => wallFromInstant(instantFromWall(wall, own), zone);
  return { ...span, start: shown(span.start), end: shown(span.end) };
}

/** Every field of an event, in place beside the week. */
export function EditorPanel({ event: latest, isNew, calendars, preferences, onDone }: Props) {
  const { zone, settings } = preferences;
  const palette = usePalette();
  // What the fields began with: an edit is what differs from that, whatever others do meanwhile.
  const [event] = useState(latest);
  const { add, edit } = useActions();
  const hours = { startMinute: 9 * 60, length: settings.defaultLength };
  const { control, handleSubmit, setValue } = useForm<EventForm>({
    defaultValues: formOf(event, hours),
    resolver: zodResolver(schema),
  });
  const form = useWatch({ control }) as EventForm;
  const problem = timesProblem(form);
  const ownZone =
    event.start.kind === 'zoned' && event.start.zone !== zone ? event.start.zone : null;

  const keep = handleSubmit(async (values) => {
    const after = eventFromForm(values, event, zone);
    const done = isNew ? await add(after) : await edit(event, after);
    if (done) onDone();
  });

  const text = (name: 'title' | 'place' | 'link' | 'notes', label: string, lines = 1) => (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <TextField
          label={label}
          value={field.value}
          onChangeText={field.onChange}
          onBlur={field.onBlur}
          multiline={lines > 1}
          numberOfLines={lines}
          autoFocus={name === 'title'}
        />
      )}
    />
  );

  return (
    <PanelFrame
      title={isNew ? 'New event' : `Edit “${titleOf(event)}”`}
      onClose={onDone}
      footer={
        <>
          <Button onPress={onDone}>Cancel</Button>
          <Button mode="contained" onPress={() => void keep()} disabled={problem !== null}>
            Keep
          </Button>
        </>
      }
    >
      {text('title', 'Title')}
      <CalendarChoice
        calendars={calendars}
        chosenId={form.calendarId}
        onChoose={(id) => setValue('calendarId', id)}
      />
      <TimesFields
        times={form}
        preferences={preferences}
        onChange={(times) => {
          setValue('wholeDay', times.wholeDay);
          setValue('startDay', times.startDay);
          setValue('endDay', times.endDay);
          setValue('startMinute', times.startMinute);
          setValue('endMinute', times.endMinute);
        }}
      />
      {ownZone && !form.wholeDay && (
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          These are times in {ownZone.replaceAll('_', ' ')}, where this event keeps its clock.
        </Text>
      )}
      {!problem && (
        <Consequences
          span={spanShown(form, event, zone)}
          isBooked={form.availability !== 'free'}
          ownEventId={event.id}
          preferences={preferences}
        />
      )}
      {text('place', 'Place')}
      {text('notes', 'Notes', 4)}
      {text('link', 'Link')}
      <Choice
        name="While it lasts I am"
        value={form.availability}
        options={AVAILABILITIES}
        onChoose={(value) => setValue('availability', value)}
      />
      <Choice
        name="Who may see what it is"
        value={form.visibility}
        options={VISIBILITIES}
        onChoose={(value) => setValue('visibility', value)}
      />
    </PanelFrame>
  );
}

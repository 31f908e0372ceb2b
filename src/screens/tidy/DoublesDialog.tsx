import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { CalendarEvent } from '@/core/model/event';
import { importanceOf } from '@/core/model/importance';
import { quotedTitle } from '@/core/model/titleOf';
import type { ChosenField, Choices } from '@/core/tidy/doubles';
import { whenOf } from '@/core/tidy/checks/words';
import { useDo } from '@/data/commands';
import { usePreferences } from '@/data/preferences';
import { useCalendars } from '@/data/queries';
import { useSideBySide } from '@/data/tidying';
import { Choice } from '@/ui/Choice';
import { Dialog } from '@/ui/Dialog';
import { usePalette } from '@/ui/theme/theme';

const NAMES: Readonly<Record<ChosenField, string>> = {
  title: 'Title',
  place: 'Place',
  link: 'Link',
  calendarId: 'Calendar',
  start: 'When',
  end: 'When',
  availability: 'Availability',
  visibility: 'Seen by others',
  importance: 'Importance',
};

/** Doubles beside each other: of each field in which they differ one is chosen; the rest is put together. */
export function DoublesDialog({ ids, onClose }: { ids: readonly string[]; onClose(): void }) {
  const palette = usePalette();
  const { zone, wording } = usePreferences();
  const calendars = useCalendars();
  const act = useDo();
  const { data } = useSideBySide(ids);
  const [choices, setChoices] = useState<Choices>({});
  const events = data?.events ?? [];
  // The end goes with the start.
  const fields =
    data?.fields.filter(
      ({ field }) => field !== 'end' || !data.fields.some((one) => one.field === 'start'),
    ) ?? [];

  function say(event: CalendarEvent, field: ChosenField): string {
    switch (field) {
      case 'start':
      case 'end':
        return whenOf(event, { zone, wording });
      case 'calendarId':
        return calendars.find(({ id }) => id === event.calendarId)?.name ?? '';
      case 'importance':
        return importanceOf(event.importance);
      default:
        return event[field].trim() || 'none';
    }
  }

  /** Each value once, by the first that has it; the proposed one by whom it was proposed from. */
  function options(field: ChosenField, proposed: string) {
    const seen = new Map<string, string>();
    for (const event of [...events].sort(
      (a, b) => Number(b.id === proposed) - Number(a.id === proposed),
    ))
      if (!seen.has(say(event, field))) seen.set(say(event, field), event.id);
    return [...seen].map(([label, value]) => ({ value, label }));
  }

  async function join() {
    if (await act({ kind: 'joinInto', ids, choices })) onClose();
  }

  return (
    <Dialog
      title={events[0] ? `Join ${quotedTitle(events[0])}` : 'Join'}
      onClose={onClose}
      footer={
        <>
          <Button onPress={onClose}>Not now</Button>
          <Button mode="contained" disabled={events.length < 2} onPress={() => void join()}>
            {`Join ${events.length} into one`}
          </Button>
        </>
      }
    >
      <View style={styles.all}>
        <View style={styles.beside}>
          {events.map((event) => (
            <View
              key={event.id}
              role="group"
              aria-label={quotedTitle(event)}
              style={[
                styles.one,
                { borderColor: palette.hairline, backgroundColor: palette.sheet },
              ]}
            >
              <Text style={styles.title}>{quotedTitle(event)}</Text>
              <Text variant="bodySmall">{whenOf(event, { zone, wording })}</Text>
              <Text variant="bodySmall" style={{ color: palette.dim }}>
                {[
                  say(event, 'calendarId'),
                  event.place,
                  event.availability,
                  event.notes.slice(0, 120),
                  event.attachments.map(({ name }) => name).join(', '),
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </Text>
            </View>
          ))}
        </View>
        {fields.map(({ field, proposed }) => {
          const offered = options(field, proposed);
          const chosen = choices[field] ?? proposed;
          if (offered.length < 2) return null;
          return (
            <Choice
              key={field}
              name={NAMES[field]}
              value={offered.some(({ value }) => value === chosen) ? chosen : offered[0]!.value}
              options={offered}
              onChoose={(id) => setChoices({ ...choices, [field]: id })}
            />
          );
        })}
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          Notes, people, files, categories and reminders are put together. A title, place or link
          that is not chosen goes into the notes.
        </Text>
      </View>
    </Dialog>
  );
}

const styles = StyleSheet.create({
  all: { gap: 10, width: 'min(86vw, 620px)' } as object,
  beside: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  one: { flexGrow: 1, flexBasis: 150, borderWidth: 1, borderRadius: 8, padding: 8, gap: 2 },
  title: { fontWeight: '600' },
});

import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { ActivityIndicator, Button, Text } from 'react-native-paper';
import type { Calendar } from '@/core/model/calendar';
import { dayOf } from '@/core/model/common';
import { count, sayDay } from '@/core/time/words';
import { useDo } from '@/data/commands';
import { usePreferences } from '@/data/preferences';
import { useMergePreview } from '@/data/queries';
import { CalendarChoice } from '@/ui/CalendarChoice';
import { Choice } from '@/ui/Choice';
import { Dialog } from '@/ui/Dialog';
import { usePalette } from '@/ui/theme/theme';

const LISTED = 12;
const DAY_FORM = { day: 'numeric', month: 'short', year: 'numeric' } as const;

interface Props {
  calendar: Calendar;
  calendars: readonly Calendar[];
  onClose(): void;
}

/** Moves everything of one calendar to another: what moves, what is there twice, and which ink. */
export function MergeDialog({ calendar, calendars, onClose }: Props) {
  const palette = usePalette();
  const { wording } = usePreferences();
  const act = useDo();
  const [into, setInto] = useState<string | null>(null);
  const [twins, setTwins] = useState<'join' | 'keep'>('join');
  const [ink, setInk] = useState<'new' | 'own'>('new');
  const { data: preview } = useMergePreview(calendar.id, into);
  const target = calendars.find(({ id }) => id === into);
  const others = calendars.filter(({ id, kind }) => kind === 'own' && id !== calendar.id);

  async function merge() {
    if (!into) return;
    const choice = { join: twins === 'join', keepInk: ink === 'own' };
    if (await act({ kind: 'mergeCalendars', from: calendar.id, into, choice })) onClose();
  }

  return (
    <Dialog
      title={`Merge ${calendar.name} into another`}
      onClose={onClose}
      footer={
        <>
          <Button onPress={onClose}>Cancel</Button>
          <Button mode="contained" disabled={!preview} onPress={() => void merge()}>
            {preview ? `Merge ${count(preview.events, 'event')}` : 'Merge'}
          </Button>
        </>
      }
    >
      <ScrollView style={styles.scroll} contentContainerStyle={styles.parts}>
        <Text>Which calendar takes its events? {calendar.name} is removed after that.</Text>
        <CalendarChoice calendars={others} chosenId={into ?? ''} onChoose={setInto} />
        {into && !preview && <ActivityIndicator accessibilityLabel="Looking" />}
        {preview && target && (
          <>
            <Text>
              {count(preview.events, 'event')} go to {target.name}
              {preview.series > 0 ? `, ${preview.series} of them series` : ''}.
            </Text>
            {preview.twins.length > 0 && (
              <>
                <Choice<'join' | 'keep'>
                  name={`${count(preview.twins.length, 'event is', 'events are')} on both calendars, with the same title and time`}
                  value={twins}
                  options={[
                    { value: 'join', label: 'Join each two into one' },
                    { value: 'keep', label: 'Keep both' },
                  ]}
                  onChoose={setTwins}
                />
                <View role="list" aria-label="On both calendars">
                  {preview.twins.slice(0, LISTED).map(({ title, start }, i) => (
                    <Text key={i} role="listitem" variant="bodySmall">
                      {title || 'Untitled'} · {sayDay(dayOf(start), wording, DAY_FORM)}
                    </Text>
                  ))}
                  {preview.twins.length > LISTED && (
                    <Text variant="bodySmall" style={{ color: palette.dim }}>
                      … and {preview.twins.length - LISTED} more
                    </Text>
                  )}
                </View>
              </>
            )}
            <Choice<'new' | 'own'>
              name="Ink of what moves"
              value={ink}
              options={[
                { value: 'new', label: `That of ${target.name}` },
                { value: 'own', label: `Keep that of ${calendar.name}` },
              ]}
              onChoose={setInk}
            />
          </>
        )}
      </ScrollView>
    </Dialog>
  );
}

const styles = StyleSheet.create({
  scroll: { maxHeight: '62vh', width: 'min(84vw, 460px)' } as object,
  parts: { gap: 12, paddingTop: 4 },
});

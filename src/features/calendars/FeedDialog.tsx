import { useRef, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, ProgressBar, Text } from 'react-native-paper';
import type { Calendar, Feed } from '@/core/model/calendar';
import { wallOf } from '@/core/model/common';
import { dayOfWall } from '@/core/time/civil';
import { count, sayDay, SHORT_DAY } from '@/core/time/words';
import { useDo } from '@/data/commands';
import { useEngine } from '@/data/engineContext';
import type { Preferences } from '@/data/preferences';
import { usePreferences } from '@/data/preferences';
import { Choice } from '@/ui/Choice';
import { Dialog } from '@/ui/Dialog';
import { usePalette } from '@/ui/theme/theme';
import { sayInstant } from './sayInstant';
import { StandInState } from './StandInState';

const INTERVALS = [
  { value: null, label: 'By hand only' },
  { value: 15, label: '15 min' },
  { value: 60, label: 'Hour' },
  { value: 1440, label: 'Day' },
];
const WHAT = { new: 'New', changed: 'Changed', gone: 'Gone' } as const;

function News({ feed, preferences }: { feed: Feed; preferences: Preferences }) {
  const palette = usePalette();
  if (!feed.news.length) return null;
  return (
    <View style={styles.part}>
      <Text style={styles.strong}>{count(feed.news.length, 'change')} at the last look</Text>
      <View role="list" aria-label="What changed">
        {feed.news.map(({ what, title, start }, i) => (
          <View key={i} role="listitem" style={styles.news}>
            <Text variant="bodySmall" style={[styles.what, { color: palette.dim }]}>
              {WHAT[what]}
            </Text>
            <Text variant="bodySmall" style={styles.text}>
              {title || 'Untitled'} ·{' '}
              {sayDay(dayOfWall(wallOf(start)), preferences.wording, SHORT_DAY)}
            </Text>
          </View>
        ))}
      </View>
    </View>
  );
}

/** How a followed calendar stands: when it was looked at, what changed, and how often it looks. */
export function FeedDialog({ calendar, onClose }: { calendar: Calendar; onClose(): void }) {
  const palette = usePalette();
  const preferences = usePreferences();
  const { engine } = useEngine();
  const act = useDo();
  const [isBusy, setBusy] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const { feed } = calendar;
  if (!feed) return null;

  async function refresh(file?: File) {
    setBusy(true);
    await engine?.feeds.refresh(calendar.id, Date.now(), file);
    setBusy(false);
  }

  return (
    <Dialog
      title={calendar.name}
      onClose={onClose}
      footer={
        feed.address ? (
          <Button mode="contained" icon="refresh" disabled={isBusy} onPress={() => void refresh()}>
            Look now
          </Button>
        ) : (
          <Button mode="contained" disabled={isBusy} onPress={() => input.current?.click()}>
            Choose a newer file
          </Button>
        )
      }
    >
      <ScrollView style={styles.scroll} contentContainerStyle={styles.parts}>
        <Text selectable style={styles.text}>
          {feed.address || calendar.source}
        </Text>
        {isBusy && <ProgressBar indeterminate aria-label="Looking" />}
        {feed.problem && (
          <View
            role="alert"
            style={[
              styles.problem,
              { backgroundColor: palette.amberWash, borderColor: palette.amber },
            ]}
          >
            <Text>{feed.problem}</Text>
            <Text>The events are those of the last time.</Text>
          </View>
        )}
        <Text>
          {feed.updated === undefined
            ? 'Not updated yet.'
            : `Last updated: ${sayInstant(feed.updated, preferences)}.`}
          {feed.checked !== undefined && ` Looked at: ${sayInstant(feed.checked, preferences)}.`}
        </Text>
        <News feed={feed} preferences={preferences} />
        {feed.address !== '' && (
          <Choice
            name="Look again every"
            value={feed.everyMinutes}
            options={INTERVALS}
            onChoose={(everyMinutes) =>
              void act({
                kind: 'editCalendar',
                before: calendar,
                fields: { feed: { ...feed, everyMinutes } },
              })
            }
          />
        )}
        <StandInState address={feed.address} />
      </ScrollView>
      <input
        ref={input}
        type="file"
        accept=".ics,text/calendar"
        aria-label="Newer file"
        style={{ display: 'none' }}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) void refresh(file);
        }}
      />
    </Dialog>
  );
}

const styles = StyleSheet.create({
  scroll: { maxHeight: '62vh', width: 'min(84vw, 460px)' } as object,
  parts: { gap: 12, paddingTop: 4 },
  part: { gap: 4 },
  strong: { fontWeight: '600' },
  problem: { borderWidth: 1, borderRadius: 8, padding: 10, gap: 2 },
  news: { flexDirection: 'row', gap: 8, paddingVertical: 2 },
  what: { width: 64 },
  text: { flex: 1, minWidth: 0, overflowWrap: 'anywhere' } as object,
});

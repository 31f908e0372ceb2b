import { useLocalSearchParams, useRouter } from 'expo-router';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { newTask } from '@/core/model/task';
import { titleOf } from '@/core/model/titleOf';
import { MINUTE } from '@/core/time/civil';
import { DATED_DAY, sayLength, saySpan } from '@/core/time/words';
import { useAskSheet } from '@/data/asked';
import { useDo } from '@/data/commands';
import { useEngine } from '@/data/engineContext';
import { useNow } from '@/data/now';
import { useEventPage } from '@/data/pages';
import { usePreferences } from '@/data/preferences';
import { useCalendars } from '@/data/queries';
import type { EventPage } from '@/engine/pages/pages';
import { FilesPart } from '@/features/event/FilesPart';
import { FollowUps } from '@/features/page/FollowUps';
import { NotesPart } from '@/features/page/NotesPart';
import { OtherTime } from '@/features/page/OtherTime';
import { PointsPart } from '@/features/page/PointsPart';
import { QuietMode } from '@/features/page/QuietMode';
import { Card } from '@/ui/Card';
import { Columns } from '@/ui/Columns';
import { useFormattedSoon } from '@/ui/markdown/Formatted';
import { Mark } from '@/ui/Mark';
import { Page } from '@/ui/Page';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';

/** How long before its start an event can be run, in ms: people sit down early. */
const EARLY = 15 * MINUTE;
/** How long after its end it still can: it may run over. */
const LATE = 30 * MINUTE;

/** When and where it is, and on which calendar. */
function Head({ page }: { page: EventPage }) {
  const palette = usePalette();
  const { wording } = usePreferences();
  const calendar = useCalendars().find(({ id }) => id === page.event.calendarId);
  const { occurrence: o, date } = page;
  const length = o.wholeDay ? '' : ` · ${sayLength((o.endMs - o.startMs) / MINUTE)}`;
  return (
    <View style={styles.head}>
      {calendar && (
        <Mark mark={calendar.mark} colour={inkColours(calendar.ink, palette).edge} size={16} />
      )}
      <Text style={styles.when}>
        {[saySpan(o, wording, DATED_DAY) + length, date.place, calendar?.name]
          .filter(Boolean)
          .join(' · ')}
      </Text>
    </View>
  );
}

function Whole({ page }: { page: EventPage }) {
  const router = useRouter();
  const act = useDo();
  const askSheet = useAskSheet();
  const now = useNow();
  const calendar = useCalendars().find(({ id }) => id === page.event.calendarId);
  const [isQuiet, setQuiet] = useState(false);
  const { event, occurrence: o, last, next } = page;
  const isFollowed = calendar?.kind === 'followed';
  const isRunning = !o.wholeDay && now >= o.startMs - EARLY && now < o.endMs + LATE;

  const followUp = (title: string) =>
    act({
      kind: 'keepTask',
      before: null,
      task: newTask(
        {
          id: nanoid(12),
          title,
          calendarId: event.calendarId,
          eventId: event.id,
          ...(o.dateKey !== null && { eventDate: o.dateKey }),
        },
        now,
      ),
    });

  return (
    <Page
      title={titleOf(page.date)}
      isBroad
      actions={
        <View style={styles.actions}>
          {isRunning && (
            <Button mode="contained" icon="timer-outline" onPress={() => setQuiet(true)}>
              Quiet mode
            </Button>
          )}
          <Button
            onPress={() => router.navigate(`/print?what=event&event=${encodeURIComponent(o.id)}`)}
          >
            Print…
          </Button>
          <Button
            icon="view-agenda-outline"
            onPress={() => askSheet({ kind: 'event', id: o.id, uncovers: true })}
          >
            On the sheet
          </Button>
        </View>
      }
    >
      <Head page={page} />
      <Columns
        main={
          <View style={styles.column}>
            <PointsPart page={page} isFollowed={isFollowed} onFollowUp={followUp} />
            <NotesPart page={page} isFollowed={isFollowed} onFollowUp={followUp} />
          </View>
        }
        side={
          <View style={styles.column}>
            <FollowUps page={page} />
            {last && <OtherTime page={page} time={last} which="last" />}
            {next && <OtherTime page={page} time={next} which="next" />}
            {!isFollowed && (
              <Card title="Files">
                <FilesPart event={event} />
              </Card>
            )}
          </View>
        }
      />
      {isQuiet && <QuietMode page={page} onClose={() => setQuiet(false)} />}
    </Page>
  );
}

/** All that belongs to one time of an event: points, notes, what follows, its last and next time. */
export function EventPageScreen() {
  const { of } = useLocalSearchParams<{ of?: string }>();
  const { status } = useEngine();
  const { data: page } = useEventPage(of ?? null);
  useFormattedSoon();
  if (page) return <Whole key={page.occurrence.id} page={page} />;
  return (
    <Page title="An event’s page">
      {status?.ready && (page === null || of === undefined) && (
        <Text>This event is not here any more. It may be in Removed.</Text>
      )}
    </Page>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', gap: 8, marginTop: -8 },
  when: { flex: 1 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  column: { gap: 16 },
});

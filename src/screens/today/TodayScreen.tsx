import { Pressable, StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';
import { JotLine } from '@/features/now/JotLine';
import { NowAndNext } from '@/features/now/NowCard';
import { Upcoming } from './Upcoming';
import { findClashes } from '@/core/agenda/clashes';
import { sayLeaveBy, sayStanding } from '@/core/agenda/standing';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { Calendar } from '@/core/model/calendar';
import { dayOfWall, minuteOfDay } from '@/core/time/civil';
import { zoneOnDay } from '@/core/time/sheetClock';
import type { Wording } from '@/core/time/words';
import { formatAway, sayDay, sayMinute, saySpan } from '@/core/time/words';
import { cityOf } from '@/core/time/zoneNames';
import type { EpochMs, WallMs } from '@/core/time/units';
import { wallFromInstant } from '@/core/time/zones';
import { titleOf } from '@/core/model/titleOf';
import { useNow } from '@/data/now';
import { useFacts } from '@/data/facts';
import { useTodayPicture } from '@/data/picture';
import { useAskSheet } from '@/data/asked';
import { usePreferences } from '@/data/preferences';
import { useCalendars, useOccurrences } from '@/data/queries';
import { TasksToday } from '@/features/tasks/TasksToday';
import { FactsLine } from '@/features/facts/FactsLine';
import { StartCall } from '@/features/rooms/StartCall';
import { TidyLook } from '@/features/tidy/TidyLook';
import { WorldClock } from '@/features/zones/WorldClock';
import { Card } from '@/ui/Card';
import { Columns } from '@/ui/Columns';
import { Icon } from '@/ui/icons/Icon';
import { Mark } from '@/ui/Mark';
import { Page } from '@/ui/Page';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';

/** Size of the small window, in px. */
const SMALL = 'popup,width=380,height=620';

const LONG = { weekday: 'long', day: 'numeric', month: 'long' } as const;

interface RowProps {
  occurrence: Occurrence;
  calendar: Calendar | undefined;
  instant: EpochMs;
  wording: Wording;
  clashesWith: string | null;
  onOpen(): void;
}

function EventRow({ occurrence: o, calendar, instant, wording, clashesWith, onOpen }: RowProps) {
  const palette = usePalette();
  const isNow = !o.wholeDay && o.startMs <= instant && o.endMs > instant;
  const isOver = !o.wholeDay && o.endMs <= instant;
  const at = (wall: WallMs) => sayMinute(minuteOfDay(wall), wording.hourCycle);
  const colour = isOver ? palette.dim : palette.ink;
  return (
    <Pressable
      role="button"
      aria-label={`${titleOf(o)}, ${saySpan(o, wording)}, ${calendar?.name ?? ''}, ${sayStanding(o, instant)}`}
      onPress={onOpen}
      style={[
        styles.row,
        { borderColor: palette.hairline },
        isNow && { backgroundColor: palette.amberWash },
      ]}
    >
      <Text style={[styles.time, { color: colour }]}>{o.wholeDay ? 'Day' : at(o.start)}</Text>
      {calendar && (
        <View style={styles.mark}>
          <Mark
            mark={calendar.mark}
            colour={inkColours(o.ink ?? calendar.ink, palette).edge}
            size={13}
          />
        </View>
      )}
      <View style={styles.text}>
        <Text style={[styles.title, { color: colour }]}>{titleOf(o)}</Text>
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {[
            o.wholeDay ? '' : `to ${at(o.end)}${formatAway(dayOfWall(o.end), wording)}`,
            isOver ? '' : sayLeaveBy(o, wording),
            o.place,
            sayStanding(o, instant),
          ]
            .filter(Boolean)
            .join(' · ')}
        </Text>
        {clashesWith !== null && !isOver && (
          <View style={styles.clash}>
            <Icon name="alert-outline" size={14} color={palette.amber} />
            <Text variant="bodySmall">overlaps {clashesWith}</Text>
          </View>
        )}
      </View>
    </Pressable>
  );
}

/** The day as it goes: what is now and next, and what clocks elsewhere show. */
export function TodayScreen() {
  const preferences = usePreferences();
  const { clock, wording, zone: home } = preferences;
  const palette = usePalette();
  const askSheet = useAskSheet();
  const picture = useTodayPicture();
  const calendars = useCalendars();
  const instant = useNow();
  const now = wallFromInstant(instant, clock);
  const today = dayOfWall(now);
  const { data } = useOccurrences({ fromDay: today, toDay: today + 1, zone: clock });
  const { factsOn } = useFacts({ fromDay: today, toDay: today + 1, zone: clock }, calendars, true);
  const occurrences = data?.occurrences ?? [];
  const clashes = findClashes(occurrences);
  const zone = zoneOnDay(clock, today);

  // The plan goes to the event's own days.
  const open = (o: Occurrence) => askSheet({ kind: 'event', id: o.id, uncovers: false });

  function clashOf({ id }: Occurrence): string | null {
    const clash = clashes.find(({ first, second }) => first.id === id || second.id === id);
    return clash ? titleOf(clash.first.id === id ? clash.second : clash.first) : null;
  }

  return (
    <Page
      title={sayDay(today, wording, LONG)}
      isBroad
      picture={picture}
      actions={
        <View style={styles.actions}>
          <StartCall />
          <IconButton
            icon="open-in-new"
            size={24}
            accessibilityLabel="Open as a small window"
            onPress={() => window.open('/small', 'orderly-week-small', SMALL)}
          />
        </View>
      }
    >
      <Columns
        main={
          <Card
            title={`Now, ${sayMinute(minuteOfDay(now), wording.hourCycle)}${formatAway(today, wording)}`}
          >
            <FactsLine day={today} facts={factsOn(today)} wording={wording} />
            {data && (
              <NowAndNext
                occurrences={occurrences}
                now={now}
                workweek={preferences.settings.workweek}
                zone={zone}
                wording={wording}
              />
            )}
            <JotLine day={today} calendars={calendars} preferences={preferences} />
            {zone !== home && <Text>By the clock of {cityOf(zone)}, where you are today.</Text>}
            {data && occurrences.length === 0 && (
              <Text style={{ color: palette.dim }}>Nothing is planned for today.</Text>
            )}
            <View role="list" aria-label="Today’s events">
              {occurrences.map((o) => (
                <View role="listitem" key={o.id}>
                  <EventRow
                    occurrence={o}
                    calendar={calendars.find(({ id }) => id === o.calendarId)}
                    instant={instant}
                    wording={wording}
                    clashesWith={clashOf(o)}
                    onOpen={() => open(o)}
                  />
                </View>
              ))}
            </View>
          </Card>
        }
        side={
          <View style={styles.side}>
            <TasksToday />
            <Upcoming today={today} calendars={calendars} preferences={preferences} onOpen={open} />
            <TidyLook />
            <Card title="Elsewhere">
              <WorldClock preferences={preferences} />
            </Card>
          </View>
        }
      />
    </Page>
  );
}

const styles = StyleSheet.create({
  actions: { flexDirection: 'row', alignItems: 'center' },
  side: { gap: 16 },
  row: {
    flexDirection: 'row',
    gap: 10,
    minHeight: 52,
    paddingVertical: 7,
    paddingHorizontal: 6,
    borderBottomWidth: 1,
  },
  time: { width: 62, fontVariant: ['tabular-nums'], fontWeight: '600' },
  mark: { paddingTop: 3 },
  text: { flex: 1, minWidth: 0 },
  title: { fontWeight: '600' },
  clash: { flexDirection: 'row', gap: 4, alignItems: 'center' },
});

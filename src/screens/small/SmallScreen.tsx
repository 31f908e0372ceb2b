import Head from 'expo-router/head';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';
import { agendaDays } from '@/core/agenda/agendaDays';
import type { Occurrence } from '@/core/agenda/occurrence';
import { workdayOf } from '@/core/model/workweek';
import { dayOfWall } from '@/core/time/civil';
import { SHORT_DAY, sayDay } from '@/core/time/words';
import { writeAddress } from '@/core/view/address';
import { useWallNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { useCalendars, useOccurrences } from '@/data/queries';
import { AgendaLines } from '@/features/agenda/AgendaLines';
import { JotLine } from '@/features/now/JotLine';
import { NowAndNext } from '@/features/now/NowCard';
import { DayPicker } from '@/ui/DayPicker';
import { Title } from '@/ui/Title';
import { usePalette, textPx } from '@/ui/theme/theme';

/** One day in a small window of its own: what it holds, and a line to add to it. */
export function SmallScreen() {
  const preferences = usePreferences();
  const { clock, wording, settings, firstWeekday } = preferences;
  const palette = usePalette();
  const calendars = useCalendars();
  const now = useWallNow(clock);
  const today = dayOfWall(now);
  const [chosen, setChosen] = useState<number | null>(null);
  const [isPicking, setPicking] = useState(false);
  const [opened, setOpened] = useState<Occurrence | null>(null);
  const day = chosen ?? today;
  const { data } = useOccurrences({ fromDay: day, toDay: day + 1, zone: clock });
  const hoursOf = () => workdayOf(day, settings.workweek).hours;
  const [found] = agendaDays(data?.occurrences ?? [], day, day + 1, hoursOf);
  const title = sayDay(day, wording, SHORT_DAY);
  return (
    <ScrollView style={{ backgroundColor: palette.paper }} contentContainerStyle={styles.all}>
      <Head>
        <title>{`${title} · Orderly Week`}</title>
      </Head>
      <View style={styles.head}>
        <Title level={1} style={styles.title}>
          {day === today ? `Today, ${title}` : title}
        </Title>
        <IconButton
          icon="chevron-left"
          accessibilityLabel="Day before"
          onPress={() => setChosen(day - 1)}
          style={styles.button}
        />
        <IconButton
          icon="calendar"
          size={20}
          accessibilityLabel="Pick a day"
          onPress={() => setPicking(true)}
          style={styles.button}
        />
        <IconButton
          icon="chevron-right"
          accessibilityLabel="Day after"
          onPress={() => setChosen(day + 1)}
          style={styles.button}
        />
      </View>
      <JotLine day={day} calendars={calendars} preferences={preferences} />
      {day === today && data && (
        <NowAndNext
          occurrences={data.occurrences}
          now={now}
          workweek={settings.workweek}
          zone={preferences.clock}
          wording={wording}
        />
      )}
      <View role="group" aria-label="Events" style={styles.lines}>
        {found ? (
          <AgendaLines
            day={day}
            lines={found.lines}
            setting={{
              calendarOf: new Map(calendars.map((c) => [c.id, c])),
              categoryInks: null,
              wording,
              selectedId: opened?.id ?? null,
              onOpen: (o) => {
                setOpened(o);
                window.open(`/?${writeAddress({ day, event: o.id })}`, 'orderly-week');
              },
            }}
          />
        ) : (
          data && <Text style={[styles.none, { color: palette.dim }]}>Nothing is planned.</Text>
        )}
      </View>
      {isPicking && (
        <DayPicker
          title="Pick a day"
          day={day}
          wording={wording}
          firstWeekday={firstWeekday}
          onClose={() => setPicking(false)}
          onPick={(picked) => {
            setPicking(false);
            setChosen(picked);
          }}
        />
      )}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  all: { padding: 12, gap: 10 },
  head: { flexDirection: 'row', alignItems: 'center' },
  title: { flex: 1, minWidth: 0, fontSize: textPx(19) },
  button: { margin: 0, width: 40, height: 40 },
  lines: { marginHorizontal: -12 },
  none: { paddingHorizontal: 12 },
});

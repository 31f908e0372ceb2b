import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { agendaDays } from '@/core/agenda/agendaDays';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { Calendar } from '@/core/model/calendar';
import type { Settings } from '@/core/model/others';
import { workdayOf } from '@/core/model/workweek';
import { sayDay } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import { useDo } from '@/data/commands';
import type { Preferences } from '@/data/preferences';
import { useOccurrences } from '@/data/queries';
import { AgendaLines } from '@/features/agenda/AgendaLines';
import { Card } from '@/ui/Card';
import { NumberField } from '@/ui/NumberField';
import { usePalette, SLAB, textPx } from '@/ui/theme/theme';

const MOST = 60;

interface Props {
  /** Day number */
  today: DayNumber;
  calendars: readonly Calendar[];
  preferences: Preferences;
  onOpen(occurrence: Occurrence): void;
}

/** What comes after today, as far as the person looks, and what was, as far back. */
export function Upcoming({ today, calendars, preferences, onOpen }: Props) {
  const { clock, wording, settings } = preferences;
  const { upcomingDays, upcomingBack } = settings;
  const palette = usePalette();
  const act = useDo();
  const look = (fields: Partial<Settings>, label: string) =>
    void act({ kind: 'setSettings', before: settings, fields, label });
  const from = today - upcomingBack;
  const to = today + 1 + upcomingDays;
  const { data } = useOccurrences({ fromDay: from, toDay: to, zone: clock });
  const hoursOf = (day: DayNumber) => workdayOf(day, settings.workweek).hours;
  const days = agendaDays(data?.occurrences ?? [], from, to, hoursOf).filter(
    ({ day }) => day !== today,
  );
  const setting = {
    calendarOf: new Map(calendars.map((c) => [c.id, c])),
    categoryInks: null,
    wording,
    selectedId: null,
    onOpen,
  };
  return (
    <Card title="Upcoming">
      <View style={styles.fields}>
        <NumberField
          label="Days on"
          value={upcomingDays}
          min={1}
          max={MOST}
          onChange={(days) => look({ upcomingDays: days }, 'Changed how far to look on')}
        />
        <NumberField
          label="Days back"
          value={upcomingBack}
          min={0}
          max={MOST}
          onChange={(days) => look({ upcomingBack: days }, 'Changed how far to look back')}
        />
      </View>
      {data && days.length === 0 && (
        <Text style={{ color: palette.dim }}>Nothing in these days.</Text>
      )}
      {days.map(({ day, lines }) => (
        <View key={day} role="group" aria-label={sayDay(day, wording, LONG)} style={styles.day}>
          <Text style={[styles.date, { color: palette.ink }]}>{sayDay(day, wording, LONG)}</Text>
          <AgendaLines
            day={day}
            lines={lines.filter(({ kind }) => kind === 'event')}
            setting={setting}
          />
        </View>
      ))}
    </Card>
  );
}

const LONG = { weekday: 'long', day: 'numeric', month: 'long' } as const;

const styles = StyleSheet.create({
  fields: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  day: { marginHorizontal: -14 },
  date: { fontFamily: SLAB, fontSize: textPx(15), fontWeight: '600', paddingHorizontal: 14 },
});

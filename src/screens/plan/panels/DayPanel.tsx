import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { agendaDays } from '@/core/agenda/agendaDays';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { Calendar } from '@/core/model/calendar';
import { workdayOf } from '@/core/model/workweek';
import { sayDay } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import type { Preferences } from '@/data/preferences';
import { useOccurrences } from '@/data/queries';
import { usePalette } from '@/ui/theme/theme';
import { AgendaLines } from '@/features/agenda/AgendaLines';
import { PanelFrame } from '@/ui/PanelFrame';

interface Props {
  /** Day number */
  day: DayNumber;
  calendars: readonly Calendar[];
  categoryInks: ReadonlyMap<string, string> | null;
  preferences: Preferences;
  onOpen(occurrence: Occurrence): void;
  onAdd(): void;
  onShowDay(): void;
  onClose(): void;
}

/** What happens on one day, beside a form that has no room to say it. */
export function DayPanel(props: Props) {
  const { day, calendars, categoryInks, preferences } = props;
  const palette = usePalette();
  const { clock, wording, settings } = preferences;
  const { data } = useOccurrences({ fromDay: day, toDay: day + 1, zone: clock });
  const hoursOf = () => workdayOf(day, settings.workweek).hours;
  const [found] = agendaDays(data?.occurrences ?? [], day, day + 1, hoursOf);
  return (
    <PanelFrame
      title={sayDay(day, wording, { weekday: 'long', day: 'numeric', month: 'long' })}
      onClose={props.onClose}
      footer={
        <>
          <Button mode="outlined" onPress={props.onShowDay}>
            Show the day
          </Button>
          <Button mode="contained" onPress={props.onAdd}>
            Add
          </Button>
        </>
      }
    >
      <View style={styles.lines}>
        {found ? (
          <AgendaLines
            day={day}
            lines={found.lines}
            setting={{
              calendarOf: new Map(calendars.map((c) => [c.id, c])),
              categoryInks,
              wording,
              selectedId: null,
              onOpen: props.onOpen,
            }}
          />
        ) : (
          <Text style={{ color: palette.dim }}>No events on the shown calendars.</Text>
        )}
      </View>
    </PanelFrame>
  );
}

const styles = StyleSheet.create({ lines: { marginHorizontal: -14 } });

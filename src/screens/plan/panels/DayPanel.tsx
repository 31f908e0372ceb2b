import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { Calendar } from '@/core/model/calendar';
import { sayDay } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import type { Preferences } from '@/data/preferences';
import { useOccurrences } from '@/data/queries';
import { DayLines } from '@/features/agenda/DayLines';
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
  const { clock, wording } = preferences;
  const { data } = useOccurrences({ fromDay: day, toDay: day + 1, zone: clock });
  const calendarOf = new Map(calendars.map((c) => [c.id, c]));
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
        <DayLines
          day={day}
          occurrences={data?.occurrences ?? []}
          preferences={preferences}
          setting={{ calendarOf, categoryInks, selectedId: null, onOpen: props.onOpen }}
        />
      </View>
    </PanelFrame>
  );
}

const styles = StyleSheet.create({ lines: { marginHorizontal: -14 } });

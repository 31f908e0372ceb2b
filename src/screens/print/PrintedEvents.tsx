import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { PrintSetup } from '@/core/model/print';
import { useCalendars } from '@/data/queries';
import { PartChips } from '@/features/query/PartChips';
import { CalendarChip } from '@/ui/CalendarChip';
import { Choice } from '@/ui/Choice';
import { usePalette } from '@/ui/theme/theme';

type Only = NonNullable<PrintSetup['only']>;

interface Props {
  only: PrintSetup['only'];
  /** What is seen, said as what others begin with. */
  seen: Only;
  onChange(only: PrintSetup['only']): void;
}

/** Which events are printed: those that are seen, or those of other calendars and by another question. */
export function PrintedEvents({ only, seen, onChange }: Props) {
  const palette = usePalette();
  const calendars = useCalendars();
  return (
    <View style={styles.part}>
      <Choice
        name="Which events"
        value={only === null}
        options={[
          { value: true, label: 'As seen' },
          { value: false, label: 'Others' },
        ]}
        onChoose={(isAsSeen) => onChange(isAsSeen ? null : seen)}
      />
      {only && (
        <>
          <Text variant="bodySmall" style={{ color: palette.dim }}>
            Of these calendars
          </Text>
          <View role="group" aria-label="Calendars printed" style={styles.row}>
            {calendars.map((calendar) => {
              const isOn = only.calendarIds.includes(calendar.id);
              return (
                <CalendarChip
                  key={calendar.id}
                  role="switch"
                  {...{ calendar, isOn }}
                  onPress={() =>
                    onChange({
                      ...only,
                      calendarIds: isOn
                        ? only.calendarIds.filter((id) => id !== calendar.id)
                        : [...only.calendarIds, calendar.id],
                    })
                  }
                />
              );
            })}
          </View>
          <Text variant="bodySmall" style={{ color: palette.dim }}>
            And only those with
          </Text>
          <PartChips
            filter={only.filter}
            without={['calendars']}
            onFilter={(filter) => onChange({ ...only, filter })}
          />
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: 6 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});

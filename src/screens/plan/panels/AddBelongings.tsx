import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Calendar } from '@/core/model/calendar';
import { joinWords } from '@/core/time/words';
import { CalendarChoice } from '@/ui/CalendarChoice';
import { CategoryChips } from '@/ui/CategoryChips';
import { Check } from '@/ui/Check';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';
import type { useAdding } from './useAdding';

type Made = ReturnType<typeof useAdding>;

interface Props {
  made: Pick<
    Made,
    'guestNames' | 'hasGuests' | 'hasRoom' | 'isTask' | 'calendarId' | 'categories' | 'categoryIds'
  >;
  correct: Made['correct'];
  calendars: readonly Calendar[];
}

/** Whom what is being added is with, whether it has a room, and which calendar and categories it is of. */
export function AddBelongings({ made, correct, calendars }: Props) {
  const palette = usePalette();
  const { guestNames, hasGuests, hasRoom, isTask, calendarId, categories, categoryIds } = made;
  return (
    <>
      {!isTask && guestNames.length > 0 && (
        <Check
          label={`With ${joinWords(guestNames)} as ${guestNames.length > 1 ? 'guests' : 'a guest'}`}
          isOn={hasGuests}
          onChange={(isOn) => correct({ hasGuests: isOn })}
        />
      )}
      {!isTask && (
        <Check
          label="A room link, to meet online"
          isOn={hasRoom}
          onChange={(isOn) => correct({ hasRoom: isOn })}
        />
      )}
      <View style={styles.calendar}>
        <Icon name="layers-outline" size={18} color={palette.dim} />
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          Calendar
        </Text>
      </View>
      <CalendarChoice
        calendars={calendars}
        chosenId={calendarId}
        onChoose={(id) => correct({ calendarId: id })}
      />
      {categories.length > 0 && (
        <>
          <View style={styles.calendar}>
            <Icon name="tag-outline" size={18} color={palette.dim} />
            <Text variant="bodySmall" style={{ color: palette.dim }}>
              Categories
            </Text>
          </View>
          <CategoryChips
            categories={categories}
            chosen={categoryIds}
            onChange={(ids) => correct({ categoryIds: ids })}
          />
        </>
      )}
    </>
  );
}

const styles = StyleSheet.create({
  calendar: { flexDirection: 'row', alignItems: 'center', gap: 10, marginBottom: -6 },
});

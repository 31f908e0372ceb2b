import { ScrollView, StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';
import { useIsWide } from '@/ui/useIsWide';
import { CalendarsButton } from './CalendarsButton';
import { CalendarStrip } from './CalendarStrip';
import { PeopleButton } from './PeopleButton';
import { HoursChip } from './PlanHeader';
import { usePlan } from './PlanProvider';
import { FilterButton } from './view/FilterButton';
import { ViewPicker } from './view/ViewPicker';

/** How the sheet is seen, what the filter holds back, and the way back from hours that were opened. */
export function PlanView() {
  const { categories, content, dialog, dispatch, place } = usePlan();
  const isWide = useIsWide();
  const { view } = place;
  return (
    <View style={styles.view}>
      <ViewPicker />
      <FilterButton
        filter={view.filter}
        categories={categories}
        hidden={content.hidden}
        isOpen={dialog === 'filter'}
        onOpen={(isOpen) => dispatch({ do: 'ask', dialog: isOpen ? 'filter' : null })}
        onFilter={(filter) => place.show({ ...view, filter })}
      />
      {isWide && <PeopleButton />}
      {content.isWidened && (
        <Button
          mode="contained-tonal"
          icon="restore"
          accessibilityLabel="Back to the usual hours"
          style={styles.hours}
          onPress={() => content.setWidened(false)}
        >
          Usual hours
        </Button>
      )}
    </View>
  );
}

/** Which calendars are shown; on a phone also how the sheet is seen, and how much is booked. */
export function PlanStrip() {
  const { content, dispatch } = usePlan();
  const isWide = useIsWide();
  if (isWide) return <CalendarStrip />;
  return (
    <ScrollView
      horizontal
      tabIndex={-1}
      showsHorizontalScrollIndicator={false}
      style={styles.strip}
      contentContainerStyle={styles.parts}
    >
      <PlanView />
      <CalendarsButton />
      <PeopleButton />
      <HoursChip
        booked={content.booked}
        onLoad={() => dispatch({ do: 'open', panel: { kind: 'load' } })}
      />
      <Button
        mode="outlined"
        compact
        icon="checkbox-marked-outline"
        style={styles.tasks}
        onPress={() => dispatch({ do: 'open', panel: { kind: 'tasks' } })}
      >
        To do
      </Button>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  view: { flexDirection: 'row', flexShrink: 0, gap: 6 },
  tasks: { height: 40, borderRadius: 9 },
  hours: { height: 40, borderRadius: 9 },
  strip: { flexGrow: 0, flexShrink: 0 },
  parts: { gap: 6, paddingHorizontal: 14, paddingBottom: 8 },
});

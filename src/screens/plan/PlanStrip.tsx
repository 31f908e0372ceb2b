import { StyleSheet, View } from 'react-native';
import { useIsWide } from '@/ui/useIsWide';
import { CalendarStrip } from './CalendarStrip';
import { HoursChip } from './PlanHeader';
import { usePlan } from './PlanProvider';
import { FilterButton } from './view/FilterButton';
import { ViewPicker } from './view/ViewPicker';

/** How the sheet is seen, what the filter holds back, and which calendars are shown. */
export function PlanStrip() {
  const { calendars, everywhere, categories, content, dialog, dispatch, place, preferences } =
    usePlan();
  const isWide = useIsWide();
  const { view } = place;
  const filterButton = (
    <FilterButton
      filter={view.filter}
      categories={categories}
      hidden={content.hidden}
      isOpen={dialog === 'filter'}
      onOpen={(isOpen) => dispatch({ do: 'ask', dialog: isOpen ? 'filter' : null })}
      onFilter={(filter) => place.show({ ...view, filter })}
    />
  );
  return (
    <View style={styles.strip}>
      <ViewPicker />
      {isWide && filterButton}
      <CalendarStrip
        calendars={calendars}
        preferences={preferences}
        hasCategories={categories.length > 0}
        everywhere={everywhere}
        first={
          isWide ? null : (
            <>
              {filterButton}
              <HoursChip
                booked={content.booked}
                onLoad={() => dispatch({ do: 'open', panel: { kind: 'load' } })}
              />
            </>
          )
        }
        hereIds={view.calendarIds}
        onHere={(ids) => place.show({ ...view, calendarIds: ids })}
      />
    </View>
  );
}

const styles = StyleSheet.create({ strip: { flexDirection: 'row', flexShrink: 0 } });

import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Availability } from '@/core/model/common';
import type { Category } from '@/core/model/others';
import type { Filter, FilterKind } from '@/core/model/view';
import { EMPTY_FILTER } from '@/core/model/view';
import { IMPORTANCE_CHOICES } from '@/features/event/choices';
import { CategoryChips } from '@/ui/CategoryChips';
import { Check } from '@/ui/Check';
import { Dialog } from '@/ui/Dialog';
import { TextField } from '@/ui/TextField';
import { ToggleGroup } from '@/ui/ToggleGroup';
import { usePalette } from '@/ui/theme/theme';

const AVAILABILITIES: { value: Availability; label: string }[] = [
  { value: 'busy', label: 'Busy' },
  { value: 'away', label: 'Away' },
  { value: 'tentative', label: 'Tentative' },
  { value: 'free', label: 'Free' },
];

const KINDS: { value: FilterKind; label: string }[] = [
  { value: 'single', label: 'Single' },
  { value: 'series', label: 'Repeating' },
  { value: 'wholeDay', label: 'Whole day' },
  { value: 'others', label: 'With others' },
  { value: 'reminder', label: 'Has a reminder' },
  { value: 'attachment', label: 'Has a file' },
];

interface Props {
  filter: Filter;
  categories: readonly Category[];
  /** How many dates it holds back now. */
  hidden: number;
  onFilter(filter: Filter): void;
  onClose(): void;
}

/** What the sheet lets through; every choice works at once. */
export function FilterDialog({ filter, categories, hidden, onFilter, onClose }: Props) {
  const { dim } = usePalette();
  const change = (fields: Partial<Filter>) => onFilter({ ...filter, ...fields });
  return (
    <Dialog
      title="Show only"
      onClose={onClose}
      footer={
        <>
          <Text role="status" style={[styles.hidden, { color: dim }]}>
            {hidden} hidden
          </Text>
          <Button onPress={() => onFilter(EMPTY_FILTER)}>Clear</Button>
          <Button mode="contained" onPress={onClose}>
            Done
          </Button>
        </>
      }
    >
      <TextField
        label="Words in title, place or notes"
        value={filter.text}
        onChangeText={(text) => change({ text })}
      />
      <TextField label="Place" value={filter.place} onChangeText={(place) => change({ place })} />
      {categories.length > 0 && (
        <View style={styles.group}>
          <Text variant="bodySmall" style={{ color: dim }}>
            Any of these categories
          </Text>
          <CategoryChips
            categories={categories}
            chosen={filter.categoryIds}
            onChange={(categoryIds) => change({ categoryIds })}
          />
        </View>
      )}
      <ToggleGroup
        name="Any of these availabilities"
        options={AVAILABILITIES}
        chosen={filter.availability}
        onChange={(availability) => change({ availability })}
      />
      <ToggleGroup
        name="Any of these importances"
        options={IMPORTANCE_CHOICES}
        chosen={filter.importance}
        onChange={(importance) => change({ importance })}
      />
      <ToggleGroup
        name="Any of these kinds"
        options={KINDS}
        chosen={filter.kinds}
        onChange={(kinds) => change({ kinds })}
      />
      <Check
        label="Hide what is past"
        isOn={filter.isPastHidden}
        onChange={(isPastHidden) => change({ isPastHidden })}
      />
    </Dialog>
  );
}

const styles = StyleSheet.create({
  hidden: { flex: 1, alignSelf: 'center' },
  group: { gap: 4 },
});

import { StyleSheet } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Category } from '@/core/model/others';
import type { Filter, FilterPart } from '@/core/model/filter';
import { EMPTY_FILTER } from '@/core/model/filter';
import { partsSetOf } from '@/core/query/filterParts';
import { PartChips } from '@/features/query/PartChips';
import { PartField } from '@/features/query/PartField';
import { Check } from '@/ui/Check';
import { Dialog } from '@/ui/Dialog';
import { usePalette } from '@/ui/theme/theme';

/** Parts that are often asked for; the others are added as chips. */
const AT_HAND: readonly FilterPart[] = [
  'words',
  'place',
  'categories',
  'availability',
  'importance',
  'kinds',
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
  // What is turned round is said by a chip, where it can be turned back.
  const isAtHand = (part: FilterPart) => AT_HAND.includes(part) && !filter.not.includes(part);
  const shown = AT_HAND.filter(
    (part) => isAtHand(part) && (part !== 'categories' || categories.length > 0),
  );
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
      <PartChips
        filter={filter}
        hidden={partsSetOf(filter).filter(isAtHand)}
        hasPast={false}
        onFilter={onFilter}
      />
      {shown.map((part) => (
        <PartField
          key={part}
          part={part}
          filter={filter}
          calendars={[]}
          isBrief
          categories={categories}
          onChange={(fields) => onFilter({ ...filter, ...fields })}
        />
      ))}
      <Check
        label="Hide what is past"
        isOn={filter.isPastHidden}
        onChange={(isPastHidden) => onFilter({ ...filter, isPastHidden })}
      />
    </Dialog>
  );
}

const styles = StyleSheet.create({
  hidden: { flex: 1, alignSelf: 'center' },
});

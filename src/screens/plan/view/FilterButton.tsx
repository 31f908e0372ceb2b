import { Pressable, StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';
import type { Category } from '@/core/model/others';
import type { Filter } from '@/core/model/filter';
import { EMPTY_FILTER } from '@/core/model/filter';
import { partsSet } from '@/core/query/filterParts';
import { count } from '@/core/time/words';
import { Icon } from '@/ui/icons/Icon';
import { usePalette, textPx } from '@/ui/theme/theme';
import { later } from '@/ui/later';

const FilterDialog = later(() => import('./FilterDialog').then((part) => part.FilterDialog));

interface Props {
  filter: Filter;
  categories: readonly Category[];
  hidden: number;
  isOpen: boolean;
  onOpen(isOpen: boolean): void;
  onFilter(filter: Filter): void;
}

/** The way to the filter. While one is set, it says how much it hides, and clears it. */
export function FilterButton(props: Props) {
  const { filter, hidden, isOpen, onOpen, onFilter } = props;
  const palette = usePalette();
  const parts = partsSet(filter);
  const isOn = parts > 0;
  return (
    <>
      <Pressable
        role="button"
        aria-haspopup="dialog"
        aria-label={isOn ? `Filter: ${count(parts, 'part')} set, ${hidden} hidden` : 'Filter'}
        onPress={() => onOpen(true)}
        style={[
          styles.button,
          isOn && styles.on,
          {
            borderColor: isOn ? palette.amber : palette.hairline,
            backgroundColor: isOn ? palette.amberWash : palette.sheet,
          },
        ]}
      >
        <Icon name="filter-outline" size={18} color={isOn ? palette.amber : palette.dim} />
        {isOn && <Text style={styles.text}>{hidden} hidden</Text>}
      </Pressable>
      {isOn && (
        <Pressable
          role="button"
          aria-label="Clear the filter"
          onPress={() => onFilter(EMPTY_FILTER)}
          style={[
            styles.button,
            styles.clear,
            { borderColor: palette.amber, backgroundColor: palette.amberWash },
          ]}
        >
          <Icon name="close" size={18} color={palette.amber} />
        </Pressable>
      )}
      {isOpen && <FilterDialog {...props} onClose={() => onOpen(false)} />}
    </>
  );
}

const styles = StyleSheet.create({
  button: {
    height: 40,
    minWidth: 40,
    paddingHorizontal: 8,
    borderWidth: 1,
    borderRadius: 9,
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'center',
    gap: 5,
  },
  on: { borderTopRightRadius: 0, borderBottomRightRadius: 0 },
  clear: {
    // The two are one: no gap, and one line between them.
    marginLeft: -7,
    borderTopLeftRadius: 0,
    borderBottomLeftRadius: 0,
  },
  text: { fontSize: textPx(13), fontWeight: '600' },
});

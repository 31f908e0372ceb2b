import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Filter, FilterPart } from '@/core/model/filter';
import { FILTER_PARTS } from '@/core/model/filter';
import { turnedRound, withoutPart } from '@/core/query/editFilter';
import { partsSetOf } from '@/core/query/filterParts';
import { PART_NAMES, sayPart } from '@/core/query/sayFilter';
import { useCalendars, useCategories } from '@/data/queries';
import { Dialog } from '@/ui/Dialog';
import { Icon } from '@/ui/icons/Icon';
import { ToggleChip } from '@/ui/ToggleChip';
import { usePalette } from '@/ui/theme/theme';
import { PartField } from './PartField';
import { useFilterWording } from './useFilterWording';

interface Props {
  filter: Filter;
  /** Parts that have no chip, since they are asked for elsewhere on the screen. */
  hidden?: readonly FilterPart[];
  /** Parts that can't be asked for here. */
  without?: readonly FilterPart[];
  /** Whether that nothing is over can be asked for here. */
  hasPast?: boolean;
  onFilter(filter: Filter): void;
}

/** One part of a question: pressed it is changed, and a cross takes it away. */
function PartChip({
  said,
  name,
  isTurned,
  onChange,
  onRemove,
}: {
  said: string;
  name: string;
  isTurned: boolean;
  onChange(): void;
  onRemove(): void;
}) {
  const palette = usePalette();
  const edge = isTurned ? palette.brick : palette.accent;
  return (
    <View style={[styles.chip, { borderColor: edge, backgroundColor: palette.sheet }]}>
      <Pressable
        role="button"
        aria-haspopup="dialog"
        aria-label={`${name}: ${said}. Change`}
        onPress={onChange}
        style={styles.said}
      >
        <Text numberOfLines={2} style={isTurned && { color: palette.brick }}>
          {said}
        </Text>
      </Pressable>
      <Pressable
        role="button"
        aria-label={`Take away: ${said}`}
        onPress={onRemove}
        style={styles.cross}
      >
        <Icon name="close" size={16} color={palette.dim} />
      </Pressable>
    </View>
  );
}

/** The parts of a question as chips, to be added, changed, turned round and taken away. */
export function PartChips({ filter, hidden = [], without = [], hasPast = true, onFilter }: Props) {
  const calendars = useCalendars();
  const categories = useCategories();
  const wording = useFilterWording();
  const [open, setOpen] = useState<FilterPart | 'which' | null>(null);
  const partsSet = partsSetOf(filter);
  const shown = partsSet.filter((part) => !hidden.includes(part));
  const palette = usePalette();
  return (
    <View role="group" aria-label="The question" style={styles.row}>
      {shown.map((part) => (
        <PartChip
          key={part}
          name={PART_NAMES[part]}
          said={sayPart(filter, part, wording)}
          isTurned={filter.not.includes(part)}
          onChange={() => setOpen(part)}
          onRemove={() => onFilter(withoutPart(filter, part))}
        />
      ))}
      {hasPast && filter.isPastHidden && (
        <ToggleChip
          label="Not over"
          isOn
          onPress={() => onFilter({ ...filter, isPastHidden: false })}
        />
      )}
      <Pressable
        role="button"
        aria-haspopup="dialog"
        onPress={() => setOpen('which')}
        style={[styles.add, { borderColor: palette.hairline }]}
      >
        <Icon name="plus" size={18} color={palette.accent} />
        <Text style={{ color: palette.accent }}>More exact</Text>
      </Pressable>
      {open === 'which' && (
        <Dialog title="Ask for" onClose={() => setOpen(null)}>
          <View style={styles.which}>
            {FILTER_PARTS.filter((part) => !without.includes(part)).map((part) => (
              <ToggleChip
                key={part}
                label={PART_NAMES[part]}
                isOn={partsSet.includes(part)}
                onPress={() => setOpen(part)}
              />
            ))}
            {hasPast && (
              <ToggleChip
                label="Not over"
                isOn={filter.isPastHidden}
                onPress={() => {
                  onFilter({ ...filter, isPastHidden: !filter.isPastHidden });
                  setOpen(null);
                }}
              />
            )}
          </View>
        </Dialog>
      )}
      {open && open !== 'which' && (
        <Dialog
          title={PART_NAMES[open]}
          onClose={() => setOpen(null)}
          footer={
            <>
              <ToggleChip
                label="Turned round: not"
                isOn={filter.not.includes(open)}
                onPress={() => onFilter(turnedRound(filter, open))}
              />
              <Button mode="contained" onPress={() => setOpen(null)}>
                Done
              </Button>
            </>
          }
        >
          <View style={styles.field}>
            <PartField
              part={open}
              filter={filter}
              calendars={calendars}
              categories={categories}
              onChange={(fields) => onFilter({ ...filter, ...fields })}
            />
          </View>
        </Dialog>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, alignItems: 'center' },
  chip: {
    flexDirection: 'row',
    alignItems: 'stretch',
    minHeight: 40,
    maxWidth: '100%',
    borderWidth: 1,
    borderRadius: 8,
  },
  said: { justifyContent: 'center', paddingLeft: 12, paddingVertical: 4, flexShrink: 1 },
  cross: { width: 40, alignItems: 'center', justifyContent: 'center' },
  add: {
    minHeight: 40,
    paddingHorizontal: 12,
    borderWidth: 1,
    borderStyle: 'dashed',
    borderRadius: 8,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 6,
  },
  which: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, width: 'min(84vw, 420px)' } as object,
  field: { width: 'min(84vw, 420px)', minHeight: 60 } as object,
});

import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Person } from '@/core/model/person';
import type { OpeningRun } from '@/core/people/openings';
import type { OpeningWording } from '@/core/people/sayOpenings';
import { sayOpening, sayRun } from '@/core/people/sayOpenings';
import { MINUTE, minuteOfDay } from '@/core/time/civil';
import type { EpochMs } from '@/core/time/units';
import { sayMinute } from '@/core/time/words';
import { wallFromInstant } from '@/core/time/zones';
import { Icon } from '@/ui/icons/Icon';
import { ToggleChip } from '@/ui/ToggleChip';
import { usePalette } from '@/ui/theme/theme';

/** Starts of one stretch that are offered, evenly spread. */
const MOST_STARTS = 12;

/** The starts of a run, every slot, or where they are many every so many. */
function startsOf({ first, last }: OpeningRun, slot: number): EpochMs[] {
  const step = slot * MINUTE;
  const all = Math.round((last - first) / step) + 1;
  const every = Math.ceil(all / MOST_STARTS);
  return Array.from({ length: Math.ceil(all / every) }, (_, i) => first + i * every * step);
}

interface Props {
  runs: readonly OpeningRun[];
  people: readonly Person[];
  around: OpeningWording;
  slot: number;
  take: string;
  chosen: ReadonlySet<EpochMs>;
  /** Several can be chosen; null where one is taken at once. */
  onChoose: ((start: EpochMs) => void) | null;
  onTake(start: EpochMs): void;
}

/** Times that it could be, the best first, each with what speaks for and against it. */
export function OpeningList(props: Props) {
  const { runs, people, around, slot, take, chosen, onChoose, onTake } = props;
  const palette = usePalette();
  const [openAt, setOpenAt] = useState<EpochMs | null>(null);
  const at = (start: EpochMs) =>
    sayMinute(minuteOfDay(wallFromInstant(start, around.clock)), around.wording.hourCycle);
  return (
    <View role="list" aria-label="Openings">
      {runs.map((run) => {
        const isOne = run.first === run.last;
        const isOpen = openAt === run.first;
        return (
          <View
            key={run.first}
            role="listitem"
            style={[styles.run, { borderColor: palette.hairline }]}
          >
            <View style={styles.head}>
              <View style={styles.words}>
                <Text style={styles.when}>{sayRun(run, around)}</Text>
                <Text
                  variant="bodySmall"
                  style={{ color: run.weight === 0 ? palette.accent : palette.amber }}
                >
                  {sayOpening(run, people, around)}
                </Text>
              </View>
              {isOne && !onChoose ? (
                <Button mode="outlined" compact onPress={() => onTake(run.first)}>
                  {take}
                </Button>
              ) : (
                <Pressable
                  role="button"
                  aria-expanded={isOpen}
                  aria-label={`Starts on ${sayRun(run, around)}`}
                  onPress={() => setOpenAt(isOpen ? null : run.first)}
                  style={[styles.fold, { borderColor: palette.hairline }]}
                >
                  <Text style={{ color: palette.accent }}>Starts</Text>
                  <Icon
                    name={isOpen ? 'chevron-up' : 'chevron-down'}
                    size={18}
                    color={palette.accent}
                  />
                </Pressable>
              )}
            </View>
            {isOpen && (
              <View
                role="group"
                aria-label={`Starts on ${sayRun(run, around)}`}
                style={styles.starts}
              >
                {startsOf(run, slot).map((start) =>
                  onChoose ? (
                    <ToggleChip
                      key={start}
                      label={at(start)}
                      isOn={chosen.has(start)}
                      onPress={() => onChoose(start)}
                    />
                  ) : (
                    <Button key={start} mode="outlined" compact onPress={() => onTake(start)}>
                      {at(start)}
                    </Button>
                  ),
                )}
              </View>
            )}
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  run: { borderBottomWidth: 1, paddingVertical: 6, gap: 4 },
  head: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  words: { flex: 1, minWidth: 0 },
  when: { fontWeight: '600' },
  fold: {
    minHeight: 40,
    paddingHorizontal: 10,
    borderWidth: 1,
    borderRadius: 8,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 4,
  },
  starts: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});

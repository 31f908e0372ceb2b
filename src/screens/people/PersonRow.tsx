import { Pressable, StyleSheet, View } from 'react-native';
import { Switch, Text } from 'react-native-paper';
import type { Person, Seeing } from '@/core/model/person';
import { sayMoment, sayStanding, sayTheirTime } from '@/core/people/standing';
import type { EpochMs } from '@/core/time/units';
import { useDo } from '@/data/commands';
import { useNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { PersonMark } from '@/features/people/PersonMark';
import type { PersonNow } from '@/features/people/usePeopleNow';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  person: Person;
  now: PersonNow | undefined;
  /** When they are next clear for an hour; undefined while that is not known. */
  clear: EpochMs | null | undefined;
  onOpen(): void;
}

const SEEN: Readonly<Record<Seeing, string>> = {
  booked: 'shows when booked',
  titles: 'shows titles',
  all: 'shows all but private',
};

/** Somebody: where and how it stands with them now, when they are next clear, and what they let be seen. */
export function PersonRow({ person, now, clear, onOpen }: Props) {
  const palette = usePalette();
  const act = useDo();
  const instant = useNow();
  const { clock, wording } = usePreferences();
  const standing = now?.standing;
  const said = [
    sayTheirTime(person, instant, clock, wording),
    standing ? sayStanding(standing, instant, clock, wording) : '',
  ].filter(Boolean);
  const more = [
    standing && standing.is !== 'clear' && clear
      ? `next clear hour ${sayMoment(clear, instant, clock, wording)}`
      : '',
    now?.time.seeing ? SEEN[now.time.seeing] : '',
  ].filter(Boolean);
  return (
    <View
      role="listitem"
      aria-label={person.name}
      style={[styles.row, { borderColor: palette.hairline }]}
    >
      <Pressable role="button" onPress={onOpen} style={styles.press}>
        <PersonMark person={person} size={18} />
        <View style={styles.words}>
          <Text style={styles.name}>{person.name}</Text>
          {said.length > 0 && (
            <Text
              variant="bodySmall"
              style={{ color: standing?.is === 'taken' ? palette.amber : palette.ink }}
            >
              {said.join(' · ')}
            </Text>
          )}
          {now?.time.problem && (
            <Text variant="bodySmall" style={{ color: palette.amber }}>
              {now.time.problem}
            </Text>
          )}
          {more.length > 0 && (
            <Text variant="bodySmall" style={{ color: palette.dim }}>
              {more.join(' · ')}
            </Text>
          )}
        </View>
      </Pressable>
      <Switch
        value={person.shown}
        onValueChange={(shown) => void act({ kind: 'showPerson', id: person.id, shown })}
        aria-label={`Show ${person.name} on the sheet`}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    borderBottomWidth: 1,
    paddingVertical: 6,
  },
  press: {
    flex: 1,
    minWidth: 0,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    minHeight: 44,
  },
  words: { flex: 1, minWidth: 0 },
  name: { fontWeight: '600' },
});

import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { DaysMeant } from '@/core/find/daysIn';
import type { Suggestion, SuggestionGroup } from '@/core/find/suggestions';
import { plainNotes } from '@/core/page/notes';
import { FIELD_NAMES } from '@/core/query/sayFilter';
import { wordsOf, excerpt, marked } from '@/core/query/words';
import { DATED_DAY, sayDay } from '@/core/time/words';
import type { Wording } from '@/core/time/words';
import { usePreferences } from '@/data/preferences';
import { useSuggestions } from '@/data/finding';
import { Pieces } from '@/ui/Pieces';
import { usePalette } from '@/ui/theme/theme';

/** Longer texts are shown around what was found in them. */
const LONG = 48;

function formatDays({ from, to }: DaysMeant, wording: Wording): string {
  const day = (nth: number) => sayDay(nth, wording, DATED_DAY);
  if (from === null) return to === null ? '' : `until ${day(to)}`;
  if (to === null) return `from ${day(from)}`;
  return from === to ? day(from) : `${day(from)} – ${day(to)}`;
}

/** Notes without the signs that say how they are drawn. */
const asRead = ({ field, text }: Exclude<Suggestion, { field: 'dates' }>): string =>
  field === 'notes' ? plainNotes(text) : text;

function SuggestionChip({
  suggestion,
  words,
  onPress,
}: {
  suggestion: Suggestion;
  words: readonly string[];
  onPress(): void;
}) {
  const palette = usePalette();
  const { wording } = usePreferences();
  const isDates = suggestion.field === 'dates';
  const text = isDates ? formatDays(suggestion.days, wording) : asRead(suggestion);
  const pieces =
    (text.length > LONG && excerpt(text, words, 16)) || marked(text.slice(0, LONG), words);
  return (
    <Pressable
      role="button"
      onPress={onPress}
      style={[styles.chip, { borderColor: palette.hairline, backgroundColor: palette.sheet }]}
    >
      <Text numberOfLines={1} style={styles.text}>
        <Pieces pieces={pieces} />
      </Text>
      {!isDates && (
        <Text variant="bodySmall" style={[styles.count, { color: palette.dim }]}>
          {suggestion.count}
        </Text>
      )}
    </Pressable>
  );
}

const groupName = (field: SuggestionGroup['field']) =>
  field === 'dates' ? 'dates' : FIELD_NAMES[field];

/** What typed words may ask for, a line for each place where they stand. */
export function Suggestions({
  typed,
  onChoose,
}: {
  typed: string;
  onChoose(suggestion: Suggestion): void;
}) {
  const palette = usePalette();
  const { data: groups = [] } = useSuggestions(typed);
  const words = wordsOf(typed);
  if (typed.trim() === '' || groups.length === 0) return null;
  return (
    <View role="region" aria-label="Suggestions" style={styles.all}>
      {groups.map(({ field, entries, total }) => (
        <View key={field} role="group" aria-label={`In ${groupName(field)}`} style={styles.group}>
          <Text variant="bodySmall" style={[styles.name, { color: palette.dim }]}>
            {groupName(field)}
            {total > entries.length ? ` ${total}` : ''}
          </Text>
          <View style={styles.row}>
            {entries.map((suggestion, i) => (
              <SuggestionChip
                key={i}
                suggestion={suggestion}
                words={words}
                onPress={() => onChoose(suggestion)}
              />
            ))}
          </View>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 6 },
  group: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
  name: { width: 68, paddingTop: 11 },
  row: { flex: 1, minWidth: 0, flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  chip: {
    minHeight: 40,
    maxWidth: '100%',
    paddingHorizontal: 12,
    borderWidth: 1,
    borderRadius: 8,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
  },
  text: { flexShrink: 1 },
  count: { fontVariant: ['tabular-nums'] },
});

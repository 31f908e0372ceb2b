import { useRouter } from 'expo-router';
import { useDeferredValue, useEffect, useRef, useState } from 'react';
import type { TextInput as NativeInput } from 'react-native';
import { StyleSheet, View } from 'react-native';
import { Button, TextInput } from 'react-native-paper';
import type { Suggestion } from '@/core/find/suggestions';
import type { FoundLine } from '@/core/find/results';
import { EMPTY_FILTER } from '@/core/model/filter';
import { writeFilter } from '@/core/query/filterAddress';
import { partsSet } from '@/core/query/filterParts';
import { sayFilter } from '@/core/query/sayFilter';
import { asQuoted } from '@/core/query/words';
import { dayOfWall } from '@/core/time/civil';
import { useAskSheet } from '@/data/asked';
import { questionOf, useFound } from '@/data/finding';
import { putFoundWalk } from '@/data/foundWalk';
import { noteAsked } from '@/data/lastFilters';
import { useWallNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { useEngine } from '@/data/engineContext';
import { selection } from '@/data/selection';
import { PartChips } from '@/features/query/PartChips';
import { useFilterWording } from '@/features/query/useFilterWording';
import { HelpMark } from '@/features/help/HelpMark';
import { Page } from '@/ui/Page';
import { TextField } from '@/ui/TextField';
import { asSuggested } from './asSuggested';
import { AskedBefore } from './AskedBefore';
import { KeepQuestion } from './KeepQuestion';
import { Results } from './Results';
import { SeenAs } from './SeenAs';
import { Suggestions } from './Suggestions';
import { useMeantFilter, useQuestion } from './useQuestion';

/** Finds events by what they say, when they are and what they have. */
export function FindScreen() {
  const { clock, wording } = usePreferences();
  const today = dayOfWall(useWallNow(clock));
  const { engine } = useEngine();
  const said = useFilterWording();
  const askSheet = useAskSheet();
  const router = useRouter();
  const [written, ask] = useQuestion();
  // The days that the words name are days: “bench round next week”.
  const filter = useMeantFilter(written);
  const [isTyping, setTyping] = useState(false);
  // Letters are there at once, what they find as soon as it is found.
  const typed = useDeferredValue(written.text);
  const { data: found, isPlaceholderData: isLooking } = useFound(useDeferredValue(filter));
  const total = found ? found.comingTotal + found.overTotal : 0;
  const isAsked = partsSet(filter) > 0;
  const field = useFocusAtFirst();

  function choose(suggestion: Suggestion) {
    setTyping(false);
    ask(asSuggested(filter, suggestion));
  }

  function open(line: FoundLine) {
    if (!found) return;
    const shown = (one: FoundLine) => (one.next ?? one.last)!.id;
    const ids = [...found.coming, ...found.over].map(shown);
    noteAsked(filter);
    putFoundWalk({
      ids,
      at: ids.indexOf(shown(line)),
      said: sayFilter(filter, said),
      address: `/find?q=${encodeURIComponent(writeFilter(filter))}`,
    });
    askSheet({ kind: 'event', id: shown(line), uncovers: true });
  }

  async function selectAll() {
    if (!engine) return;
    const ids = await engine.finding.matching(questionOf(filter, Date.now()), null, clock);
    selection.set(ids);
  }

  return (
    <Page title="Find" isBroad mark={<HelpMark topic="find" about="finding and changing many" />}>
      <TextField
        ref={field}
        label="Find"
        placeholder="A word, a place, a name, “last week”"
        value={written.text}
        autoComplete="off"
        autoCapitalize="none"
        autoCorrect={false}
        onChangeText={(text) => {
          setTyping(true);
          ask({ ...written, text });
        }}
        onSubmitEditing={() => {
          setTyping(false);
          noteAsked(filter);
        }}
        right={
          written.text !== '' ? (
            <TextInput.Icon
              icon="close"
              accessibilityLabel="Clear the words"
              onPress={() => ask({ ...written, text: '', textIn: [] })}
            />
          ) : undefined
        }
      />
      {isTyping && <Suggestions typed={typed} onChoose={choose} />}
      <PartChips filter={filter} hidden={filter.textIn.length ? [] : ['words']} onFilter={ask} />
      {!isAsked && <AskedBefore onAsk={ask} />}
      {isAsked && found && (
        <>
          <View style={styles.actions}>
            <Button
              mode="outlined"
              disabled={isLooking || total === 0}
              onPress={() => void selectAll()}
            >
              {`Select all ${total.toLocaleString('en')}`}
            </Button>
            <SeenAs filter={filter} found={found} />
            <KeepQuestion filter={filter} />
            <Button
              disabled={total === 0}
              onPress={() =>
                router.navigate(`/print?what=found&q=${encodeURIComponent(writeFilter(filter))}`)
              }
            >
              Print…
            </Button>
            <Button onPress={() => ask(EMPTY_FILTER)}>Ask anew</Button>
          </View>
          <Results
            found={found}
            setting={{ wording, today, onOpen: open }}
            onAsTyped={() => ask({ ...filter, text: asQuoted(filter.text) })}
          />
        </>
      )}
    </Page>
  );
}

/** The field of words has the focus when the screen opens. */
function useFocusAtFirst() {
  const field = useRef<NativeInput>(null);
  useEffect(() => field.current?.focus(), []);
  return field;
}

const styles = StyleSheet.create({
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' },
});

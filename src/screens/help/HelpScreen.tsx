import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { searchNamed } from '@/core/find/commandSearch';
import { parseDate } from '@/core/time/civil';
import { DATED_DAY, sayDay } from '@/core/time/words';
import { useAskSheet } from '@/data/asked';
import { usePreferences } from '@/data/preferences';
import { KEY_ROWS } from '@/features/keys/keys';
import type { Place, Topic } from '@/features/help/topics';
import { useTopics } from '@/features/help/useTopics';
import { Card } from '@/ui/Card';
import { Fold } from '@/ui/Fold';
import { Page } from '@/ui/Page';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';
import { HelpPicture } from './HelpPicture';

/** Opens the place that a topic is about. */
function useShowMe(): (place: Place) => void {
  const router = useRouter();
  const askSheet = useAskSheet();
  return (place) => {
    if ('path' in place) router.navigate(place.path as '/help');
    else if ('add' in place) askSheet({ kind: 'add' });
    else askSheet({ kind: 'key', action: place.action });
  };
}

function TopicCard({ topic }: { topic: Topic }) {
  const showMe = useShowMe();
  return (
    <Card title={topic.title}>
      {topic.picture && <HelpPicture kind={topic.picture} />}
      {topic.text.map((text) => (
        <Text key={text}>{text}</Text>
      ))}
      <Button
        mode="outlined"
        style={styles.start}
        accessibilityLabel={`Show me: ${topic.title}`}
        onPress={() => showMe(topic.showMe)}
      >
        Show me
      </Button>
    </Card>
  );
}

/** A list of words or keys with what they mean. */
function Pairs({ name, pairs }: { name: string; pairs: readonly (readonly [string, string])[] }) {
  const { hairline } = usePalette();
  return (
    <View role="list" aria-label={name}>
      {pairs.map(([word, says]) => (
        <View key={word + says} role="listitem" style={[styles.pair, { borderColor: hairline }]}>
          <Text style={styles.word}>{word}</Text>
          <Text style={styles.says}>{says}</Text>
        </View>
      ))}
    </View>
  );
}

/** How things are done, what the app's words mean, its keys, and what is new; looked for by words. */
export function HelpScreen() {
  const palette = usePalette();
  const { wording } = usePreferences();
  const { of } = useLocalSearchParams<{ of?: string }>();
  const { TASKS, WORDS, NEWS } = useTopics();
  const [typed, setTyped] = useState('');
  const one = TASKS.find(({ id }) => id === of);
  const asked = one && typed === '' ? [one] : searchNamed(TASKS.map(asNamed), typed);
  const words = searchNamed(
    WORDS.map(([name, also]) => ({ name, also })),
    typed,
  );
  const news = NEWS.map(
    ([day, says]) => [sayDay(parseDate(day), wording, DATED_DAY), says] as const,
  );
  const none = TASKS.length > 0 && asked.length === 0 && words.length === 0;
  return (
    <Page title="Help">
      <TextField label="What do you want to do?" value={typed} onChangeText={setTyped} />
      {none && (
        <Text role="status" style={{ color: palette.dim }}>
          Nothing is said of that here. Try another word, or look at all of it without one.
        </Text>
      )}
      {asked.map((topic) => (
        <TopicCard key={topic.id} topic={topic} />
      ))}
      {words.length > 0 && (
        <Card title="Words of the app">
          <Pairs name="Words" pairs={words.map(({ name, also }) => [name, also] as const)} />
        </Card>
      )}
      {typed === '' && (
        <>
          <Card title="Keys">
            <Fold icon="keyboard-outline" name="All keys" said={`${KEY_ROWS.length} keys`}>
              <Pairs name="Keys" pairs={KEY_ROWS.map(({ keys, says }) => [keys, says] as const)} />
            </Fold>
          </Card>
          <Card title="What is new">
            <Pairs name="What is new" pairs={news} />
          </Card>
        </>
      )}
    </Page>
  );
}

const asNamed = (topic: Topic) => ({ ...topic, name: topic.title, also: topic.words });

const styles = StyleSheet.create({
  start: { alignSelf: 'flex-start' },
  pair: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    gap: 10,
    paddingVertical: 6,
    borderBottomWidth: 1,
  },
  word: { width: 150, fontWeight: '600' },
  says: { flex: 1, minWidth: 180 },
});

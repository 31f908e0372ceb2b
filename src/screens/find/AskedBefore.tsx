import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';
import type { Filter } from '@/core/model/filter';
import { sayFilter } from '@/core/query/sayFilter';
import { useDo } from '@/data/commands';
import { useQuestions } from '@/data/finding';
import { useLastFilters } from '@/data/lastFilters';
import { useFilterWording } from '@/features/query/useFilterWording';
import { Card } from '@/ui/Card';

/** Questions that were kept, and those that were asked last. */
export function AskedBefore({ onAsk }: { onAsk(filter: Filter): void }) {
  const wording = useFilterWording();
  const act = useDo();
  const questions = useQuestions();
  const last = useLastFilters();
  return (
    <>
      {questions.length > 0 && (
        <Card title="Kept">
          <View role="list" aria-label="Kept questions">
            {questions.map((question) => (
              <View key={question.id} role="listitem" style={styles.row}>
                <Button
                  style={styles.ask}
                  contentStyle={styles.said}
                  onPress={() => onAsk(question.filter)}
                >
                  {question.name}
                </Button>
                <IconButton
                  icon="trash-can-outline"
                  accessibilityLabel={`Remove the question ${question.name}`}
                  size={20}
                  onPress={() => void act({ kind: 'removeQuestion', id: question.id })}
                />
              </View>
            ))}
          </View>
        </Card>
      )}
      {last.length > 0 && (
        <Card title="Asked last">
          <View role="list" aria-label="Asked last">
            {last.map((filter) => {
              const said = sayFilter(filter, wording);
              return (
                <View key={JSON.stringify(filter)} role="listitem" style={styles.row}>
                  <Button
                    style={styles.ask}
                    contentStyle={styles.said}
                    onPress={() => onAsk(filter)}
                  >
                    {said}
                  </Button>
                </View>
              );
            })}
          </View>
        </Card>
      )}
      {questions.length === 0 && last.length === 0 && (
        <Text>
          Type a word that stands in a title, a place, notes, a file’s name or among the people.
          “March” or “last week” are read as days.
        </Text>
      )}
    </>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center' },
  ask: { flexShrink: 1, minWidth: 0 },
  said: { justifyContent: 'flex-start' },
});

import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { z } from '@/core/model/zod';
import { openBoxes, withBoxTicked } from '@/core/page/notes';
import { useDraft } from '@/data/drafts';
import type { EventPage } from '@/engine/pages/pages';
import { Card } from '@/ui/Card';
import { Formatted } from '@/ui/markdown/Formatted';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';
import { useWritePage } from './useWritePage';

interface Props {
  page: EventPage;
  isFollowed: boolean;
  onFollowUp(text: string): Promise<boolean>;
}

/** The notes of an event in simple Markdown: shown formatted, and written as they are typed. */
export function NotesPart({ page, isFollowed, onFollowUp }: Props) {
  const palette = usePalette();
  const { notes } = page.date;
  const { writeNotes } = useWritePage(page);
  // What is typed and not kept yet is found again here, whatever closed the page.
  const { draft, keep: putBy, drop } = useDraft(`notes of ${page.occurrence.id}`);
  const waiting = draft && z.string().safeParse(draft.values).data;
  const [isWriting, setWriting] = useState(false);
  const text = waiting ?? notes;
  const boxes = openBoxes(notes);

  async function keep() {
    if (text !== notes && !(await writeNotes(text))) return;
    drop();
    setWriting(false);
  }
  async function makeFollowUps() {
    let ticked = notes;
    for (const box of boxes) if (await onFollowUp(box)) ticked = withBoxTicked(ticked, box);
    if (ticked !== notes) await writeNotes(ticked);
  }

  if (isWriting || waiting !== undefined)
    return (
      <Card title="Notes">
        <TextField
          label="Notes, in simple Markdown"
          value={text}
          multiline
          numberOfLines={10}
          autoFocus={isWriting}
          onChangeText={(typed) => putBy({ title: page.date.title, values: typed })}
        />
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          # title, **strong**, - list, - [ ] something to do
        </Text>
        <View style={styles.buttons}>
          <Button
            onPress={() => {
              drop();
              setWriting(false);
            }}
          >
            Let go
          </Button>
          <Button mode="contained" onPress={() => void keep()}>
            Keep notes
          </Button>
        </View>
      </Card>
    );
  return (
    <Card title="Notes">
      {notes.trim() ? (
        <Formatted>{notes}</Formatted>
      ) : (
        <Text style={{ color: palette.dim }}>
          Nothing is written down yet. What you write here stays with the event.
        </Text>
      )}
      {!isFollowed && (
        <View style={styles.buttons}>
          {boxes.length > 0 && (
            <Button compact onPress={() => void makeFollowUps()}>
              {boxes.length === 1
                ? 'Make a follow-up of the open box'
                : `Make follow-ups of ${boxes.length} open boxes`}
            </Button>
          )}
          <Button compact icon="pencil-outline" onPress={() => setWriting(true)}>
            Write notes
          </Button>
        </View>
      )}
    </Card>
  );
}

const styles = StyleSheet.create({
  buttons: { flexDirection: 'row', flexWrap: 'wrap', justifyContent: 'flex-end', gap: 8 },
});

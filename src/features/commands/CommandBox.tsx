import { useEffect, useRef, useState } from 'react';
import type { TextInput as NativeInput } from 'react-native';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { searchNamed } from '@/core/find/commandSearch';
import type { FoundLine } from '@/core/find/results';
import { EMPTY_FILTER } from '@/core/model/filter';
import { titleOf } from '@/core/model/titleOf';
import { saySpan } from '@/core/time/words';
import { useAskSheet } from '@/data/asked';
import { useFound } from '@/data/finding';
import { usePreferences } from '@/data/preferences';
import { Dialog } from '@/ui/Dialog';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';
import type { CommandLine } from './useCommandList';
import { useCommandList } from './useCommandList';

/** A role that the types of React Native do not know. */
const LISTBOX = { role: 'listbox' } as object;
/** Lines that are listed, and events among them. */
const LISTED = 30;
const EVENTS = 6;

/** Events that have the typed words, as lines of the box. */
function useEventLines(typed: string): CommandLine[] {
  const { wording } = usePreferences();
  const askSheet = useAskSheet();
  const text = typed.trim().length > 1 ? typed : '';
  const { data } = useFound({ ...EMPTY_FILTER, text });
  const lines: FoundLine[] = text && data ? [...data.coming, ...data.over].slice(0, EVENTS) : [];
  return lines.map((line) => {
    const o = (line.next ?? line.last)!;
    return {
      id: `event ${o.id}`,
      name: `${titleOf(o)}, ${saySpan(o, wording)}`,
      group: 'Event',
      run: () => askSheet({ kind: 'event', id: o.id, uncovers: true }),
    };
  });
}

/** One box for everything that can be done or opened: typed, chosen, done; with the key that does it without the box. */
export function CommandBox({ onClose }: { onClose(): void }) {
  const palette = usePalette();
  const all = useCommandList();
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState(0);
  const field = useRef<NativeInput>(null);
  // A dialog gives the focus to its first button as it opens: what is typed next is meant for the box.
  useEffect(() => {
    const timer = setTimeout(() => field.current?.focus());
    return () => clearTimeout(timer);
  }, []);
  const events = useEventLines(typed);
  const lines = [...searchNamed(all, typed).slice(0, LISTED), ...events];
  const at = Math.min(chosen, Math.max(0, lines.length - 1));
  useEffect(() => {
    document.getElementById(`command-line-${at}`)?.scrollIntoView({ block: 'nearest' });
  }, [at]);
  function run(line: CommandLine | undefined) {
    if (!line) return;
    onClose();
    line.run();
  }
  return (
    <Dialog title="What do you want to do?" onClose={onClose}>
      <View style={styles.all}>
        <TextField
          label="A thing to do, a screen, a lens, an event"
          value={typed}
          ref={field}
          autoComplete="off"
          autoCorrect={false}
          role="combobox"
          aria-expanded
          aria-controls="command-lines"
          aria-activedescendant={lines.length ? `command-line-${at}` : undefined}
          onChangeText={(text) => {
            setTyped(text);
            setChosen(0);
          }}
          onKeyPress={(event) => {
            const { key } = event.nativeEvent;
            if (key !== 'ArrowDown' && key !== 'ArrowUp') return;
            event.preventDefault();
            const next = at + (key === 'ArrowDown' ? 1 : -1);
            setChosen((next + lines.length) % Math.max(1, lines.length));
          }}
          onSubmitEditing={() => run(lines[at])}
        />
        <ScrollView style={styles.list} tabIndex={0}>
          <View {...LISTBOX} nativeID="command-lines" aria-label="Found">
            {lines.map((line, i) => (
              <Pressable
                key={line.id}
                role="option"
                nativeID={`command-line-${i}`}
                aria-selected={i === at}
                tabIndex={-1}
                onPress={() => run(line)}
                style={[styles.line, i === at && { backgroundColor: palette.accentWash }]}
              >
                <Text style={styles.name}>{line.name}</Text>
                {line.group !== 'Do' && (
                  <Text variant="bodySmall" style={{ color: palette.dim }}>
                    {line.group}
                  </Text>
                )}
                {line.keys !== undefined && (
                  <Text
                    variant="labelSmall"
                    style={[styles.keys, { borderColor: palette.hairline, color: palette.dim }]}
                  >
                    {line.keys}
                  </Text>
                )}
              </Pressable>
            ))}
          </View>
        </ScrollView>
        {lines.length === 0 && (
          <Text role="status" style={{ color: palette.dim }}>
            Nothing here is called so.
          </Text>
        )}
      </View>
    </Dialog>
  );
}

const styles = StyleSheet.create({
  all: { gap: 8, width: 'min(86vw, 560px)' } as object,
  list: { maxHeight: '52vh' } as object,
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    minHeight: 40,
    paddingHorizontal: 10,
    borderRadius: 6,
  },
  name: { flex: 1, minWidth: 0 },
  keys: { borderWidth: 1, borderRadius: 4, paddingHorizontal: 6, paddingVertical: 2 },
});

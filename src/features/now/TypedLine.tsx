import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';
import { useDraft } from '@/data/drafts';
import { TextField } from '@/ui/TextField';
import type { ChosenJot } from './useJot';

/** A line that is being typed; what was begun waits under its name. */
export function useTypedLine(name: string): [line: string, type: (next: string) => void] {
  const { draft, keep, drop } = useDraft(name);
  const [line, setLine] = useState(draft?.title ?? '');
  function type(next: string) {
    setLine(next);
    if (next.trim()) keep({ title: next, values: null });
    else drop();
  }
  return [line, type];
}

interface Props extends Partial<Pick<ChosenJot, 'onKeyPress'>> {
  label: string;
  placeholder: string;
  /** What its button says. */
  button: string;
  line: string;
  isGood: boolean;
  onType(next: string): void;
  onKeep(): void;
}

/** The field of a typed line, with the button that keeps it. */
export function TypedLine(props: Props) {
  const { label, placeholder, button, line, isGood, onType, onKeyPress, onKeep } = props;
  return (
    <View style={styles.line}>
      <TextField
        label={label}
        placeholder={placeholder}
        value={line}
        onChangeText={onType}
        {...(onKeyPress && { onKeyPress })}
        onSubmitEditing={onKeep}
        style={styles.field}
      />
      <Button mode="contained" disabled={!isGood} onPress={onKeep}>
        {button}
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  field: { flex: 1, minWidth: 0 },
});

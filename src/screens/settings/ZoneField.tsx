import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, HelperText } from 'react-native-paper';
import { isKnownZone } from '@/core/time/zones';
import { browserZone } from '@/data/browser';
import { ToggleChip } from '@/ui/ToggleChip';
import { TextField } from '@/ui/TextField';

/** Suggestions shown while a zone is typed. */
const SUGGESTIONS = 6;

interface Props {
  /** Null follows the browser. */
  zone: string | null;
  onChoose(zone: string | null): void;
}

const plain = (text: string) => text.toLowerCase().replaceAll('_', ' ');

/** The zone in which the week is shown: typed with suggestions, or the browser's. */
export function ZoneField({ zone, onChoose }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const wanted = typed?.trim() ?? '';
  const found = wanted
    ? Intl.supportedValuesOf('timeZone')
        .filter((name) => plain(name).includes(plain(wanted)))
        .slice(0, SUGGESTIONS)
    : [];

  function choose(name: string | null) {
    setTyped(null);
    onChoose(name);
  }

  return (
    <View style={styles.all}>
      <TextField
        label="Time zone"
        value={typed ?? zone ?? `As the browser: ${browserZone()}`}
        onFocus={() => setTyped('')}
        onBlur={() => typed === '' && setTyped(null)}
        onChangeText={setTyped}
        onSubmitEditing={() =>
          found[0] ? choose(found[0]) : isKnownZone(wanted) && choose(wanted)
        }
      />
      {wanted !== '' && found.length === 0 && (
        <HelperText type="error">No zone has that in its name.</HelperText>
      )}
      <View style={styles.chips}>
        {found.map((name) => (
          <ToggleChip
            key={name}
            label={name.replaceAll('_', ' ')}
            isOn={false}
            onPress={() => choose(name)}
          />
        ))}
        {zone !== null && typed === null && (
          <Button compact onPress={() => choose(null)}>
            Follow the browser
          </Button>
        )}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 6 },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});

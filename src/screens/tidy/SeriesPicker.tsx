import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { titleOf } from '@/core/model/titleOf';
import { useSeriesList } from '@/data/queries';
import { TextField } from '@/ui/TextField';
import { ToggleChip } from '@/ui/ToggleChip';
import { usePalette } from '@/ui/theme/theme';

/** Series that are offered at once. */
const OFFERED = 8;

/** One series, found by its title, or all of them. */
export function SeriesPicker({
  eventId,
  onChoose,
}: {
  eventId: string | null;
  onChoose(id: string | null): void;
}) {
  const palette = usePalette();
  const [typed, setTyped] = useState('');
  const { data: series = [] } = useSeriesList();
  const chosen = series.find(({ id }) => id === eventId);
  const wanted = typed.trim().toLowerCase();
  const found = wanted
    ? series.filter((one) => titleOf(one).toLowerCase().includes(wanted)).slice(0, OFFERED)
    : [];

  function choose(id: string | null) {
    setTyped('');
    onChoose(id);
  }

  return (
    <View style={styles.all}>
      <View style={styles.chips} role="group" aria-label="Which series">
        <ToggleChip label="All series" isOn={eventId === null} onPress={() => choose(null)} />
        {chosen && <ToggleChip label={titleOf(chosen)} isOn onPress={() => choose(null)} />}
      </View>
      <TextField
        label="One series, by its title"
        value={typed}
        onChangeText={setTyped}
        onSubmitEditing={() => found[0] && choose(found[0].id)}
      />
      {wanted !== '' && (
        <View style={styles.chips} role="group" aria-label="Series found">
          {found.map((one) => (
            <ToggleChip
              key={one.id}
              label={titleOf(one)}
              isOn={false}
              onPress={() => choose(one.id)}
            />
          ))}
          {found.length === 0 && (
            <Text variant="bodySmall" style={{ color: palette.dim }}>
              No series has that in its title.
            </Text>
          )}
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 6 },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});

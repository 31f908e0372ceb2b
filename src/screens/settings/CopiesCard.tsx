import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { count } from '@/core/time/words';
import { useEngine } from '@/data/engineContext';
import { usePreferences } from '@/data/preferences';
import { canChooseFolder, useCopying, useSafeCopies } from '@/data/safeCopies';
import { sayInstant } from '@/features/calendars/sayInstant';
import { HelpMark } from '@/features/help/HelpMark';
import { Card } from '@/ui/Card';
import { usePalette } from '@/ui/theme/theme';

/** How old the last copy is, where the next goes, and what else makes one. */
export function CopiesCard() {
  const palette = usePalette();
  const router = useRouter();
  const { store } = useEngine();
  const preferences = usePreferences();
  const { folder, last, problem, isCopying } = useSafeCopies();
  const copying = useCopying();
  if (store !== 'own') return null;
  return (
    <Card title="Copies kept by themselves">
      <Text role="status">
        {last
          ? `Last copy: ${sayInstant(last.at, preferences)}, ${last.name}: ${count(last.records, 'record')}, read back.`
          : 'There is no copy yet. A browser’s data can be lost with its machine.'}
      </Text>
      <Text variant="bodySmall" style={{ color: palette.dim }}>
        {folder
          ? `Two minutes after a change, a copy goes into “${folder.name}”. The last of each of ten days stay.`
          : canChooseFolder()
            ? 'Choose a folder of yours: after each change a copy is kept up in it by itself.'
            : 'This browser lets no page write into a folder: download a copy now and then. You are reminded.'}
      </Text>
      {problem !== null && (
        <Text role="alert" style={{ color: palette.brick }}>
          {problem}
        </Text>
      )}
      <View style={styles.buttons}>
        {canChooseFolder() && (
          <Button mode="outlined" onPress={() => void copying.choose()}>
            {folder ? 'Another folder…' : 'Choose a folder…'}
          </Button>
        )}
        {folder && (
          <>
            <Button disabled={isCopying} onPress={() => void copying.now()}>
              Copy now
            </Button>
            <Button onPress={() => void copying.stop()}>No more copies</Button>
          </>
        )}
        <Button onPress={() => router.navigate('/calendars')}>Download, or restore</Button>
        <HelpMark topic="kept" about="what is kept where" />
      </View>
    </Card>
  );
}

const styles = StyleSheet.create({
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' },
});

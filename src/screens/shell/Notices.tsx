import { StyleSheet, View } from 'react-native';
import { Button, ProgressBar, Text } from 'react-native-paper';
import { download } from '@/data/browser';
import { useEngine } from '@/data/engineContext';
import { count } from '@/core/time/words';
import { usePalette } from '@/ui/theme/theme';

/** What the person needs to know of the store: that it loads, that something could not be written. */
export function Notices() {
  const { engine, status, failure } = useEngine();
  const palette = usePalette();
  const isLong = status.total > 2000;

  async function exportAll() {
    if (!engine) return;
    const { text } = await engine.exportCalendars({ calendarIds: null });
    download('Orderly Week.ics', text, 'text/calendar');
  }

  if (failure) {
    return (
      <View role="alert" style={[styles.notice, { backgroundColor: palette.amberWash }]}>
        <Text>The app could not start: {failure} Reload the page to try again.</Text>
      </View>
    );
  }
  return (
    <>
      {!status.ready && isLong && (
        <View style={styles.notice}>
          <Text variant="bodySmall">
            Loading {status.loaded.toLocaleString('en')} of {count(status.total, 'record')}
          </Text>
          <ProgressBar progress={status.loaded / status.total} aria-label="Loading" />
        </View>
      )}
      {status.unsaved && (
        <View
          role="alert"
          style={[styles.notice, styles.row, { backgroundColor: palette.amberWash }]}
        >
          <Text style={styles.grow}>
            {status.unsaved.reason}{' '}
            {status.unsaved.changes > 0
              ? `${count(status.unsaved.changes, 'change')} kept on this page only, until you close it.`
              : 'What you add is kept on this page only, until you close it.'}
          </Text>
          <Button compact onPress={() => void engine?.retry()}>
            Try again
          </Button>
          <Button compact onPress={() => void exportAll()}>
            Export all
          </Button>
        </View>
      )}
    </>
  );
}

const styles = StyleSheet.create({
  notice: { paddingHorizontal: 14, paddingVertical: 6, gap: 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center' },
  grow: { flexGrow: 1, flexShrink: 1, flexBasis: 220 },
});

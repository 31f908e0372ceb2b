import type { ReactNode } from 'react';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, ProgressBar, Text } from 'react-native-paper';
import { EVERYTHING } from '@/core/query/eventQuery';
import { useEngine } from '@/data/engineContext';
import { count } from '@/core/time/words';
import { useExports } from '@/data/useExports';
import { usePalette } from '@/ui/theme/theme';

/** Something that the person has to know, with what can be done about it. */
function Notice({ text, children }: { text: string; children: ReactNode }) {
  const palette = usePalette();
  return (
    <View role="alert" style={[styles.notice, styles.row, { backgroundColor: palette.amberWash }]}>
      <Text style={styles.grow}>{text}</Text>
      {children}
    </View>
  );
}

/** What the person needs to know of the store: that it loads, that something could not be written. */
export function Notices() {
  const { engine, status, failure, stops } = useEngine();
  const [seen, setSeen] = useState(0);
  const palette = usePalette();
  const isLong = status.total > 2000;
  const [closed, setClosed] = useState(0);

  const { calendarFile } = useExports();
  const exportAll = () => void calendarFile({ query: EVERYTHING });

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
      {stops.length > seen && (
        <Notice text="What keeps your data stopped and was started again. What was said to be kept is kept.">
          <Button compact onPress={() => setSeen(stops.length)}>
            Close
          </Button>
        </Notice>
      )}
      {status.notes.slice(closed).map((note, i) => (
        <Notice key={closed + i} text={note}>
          <Button compact onPress={() => setClosed(closed + i + 1)}>
            Close
          </Button>
        </Notice>
      ))}
      {status.readOnly && (
        <Notice text={`${status.readOnly.reason} Nothing can be changed until then.`}>
          {status.readOnly.kind === 'incomplete' ? (
            <Button compact onPress={() => void engine?.retry()}>
              Try again
            </Button>
          ) : (
            <Button compact onPress={() => window.location.reload()}>
              Reload
            </Button>
          )}
          <Button compact onPress={exportAll}>
            Export what is here
          </Button>
        </Notice>
      )}
      {status.unsaved && (
        <Notice
          text={`${status.unsaved.reason} ${
            status.unsaved.changes > 0
              ? `${count(status.unsaved.changes, 'change')} kept on this page only, until you close it.`
              : 'What you add is kept on this page only, until you close it.'
          }`}
        >
          <Button compact onPress={() => void engine?.retry()}>
            Try again
          </Button>
          <Button compact onPress={exportAll}>
            Export all
          </Button>
        </Notice>
      )}
    </>
  );
}

const styles = StyleSheet.create({
  notice: { paddingHorizontal: 14, paddingVertical: 6, gap: 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center' },
  grow: { flexGrow: 1, flexShrink: 1, flexBasis: 220 },
});

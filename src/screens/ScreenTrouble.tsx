import type { ErrorBoundaryProps } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { EVERYTHING } from '@/core/query/eventQuery';
import { useEngine } from '@/data/engineContext';
import { useExports } from '@/data/useExports';
import { Page } from '@/ui/Page';
import { describeError } from '@/core/userError';

/** Whether a part of the app could not be fetched: its server has a newer version by now, or is away. */
const isPartMissing = (error: Error) => error.name === 'AsyncRequireError';

/** What is shown in place of a screen that failed: what happened, and the ways on. Nothing that was kept is touched. */
export function ScreenTrouble({ error, retry }: ErrorBoundaryProps) {
  const { engine } = useEngine();
  const { calendarFile } = useExports();
  const isMissing = isPartMissing(error);
  const reload = { children: 'Reload', onPress: () => window.location.reload() };
  return (
    <Page title={isMissing ? 'This screen could not be fetched' : 'This screen stopped'}>
      <Text role="alert">
        {isMissing
          ? 'A newer version of Orderly Week may have taken the place of this one, or its server does not answer. What you kept is not touched by it: reload to go on.'
          : describeError(error)}
      </Text>
      <View style={styles.buttons}>
        {isMissing ? (
          <Button mode="contained" {...reload} />
        ) : (
          <>
            <Button mode="contained" onPress={() => void retry()}>
              Show it again
            </Button>
            <Button mode="outlined" {...reload} />
          </>
        )}
        <Button
          mode="outlined"
          disabled={!engine}
          onPress={() => void calendarFile({ query: EVERYTHING })}
        >
          Export all
        </Button>
      </View>
    </Page>
  );
}

const styles = StyleSheet.create({ buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 } });

import type { ErrorBoundaryProps } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { useEngine } from '@/data/engineContext';
import { useExports } from '@/data/useExports';
import { Page } from '@/ui/Page';

/** What is shown in place of a screen that failed: what happened, and the ways on. Nothing that was kept is touched. */
export function ScreenTrouble({ error, retry }: ErrorBoundaryProps) {
  const { engine } = useEngine();
  const { calendarFile } = useExports();
  return (
    <Page title="This screen stopped">
      <Text role="alert">
        Something here went wrong: {error.message}. What you kept is not touched by it.
      </Text>
      <View style={styles.buttons}>
        <Button mode="contained" onPress={() => void retry()}>
          Show it again
        </Button>
        <Button mode="outlined" onPress={() => window.location.reload()}>
          Reload
        </Button>
        <Button
          mode="outlined"
          disabled={!engine}
          onPress={() => void calendarFile({ calendarIds: null })}
        >
          Export all
        </Button>
      </View>
    </Page>
  );
}

const styles = StyleSheet.create({ buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 } });

import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { useEngine } from '@/data/engineContext';
import { forgetUse } from '@/data/storeUse';
import { chooseStore } from '@/data/whichStore';
import { resetStore } from '@/engine/client';
import { Card } from '@/ui/Card';
import { Space } from './Space';

/** Which of the two stores is open, and the way to the other. */
export function StoreCard() {
  const { store } = useEngine();
  const isDemo = store === 'demo';

  async function afresh() {
    forgetUse('demo');
    // This page hears of it too, like every other that shows the demo.
    await resetStore('demo');
  }

  return (
    <Card title={isDemo ? 'The demo is open' : 'Your own data is open'}>
      <Text>
        {isDemo
          ? 'Lantern Quay Instruments, a made-up workshop. What you change here is kept in this browser, apart from your own data.'
          : 'Your calendars are kept in this browser on this machine, and in the files that you export.'}
      </Text>
      <View style={styles.buttons}>
        <Button
          mode="outlined"
          icon="swap-horizontal"
          onPress={() => chooseStore(isDemo ? 'own' : 'demo')}
        >
          {isDemo ? 'Open my own data' : 'Open the demo'}
        </Button>
        {isDemo && (
          <Button mode="outlined" icon="restore" onPress={() => void afresh()}>
            Start the demo afresh
          </Button>
        )}
      </View>
      {/* It comes later than the rest: its room is kept, so that nothing moves away under a finger. */}
      <View style={styles.space}>
        <Space isDemo={isDemo} />
      </View>
    </Card>
  );
}

const styles = StyleSheet.create({
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
  space: { minHeight: 54 },
});

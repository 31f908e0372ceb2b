import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { sayBytes } from '@/core/files/opening';
import { count } from '@/core/time/words';
import { useEngine } from '@/data/engineContext';
import { useMessages } from '@/data/messages';
import { useFreeable } from '@/data/queries';
import { forgetUse, wasUsed } from '@/data/storeUse';
import { useOverBefore } from '@/data/tidying';
import { resetStore } from '@/engine/client';
import { Card } from '@/ui/Card';
import { Dialog } from '@/ui/Dialog';
import { usePalette } from '@/ui/theme/theme';
import { describeError } from '@/core/userError';

const A_YEAR = 365;

interface RowProps {
  what: string;
  why: string;
  label: string;
  onPress(): void;
}

function Row({ what, why, label, onPress }: RowProps) {
  const palette = usePalette();
  return (
    <View role="listitem" style={[styles.row, { borderColor: palette.hairline }]}>
      <View style={styles.text}>
        <Text style={styles.what}>{what}</Text>
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {why}
        </Text>
      </View>
      <Button mode="outlined" compact onPress={onPress} accessibilityLabel={`${label}: ${what}`}>
        {label}
      </Button>
    </View>
  );
}

/** What could be taken away to free room, how much that gives, and the way to each. */
export function FreeableCard({ today }: { today: number }) {
  const router = useRouter();
  const { store } = useEngine();
  const { say, complain } = useMessages();
  const { data: overIds = [] } = useOverBefore(today - A_YEAR);
  const { data: freeable } = useFreeable(overIds);
  const [hasDemo, setDemo] = useState(() => store === 'own' && wasUsed('demo'));
  const [isAsking, setAsking] = useState(false);
  if (!freeable) return null;
  const { removed, over, files } = freeable;

  async function clearDemo() {
    setAsking(false);
    try {
      await resetStore('demo');
      forgetUse('demo');
      setDemo(false);
      say('The demo was taken away. It begins afresh when it is opened.');
    } catch (error) {
      complain(`The demo could not be taken away. ${describeError(error)}`);
    }
  }

  const rows: RowProps[] = [
    ...(removed.count
      ? [
          {
            what: `${count(removed.count, 'thing')} among Removed, ${sayBytes(removed.bytes)}`,
            why: 'Each can be brought back until you clear them for good.',
            label: 'Look',
            onPress: () => router.navigate('/removed'),
          },
        ]
      : []),
    ...(over.count
      ? [
          {
            what: `${count(over.count, 'event')} over for a year, ${sayBytes(over.bytes)}`,
            why: 'Tidy writes them to a file and reads it back before they go.',
            label: 'Archive',
            onPress: () => router.navigate('/tidy'),
          },
        ]
      : []),
    ...(files.count
      ? [
          {
            what: `${count(files.count, 'attached file')}, ${sayBytes(files.bytes)}`,
            why: `The largest is “${files.largest}”.`,
            label: 'See them',
            onPress: () => router.navigate('/tidy'),
          },
        ]
      : []),
    ...(hasDemo
      ? [
          {
            what: 'The demo, which you opened once',
            why: 'It lies in this browser apart from your own data.',
            label: 'Take away',
            onPress: () => setAsking(true),
          },
        ]
      : []),
  ];
  return (
    <Card title="What can be freed">
      {rows.length === 0 ? (
        <Text>Nothing: all that is kept here is in use.</Text>
      ) : (
        <View role="list" aria-label="What can be freed">
          {rows.map((row) => (
            <Row key={row.label} {...row} />
          ))}
        </View>
      )}
      {isAsking && (
        <Dialog
          title="Take the demo away?"
          onClose={() => setAsking(false)}
          footer={
            <>
              <Button onPress={() => setAsking(false)}>Keep it</Button>
              <Button mode="contained" onPress={() => void clearDemo()}>
                Take it away
              </Button>
            </>
          }
        >
          <Text>
            What you changed in the demo is lost. Your own data stays as it is. The demo begins
            afresh when it is opened again.
          </Text>
        </Dialog>
      )}
    </Card>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: 10,
    paddingVertical: 8,
    borderBottomWidth: 1,
  },
  text: { flexGrow: 1, flexShrink: 1, flexBasis: 200 },
  what: { fontWeight: '500' },
});

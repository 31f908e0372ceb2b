import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { count } from '@/core/time/words';
import { download } from '@/data/browser';
import { useSetAside } from '@/data/queries';
import { Card } from '@/ui/Card';

/** Records that could not be read: named, and given out as a file. */
export function SetAsideCard() {
  const { data: records = [] } = useSetAside();
  if (records.length === 0) return null;
  return (
    <Card title={`${count(records.length, 'record')} set aside`}>
      <Text>
        These could not be read and are not shown. They stay in the store as they are; everything
        else works.
      </Text>
      <View role="list" aria-label="Records set aside">
        {records.slice(0, 50).map(({ key, reason }) => (
          <Text role="listitem" key={key}>
            {key}: {reason}
          </Text>
        ))}
      </View>
      <Button
        mode="outlined"
        onPress={() =>
          download(
            'Orderly Week set aside.json',
            JSON.stringify(records, null, 2),
            'application/json',
          )
        }
      >
        Export them
      </Button>
    </Card>
  );
}

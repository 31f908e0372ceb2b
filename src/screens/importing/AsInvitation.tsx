import { useRouter } from 'expo-router';
import { StyleSheet } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { useMails } from '@/data/invitations';
import { Card } from '@/ui/Card';

/** A file that is an invitation or an answer: it can be taken in as such, and then answered. */
export function AsInvitation({ file }: { file: File }) {
  const router = useRouter();
  const { open } = useMails();
  return (
    <Card title="This is an invitation, or an answer to one">
      <Text>
        Taken in as such, it can be answered, and what it answers is brought up to date. Brought in
        below, it is a plain event.
      </Text>
      <Button
        mode="contained"
        icon="calendar-account-outline"
        style={styles.start}
        onPress={() => void open(file).then(() => router.navigate('/invitations'))}
      >
        Take it in as an invitation
      </Button>
    </Card>
  );
}

const styles = StyleSheet.create({ start: { alignSelf: 'flex-start' } });

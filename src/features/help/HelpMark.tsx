import { useRouter } from 'expo-router';
import { StyleSheet } from 'react-native';
import { Button } from 'react-native-paper';

/** A question mark beside what is not plain: it leads to what is said of it. */
export function HelpMark({ topic, about }: { topic: string; about: string }) {
  const router = useRouter();
  return (
    <Button
      compact
      accessibilityLabel={`Help: ${about}`}
      style={styles.mark}
      onPress={() => router.navigate(`/help?of=${topic}`)}
    >
      ?
    </Button>
  );
}

const styles = StyleSheet.create({ mark: { minWidth: 40, alignSelf: 'flex-start' } });

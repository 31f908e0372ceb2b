import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  /** What was begun, and how it stands. */
  children: string;
  onGoOn(): void;
  onLetGo(): void;
}

/** Something that was begun and not kept: it is gone on with, or let go, by one press. */
export function BegunBefore({ children, onGoOn, onLetGo }: Props) {
  const palette = usePalette();
  return (
    <View role="status" style={[styles.all, { backgroundColor: palette.amberWash }]}>
      <Text style={styles.text} numberOfLines={2}>
        {children}
      </Text>
      <Button compact onPress={onGoOn}>
        Go on
      </Button>
      <Button compact onPress={onLetGo}>
        Let go
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({
  all: { flexDirection: 'row', alignItems: 'center', borderRadius: 8, paddingLeft: 10 },
  text: { flex: 1 },
});

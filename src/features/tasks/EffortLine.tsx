import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Effort } from '@/core/tasks/effort';
import { sayNearDay } from '@/core/tasks/formatTask';
import { sayLength } from '@/core/time/words';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';
import { useTaskWording } from './useTaskWording';

/** Whether there is time enough: "9 h 30 min to do by Fri 27 Nov, 6 h clear until then". */
export function EffortLine({ effort }: { effort: Effort }) {
  const palette = usePalette();
  const wording = useTaskWording();
  const { day, needed, clear } = effort;
  const isShort = needed > clear;
  return (
    <View
      role="status"
      style={[styles.line, { backgroundColor: isShort ? palette.amberWash : palette.accentWash }]}
    >
      <Icon
        name={isShort ? 'alert-outline' : 'check-circle-outline'}
        size={18}
        color={isShort ? palette.amber : palette.accent}
      />
      <Text style={styles.text}>
        {`${sayLength(needed)} to do by ${sayNearDay(day, wording)}, ${clear ? sayLength(clear) : 'nothing'} clear until then`}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: 8, borderRadius: 8, padding: 10 },
  text: { flexShrink: 1 },
});

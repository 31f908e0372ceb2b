import { Pressable, StyleSheet } from 'react-native';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';
import { AXIS_HEIGHT } from './geometry';

/** The way back from widened hours, at the corner of the axis. */
export function UsualHours({ gutter, onPress }: { gutter: number; onPress(): void }) {
  const { accent } = usePalette();
  return (
    <Pressable
      role="button"
      aria-label="Back to the usual hours"
      onPress={onPress}
      style={[styles.corner, { width: gutter }]}
    >
      <Icon name="restore" size={16} color={accent} />
    </Pressable>
  );
}

const styles = StyleSheet.create({
  corner: {
    position: 'absolute',
    left: 0,
    top: 0,
    height: AXIS_HEIGHT + 6,
    alignItems: 'center',
    justifyContent: 'center',
    zIndex: 4,
  },
});

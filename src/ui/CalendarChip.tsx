import { Pressable, StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';
import type { Calendar } from '@/core/model/calendar';
import { afterHold, afterRelease } from './afterRelease';
import { Mark } from './Mark';
import { inkColours } from './theme/palette';
import { usePalette, textPx } from './theme/theme';

interface Props {
  calendar: Calendar;
  isOn: boolean;
  /** A chip of several (shows or hides), or one of a choice. */
  role: 'switch' | 'radio';
  onPress(): void;
  /** Held, or by the right button or the menu key. */
  onMenu?(): void;
}

/** A calendar by its mark and name. */
export function CalendarChip({ calendar, isOn, role, onPress, onMenu }: Props) {
  const palette = usePalette();
  const { edge } = inkColours(calendar.ink, palette);
  const isChosen = role === 'radio' && isOn;
  return (
    <Pressable
      role={role}
      aria-checked={isOn}
      aria-label={calendar.name}
      onPress={onPress}
      onLongPress={onMenu && (() => afterHold(onMenu))}
      {...{
        // A switch is turned by Space; React Native's web target knows only Enter.
        onKeyDown: (event: React.KeyboardEvent) => {
          if (event.key !== ' ' || event.altKey || event.ctrlKey || event.metaKey) return;
          event.preventDefault();
          onPress();
        },
      }}
      {...(onMenu && {
        onContextMenu: (event: React.MouseEvent) => {
          event.preventDefault();
          afterRelease(event, onMenu);
        },
      })}
      style={[
        styles.chip,
        {
          borderColor: isChosen ? edge : palette.hairline,
          backgroundColor: isOn ? palette.sheet : 'transparent',
        },
        isChosen && styles.chosen,
        !isOn && role === 'switch' && styles.off,
      ]}
    >
      <Mark mark={calendar.mark} colour={isOn || role === 'radio' ? edge : palette.dim} />
      <Text style={[styles.name, { color: isOn ? palette.ink : palette.dim }]} numberOfLines={1}>
        {calendar.name}
      </Text>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  chip: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 7,
    height: 40,
    paddingHorizontal: 11,
    borderWidth: 1,
    borderRadius: 9,
    maxWidth: 220,
  },
  chosen: { borderWidth: 2, paddingHorizontal: 10 },
  off: { borderStyle: 'dashed' },
  name: { fontSize: textPx(13.5) },
});

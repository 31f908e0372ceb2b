import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { Icon } from './icons/Icon';
import { usePalette } from './theme/theme';

export interface MenuItem {
  label: string;
  icon: string;
  /** Painted as one that takes away. */
  isRemoval?: boolean;
  isDisabled?: boolean;
  onPress(): void;
}

/** What can be done, one under the other; the arrow keys go through it. */
export function MenuList({ name, items }: { name: string; items: readonly MenuItem[] }) {
  const palette = usePalette();
  return (
    <View
      role="group"
      aria-label={name}
      {...{
        onKeyDown: (event: React.KeyboardEvent<HTMLElement>) => {
          const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
          if (step === undefined) return;
          event.preventDefault();
          const buttons = [...event.currentTarget.querySelectorAll<HTMLElement>('[role=button]')];
          const at = buttons.indexOf(document.activeElement as HTMLElement);
          buttons[(at + step + buttons.length) % buttons.length]?.focus();
        },
      }}
    >
      {items.map(({ label, icon, isRemoval, isDisabled, onPress }) => {
        const colour = isRemoval ? palette.brick : palette.ink;
        return (
          <Pressable
            key={label}
            role="button"
            disabled={isDisabled}
            onPress={onPress}
            style={[styles.item, isDisabled && styles.disabled]}
          >
            <Icon name={icon} size={20} color={isRemoval ? palette.brick : palette.dim} />
            <Text style={{ color: colour }}>{label}</Text>
          </Pressable>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  item: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 44, paddingRight: 12 },
  disabled: { opacity: 0.5 },
});

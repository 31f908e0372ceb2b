import { useState } from 'react';
import { Pressable, StyleSheet } from 'react-native';
import { Dialog } from '@/ui/Dialog';
import { Icon } from '@/ui/icons/Icon';
import type { MenuItem } from '@/ui/Menu';
import { MenuList } from '@/ui/Menu';
import { usePalette } from '@/ui/theme/theme';
import { useHasFingers } from '@/ui/useMedia';
import { AXIS_HEIGHT } from './geometry';
import type { ZoneAxis } from './ZoneAxes';
import { sayAxis } from './ZoneAxes';

interface Props {
  axes: readonly ZoneAxis[];
  gutter: number;
  onSeeAs(zone: string): void;
  /** The way back from widened hours; null when they are as usual. */
  onUsualHours: (() => void) | null;
}

const USUAL = 'Back to the usual hours';

/** What can be done at the corner of the axes: back to the usual hours, and, for fingers, other clocks. */
export function AxisCorner({ axes, gutter, onSeeAs, onUsualHours }: Props) {
  const { accent } = usePalette();
  const hasFingers = useHasFingers();
  const [isOpen, setOpen] = useState(false);
  // An axis is too low for a finger: all of them are pressed as one.
  const zones = hasFingers ? new Map(axes.map(({ hours, label }) => [hours.zone, label])) : null;
  const items: MenuItem[] = [
    ...[...(zones ?? [])].map(([zone, label]) => ({
      label: `See the sheet as in ${label}`,
      icon: 'clock-outline',
      onPress: () => onSeeAs(zone),
    })),
    ...(onUsualHours ? [{ label: USUAL, icon: 'restore', onPress: onUsualHours }] : []),
  ];
  const [only, ...others] = items;
  if (!only) return null;
  const said = zones?.size ? `${axes.map(sayAxis).join('; ')}. ` : '';
  return (
    <>
      <Pressable
        role="button"
        aria-label={said + (others.length > 0 ? 'Choose the hours shown' : only.label)}
        onPress={others.length > 0 ? () => setOpen(true) : only.onPress}
        style={[styles.corner, { width: gutter }, zones?.size ? styles.all : styles.low]}
      >
        {onUsualHours && <Icon name="restore" size={16} color={accent} />}
      </Pressable>
      {isOpen && (
        <Dialog title="Hours shown" onClose={() => setOpen(false)}>
          <MenuList
            name="Hours shown"
            items={items.map((item) => ({
              ...item,
              onPress: () => {
                setOpen(false);
                item.onPress();
              },
            }))}
          />
        </Dialog>
      )}
    </>
  );
}

const styles = StyleSheet.create({
  corner: { position: 'absolute', left: 0, zIndex: 4, alignItems: 'center' },
  low: { bottom: -6, height: AXIS_HEIGHT + 6, justifyContent: 'center' },
  all: { top: 0, bottom: 0, justifyContent: 'flex-end', paddingBottom: 3 },
});

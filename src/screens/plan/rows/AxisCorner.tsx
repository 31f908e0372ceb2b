import { useState } from 'react';
import { Pressable, StyleSheet } from 'react-native';
import { Dialog } from '@/ui/Dialog';
import type { MenuItem } from '@/ui/Menu';
import { MenuList } from '@/ui/Menu';
import { useHasFingers } from '@/ui/useMedia';
import type { ZoneAxis } from './ZoneAxes';
import { sayAxis } from './ZoneAxes';

interface Props {
  axes: readonly ZoneAxis[];
  gutter: number;
  onSeeAs(zone: string): void;
}

/** For fingers: the corner of the axes, which are too low to be pressed one by one, leads to their clocks. */
export function AxisCorner({ axes, gutter, onSeeAs }: Props) {
  const hasFingers = useHasFingers();
  const [isOpen, setOpen] = useState(false);
  const zones = new Map(axes.map(({ hours, label }) => [hours.zone, label]));
  const items: MenuItem[] = [...zones].map(([zone, label]) => ({
    label: `See the sheet as in ${label}`,
    icon: 'clock-outline',
    onPress: () => onSeeAs(zone),
  }));
  const [only, ...others] = items;
  if (!only || !hasFingers) return null;
  const said = `${axes.map(sayAxis).join('; ')}. `;
  return (
    <>
      <Pressable
        role="button"
        aria-label={said + (others.length > 0 ? 'Choose the hours shown' : only.label)}
        onPress={others.length > 0 ? () => setOpen(true) : only.onPress}
        style={[styles.corner, { width: gutter }]}
      />
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
  corner: { position: 'absolute', left: 0, top: 0, bottom: 0, zIndex: 4 },
});

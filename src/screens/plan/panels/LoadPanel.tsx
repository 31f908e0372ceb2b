import type { ComponentProps } from 'react';
import type { Sight } from '@/core/view/sight';
import { useOccurrences } from '@/data/queries';
import { Load } from '../load/Load';
import { PanelFrame } from '@/ui/PanelFrame';

interface Props extends Omit<ComponentProps<typeof Load>, 'occurrences'> {
  sight: Sight;
  onClose(): void;
}

/** The hours of what is shown, on a panel of their own. It asks for the events: not every form has them. */
export function LoadPanel({ sight, onClose, ...load }: Props) {
  const { range, preferences } = load;
  const window = { fromDay: range.from, toDay: range.to, zone: preferences.clock };
  const { data } = useOccurrences(window, sight);
  return (
    <PanelFrame title="Booked and clear" onClose={onClose}>
      {data && <Load occurrences={data.occurrences} {...load} />}
    </PanelFrame>
  );
}

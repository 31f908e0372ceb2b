import type { ComponentProps } from 'react';
import type { EventQuery } from '@/core/query/eventQuery';
import { useOccurrences } from '@/data/queries';
import { Load } from '../load/Load';
import { PanelFrame } from '@/ui/PanelFrame';

interface Props extends Omit<ComponentProps<typeof Load>, 'occurrences'> {
  query: EventQuery;
  onClose(): void;
}

/** The hours of what is shown, on a panel of their own. It asks for the events: not every form has them. */
export function LoadPanel({ query, onClose, ...load }: Props) {
  const { range, preferences } = load;
  const window = { fromDay: range.from, toDay: range.to, zone: preferences.clock };
  const { data } = useOccurrences(window, query);
  return (
    <PanelFrame title="Booked and clear" onClose={onClose}>
      {data && <Load occurrences={data.occurrences} {...load} />}
    </PanelFrame>
  );
}

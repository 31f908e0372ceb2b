import type { ComponentProps } from 'react';
import type { EventQuery } from '@/core/query/eventQuery';
import { useOccurrences } from '@/data/queries';
import { EMPTY_FILTER } from '@/core/model/filter';
import { useEffort } from '@/data/tasks';
import { EffortLine } from '@/features/tasks/EffortLine';
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
  const { data: effort } = useEffort(EMPTY_FILTER);
  return (
    <PanelFrame title="Booked and clear" onClose={onClose}>
      {effort && <EffortLine effort={effort} />}
      {data && <Load occurrences={data.occurrences} {...load} />}
    </PanelFrame>
  );
}

import { PanelHeight } from '@/ui/PanelFrame';
import { useIsWide } from '@/ui/useIsWide';
import { Margin } from './Margin';
import { PlanPanel } from './PlanPanel';
import { usePlan } from './PlanProvider';
import { useLoadProps } from './load/useLoadProps';

/** Beside the sheet: what is open, or else, where there is room, the margin. */
export function PlanSide() {
  const { panel, content, preferences, setPanelHeight, dispatch } = usePlan();
  const load = useLoadProps();
  const isWide = useIsWide();
  if (panel)
    return (
      <PanelHeight value={setPanelHeight}>
        <PlanPanel panel={panel} />
      </PanelHeight>
    );
  if (!isWide) return null;
  return (
    <Margin
      preferences={preferences}
      occurrences={content.shown}
      load={{ ...load, occurrences: content.found }}
      onOpen={(occurrence) => dispatch({ do: 'open', panel: { kind: 'details', occurrence } })}
    />
  );
}

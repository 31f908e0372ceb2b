import { View } from 'react-native';
import { PanelHeight, SIDE_WIDTH } from '@/ui/PanelFrame';
import { later } from '@/ui/later';
import { useIsWide } from '@/ui/useIsWide';
import { usePlan } from './PlanProvider';
import { useLoadProps } from './load/useLoadProps';

/** Where there is room, the sheet is as wide before the side has come as it is then. */
function Place() {
  return useIsWide() && <View style={{ width: SIDE_WIDTH }} />;
}
const PlanPanel = later(() => import('./PlanPanel').then((part) => part.PlanPanel), <Place />);
const Margin = later(() => import('./Margin').then((part) => part.Margin), <Place />);

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

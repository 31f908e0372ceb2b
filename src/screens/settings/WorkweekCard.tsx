import { Text } from 'react-native-paper';
import type { Workweek } from '@/core/model/others';
import type { HourCycle } from '@/core/time/words';
import { Card } from '@/ui/Card';
import { WeekFields } from '@/features/workweek/WeekFields';

interface Props {
  workweek: Workweek;
  hourCycle: HourCycle;
  onChange(workweek: Workweek, label: string): void;
}

/** Working hours and workplace by weekday. Single dates have their own from the sheet. */
export function WorkweekCard({ workweek, hourCycle, onChange }: Props) {
  return (
    <Card title="Working week">
      <Text>
        The sheet is shaded by these hours. A single date is changed from its icon on the sheet.
      </Text>
      <WeekFields
        workweek={workweek}
        hourCycle={hourCycle}
        onChange={(next, weekday) => onChange(next, `Changed ${weekday}`)}
      />
    </Card>
  );
}

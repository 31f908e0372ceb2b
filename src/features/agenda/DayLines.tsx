import { Text } from 'react-native-paper';
import { agendaDays } from '@/core/agenda/agendaDays';
import type { Occurrence } from '@/core/agenda/occurrence';
import { workdayOf } from '@/core/model/workweek';
import type { DayNumber } from '@/core/time/units';
import type { Preferences } from '@/data/preferences';
import { usePalette } from '@/ui/theme/theme';
import type { LineSetting } from './AgendaLines';
import { AgendaLines } from './AgendaLines';

interface Props {
  day: DayNumber;
  /** Those of other days are left out. */
  occurrences: readonly Occurrence[];
  preferences: Preferences;
  setting: Omit<LineSetting, 'wording' | 'isWide'>;
}

/** What happens on one day, with the clear time among its working hours. */
export function DayLines({ day, occurrences, preferences, setting }: Props) {
  const { dim } = usePalette();
  const { wording, settings } = preferences;
  const hoursOf = () => workdayOf(day, settings.workweek).hours;
  const [found] = agendaDays(occurrences, day, day + 1, hoursOf);
  if (!found)
    return (
      <Text style={{ color: dim, paddingHorizontal: 14 }}>No events on the shown calendars.</Text>
    );
  return <AgendaLines day={day} lines={found.lines} setting={{ ...setting, wording }} />;
}

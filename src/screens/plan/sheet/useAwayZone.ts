import { useCallback } from 'react';
import { isTravelClock, zoneOnDay } from '@/core/time/sheetClock';
import type { DayNumber } from '@/core/time/units';
import type { Preferences } from '@/data/preferences';

/** Tells the zone of a day spent elsewhere, else null; the sheet seen as in one zone is not that. */
export function useAwayZone({ clock, zone: home }: Preferences): (day: DayNumber) => string | null {
  return useCallback(
    (day) => {
      const zone = zoneOnDay(clock, day);
      return isTravelClock(clock) && zone !== home ? zone : null;
    },
    [clock, home],
  );
}

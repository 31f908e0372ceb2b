import { useMemo } from 'react';
import type { Settings } from '@/core/model/others';
import { workdaysOf } from '@/core/model/workweek';
import type { Weekday } from '@/core/time/civil';
import { sheetClock } from '@/core/time/sheetClock';
import type { Wording } from '@/core/time/words';
import { localeOf, withClocks } from '@/core/time/words';
import type { Scale } from '@/core/view/scale';
import { scaleOf } from '@/core/view/scale';
import { browserFirstWeekday, browserHourCycle, browserLocale, browserZone } from './browser';
import { useSettings } from './settings';

/** The person's choices, with the browser's where nothing was chosen. */
export interface Preferences {
  settings: Settings;
  /** The home zone. */
  zone: string;
  /** The clock that the sheet goes by: home's, and on days of travel that of the place (see `sheetClock`). */
  clock: string;
  /** Weekdays that are worked on. */
  workdays: readonly Weekday[];
  firstWeekday: Weekday;
  wording: Wording;
  /** What sizes of the sheet are multiplied by. */
  scale: Scale;
}

export function usePreferences(): Preferences {
  const settings = useSettings();
  return useMemo(() => {
    const zone = settings.zone ?? browserZone();
    const clock = sheetClock(zone, settings.travel);
    return {
      settings,
      zone,
      clock,
      workdays: workdaysOf(settings.workweek),
      firstWeekday: (settings.firstWeekday ?? browserFirstWeekday()) as Weekday,
      wording: withClocks(
        {
          locale: settings.dateOrder ? localeOf(settings.dateOrder) : browserLocale(),
          hourCycle: settings.hourCycle ?? browserHourCycle(),
        },
        clock,
        zone,
      ),
      scale: scaleOf(settings),
    };
  }, [settings]);
}

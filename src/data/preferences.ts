import { useMemo } from 'react';
import type { Settings } from '@/core/model/others';
import type { Weekday } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { browserFirstWeekday, browserHourCycle, browserLocale, browserZone } from './browser';
import { useSettings } from './queries';

/** The person's choices, with the browser's where nothing was chosen. */
export interface Preferences {
  settings: Settings;
  zone: string;
  firstWeekday: Weekday;
  wording: Wording;
}

export function usePreferences(): Preferences {
  const settings = useSettings();
  return useMemo(
    () => ({
      settings,
      zone: settings.zone ?? browserZone(),
      firstWeekday: (settings.firstWeekday ?? browserFirstWeekday()) as Weekday,
      wording: { locale: browserLocale(), hourCycle: settings.hourCycle ?? browserHourCycle() },
    }),
    [settings],
  );
}

import { cityOf } from '@/core/time/zoneNames';
import { LONG_DAY, localeOf, sayDay } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import { browserZone } from '@/data/browser';
import type { Preferences } from '@/data/preferences';
import { ZonePicker } from '@/features/zones/ZonePicker';
import { Card } from '@/ui/Card';
import { Choice } from '@/ui/Choice';
import type { ChangeSettings } from './change';
import { AUTO } from './change';

interface Props {
  preferences: Preferences;
  /** Day number */
  today: DayNumber;
  onChange: ChangeSettings;
}

/** Zone, clock and how dates are written. */
export function TimeCard({ preferences, today, onChange }: Props) {
  const { settings, wording } = preferences;
  const written = (order: 'day' | 'month' | 'year') =>
    order === 'year'
      ? sayDay(today, { locale: localeOf(order) }, { dateStyle: 'short' })
      : sayDay(today, { locale: localeOf(order) }, { ...LONG_DAY, weekday: undefined });
  return (
    <Card title="Time">
      <ZonePicker
        label="Home zone"
        zone={settings.zone}
        placeholder={`As the browser: ${cityOf(browserZone())}`}
        hourCycle={wording.hourCycle}
        onChoose={(zone) => onChange({ zone }, 'Changed the time zone')}
        {...(settings.zone === null
          ? {}
          : {
              other: {
                label: 'Follow the browser',
                onPress: () => onChange({ zone: null }, 'Changed the time zone'),
              },
            })}
      />
      <Choice
        name="Clock"
        value={settings.hourCycle}
        options={[AUTO, { value: '24', label: '24 hours' }, { value: '12', label: '12 hours' }]}
        onChoose={(hourCycle) => onChange({ hourCycle }, 'Changed the clock')}
      />
      <Choice
        name="Dates are written"
        value={settings.dateOrder}
        options={[
          AUTO,
          { value: 'day', label: written('day') },
          { value: 'month', label: written('month') },
          { value: 'year', label: written('year') },
        ]}
        onChoose={(dateOrder) => onChange({ dateOrder }, 'Changed how dates are written')}
      />
      <Choice
        name="The week begins on"
        value={settings.firstWeekday}
        options={[
          AUTO,
          { value: 0, label: 'Monday' },
          { value: 6, label: 'Sunday' },
          { value: 5, label: 'Saturday' },
        ]}
        onChoose={(firstWeekday) => onChange({ firstWeekday }, 'Changed the first weekday')}
      />
    </Card>
  );
}

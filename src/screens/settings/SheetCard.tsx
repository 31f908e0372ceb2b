import { StyleSheet, View } from 'react-native';
import type { Settings } from '@/core/model/others';
import { SLOTS } from '@/core/model/others';
import type { HourCycle } from '@/core/time/words';
import { useLenses } from '@/data/queries';
import { ROOM_CHOICES } from '@/features/event/choices';
import { Card } from '@/ui/Card';
import { Check } from '@/ui/Check';
import { Choice } from '@/ui/Choice';
import { ClockField } from '@/ui/ClockField';
import type { ChangeSettings } from './change';

interface Props {
  settings: Settings;
  hourCycle: HourCycle;
  onChange: ChangeSettings;
}

const LENGTHS = [15, 30, 45, 60, 90];

const STARTS = [
  { value: 'last', label: 'As I left it' },
  { value: 'day', label: 'Day' },
  { value: 'workweek', label: 'Work week' },
  { value: 'week', label: 'Week' },
  { value: 'month', label: 'Month' },
] as const;
/** Before the id of a lens, in the choice of what a new window opens with. */
const LENS = 'lens ';

/** What a new window opens with: as it was left, a span, or a lens. */
function StartChoice({ settings, onChange }: Pick<Props, 'settings' | 'onChange'>) {
  const lenses = useLenses();
  const { defaultLensId, startSpan } = settings;
  const value = defaultLensId ? LENS + defaultLensId : (startSpan?.kind ?? 'last');
  return (
    <Choice<string>
      name="A new window opens with"
      value={value}
      options={[...STARTS, ...lenses.map(({ id, name }) => ({ value: LENS + id, label: name }))]}
      onChoose={(chosen) => {
        const span = STARTS.find((start) => start.value === chosen)?.value;
        onChange(
          {
            defaultLensId: span ? null : chosen.slice(LENS.length),
            startSpan: span && span !== 'last' ? { kind: span } : null,
          },
          'Changed what a new window opens with',
        );
      }}
    />
  );
}

/** What the sheet shows, and how it answers. */
export function SheetCard({ settings, hourCycle, onChange }: Props) {
  const { fromMinute, toMinute } = settings;
  const check = (
    label: string,
    field: 'hasWeekends' | 'hasWeekNumbers' | 'isPastDim' | 'hasPrivateTitles' | 'hasKeys',
    said: string,
  ) => (
    <Check
      label={label}
      isOn={settings[field]}
      onChange={(isOn) => onChange({ [field]: isOn }, said)}
    />
  );
  return (
    <Card title="The sheet">
      <StartChoice settings={settings} onChange={onChange} />
      <Choice
        name="Slot in minutes: what moving snaps to, and how high an hour is"
        value={settings.slot}
        options={SLOTS.map((slot) => ({ value: slot, label: String(slot) }))}
        onChoose={(slot) => onChange({ slot }, 'Changed the slot')}
      />
      <View style={styles.row}>
        <ClockField
          label="Show from"
          minute={fromMinute}
          hourCycle={hourCycle}
          error={fromMinute >= toMinute}
          onChange={(minute) =>
            minute < toMinute && onChange({ fromMinute: minute }, 'Changed the hours shown')
          }
        />
        <ClockField
          label="to"
          minute={toMinute}
          hourCycle={hourCycle}
          onChange={(minute) =>
            minute > fromMinute && onChange({ toMinute: minute }, 'Changed the hours shown')
          }
        />
      </View>
      <Choice
        name="Length of a new event, in minutes"
        value={settings.defaultLength}
        options={LENGTHS.map((value) => ({ value, label: String(value) }))}
        onChoose={(defaultLength) => onChange({ defaultLength }, 'Changed the usual length')}
      />
      <Choice
        name="Room links for new events"
        value={settings.rooms}
        options={ROOM_CHOICES}
        onChoose={(rooms) => onChange({ rooms }, 'Changed the room links')}
      />
      <View>
        {check('Saturdays and Sundays', 'hasWeekends', 'Changed the weekends')}
        {check('Week numbers', 'hasWeekNumbers', 'Changed the week numbers')}
        {check('Fade what is over', 'isPastDim', 'Changed how the past looks')}
        {check('Titles of private events', 'hasPrivateTitles', 'Changed the private titles')}
        {check('Keys of one letter', 'hasKeys', 'Changed the keys')}
      </View>
    </Card>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: 8 },
});

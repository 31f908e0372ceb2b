import { StyleSheet, View } from 'react-native';
import { Button, SegmentedButtons, Text } from 'react-native-paper';
import type { Settings } from '@/core/model/others';
import { count } from '@/core/time/words';
import { useActions } from '@/data/actions';
import { download } from '@/data/browser';
import { usePreferences } from '@/data/preferences';
import { useSetAside } from '@/data/queries';
import { Card } from '@/ui/Card';
import { ClockField } from '@/ui/ClockField';
import { Page } from '@/ui/Page';
import { usePalette } from '@/ui/theme/theme';
import { StoreCard } from './StoreCard';
import { ZoneField } from './ZoneField';

const AUTO = 'auto';

interface ChoiceProps {
  name: string;
  value: string | null;
  options: { value: string; label: string }[];
  /** Whether leaving it to the browser is one of the choices. */
  isOptional?: boolean;
  onChoose(value: string | null): void;
}

function Choice({ name, value, options, isOptional = true, onChoose }: ChoiceProps) {
  const palette = usePalette();
  const buttons = isOptional ? [{ value: AUTO, label: 'As the browser' }, ...options] : options;
  return (
    <View style={styles.choice} role="group" aria-label={name}>
      <Text variant="bodySmall" style={{ color: palette.dim }}>
        {name}
      </Text>
      <SegmentedButtons
        density="small"
        value={value ?? AUTO}
        onValueChange={(chosen) => onChoose(chosen === AUTO ? null : chosen)}
        buttons={buttons}
      />
    </View>
  );
}

function SetAsideCard() {
  const { data: records = [] } = useSetAside();
  if (records.length === 0) return null;
  return (
    <Card title={`${count(records.length, 'record')} set aside`}>
      <Text>
        These could not be read and are not shown. They stay in the store as they are; everything
        else works.
      </Text>
      <View role="list" aria-label="Records set aside">
        {records.slice(0, 50).map(({ key, reason }) => (
          <Text role="listitem" key={key}>
            {key}: {reason}
          </Text>
        ))}
      </View>
      <Button
        mode="outlined"
        onPress={() =>
          download(
            'Orderly Week set aside.json',
            JSON.stringify(records, null, 2),
            'application/json',
          )
        }
      >
        Export them
      </Button>
    </Card>
  );
}

/** The person's own choices, and which data is open. */
export function SettingsScreen() {
  const { settings, wording } = usePreferences();
  const { set } = useActions();
  const change = (fields: Partial<Settings>, label: string) => void set(settings, fields, label);
  const { hourCycle } = wording;
  return (
    <Page title="Settings">
      <StoreCard />
      <SetAsideCard />
      <Card title="Time">
        <ZoneField
          zone={settings.zone}
          onChoose={(zone) => change({ zone }, 'Changed the time zone')}
        />
        <Choice
          name="Clock"
          value={settings.hourCycle}
          options={[
            { value: '24', label: '24 hours' },
            { value: '12', label: '12 hours' },
          ]}
          onChoose={(value) =>
            change({ hourCycle: value as Settings['hourCycle'] }, 'Changed the clock')
          }
        />
        <Choice
          name="The week begins on"
          value={settings.firstWeekday === null ? null : String(settings.firstWeekday)}
          options={[
            { value: '0', label: 'Monday' },
            { value: '6', label: 'Sunday' },
            { value: '5', label: 'Saturday' },
          ]}
          onChoose={(value) =>
            change(
              { firstWeekday: value === null ? null : Number(value) },
              'Changed the first weekday',
            )
          }
        />
      </Card>
      <Card title="The sheet">
        <Choice
          name="Slot: what moving snaps to"
          isOptional={false}
          value={String(settings.slot)}
          options={[5, 10, 15, 20, 30, 60].map((minutes) => ({
            value: String(minutes),
            label: `${minutes}`,
          }))}
          onChoose={(value) =>
            change({ slot: Number(value) as Settings['slot'] }, 'Changed the slot')
          }
        />
        <View style={styles.row}>
          <ClockField
            label="Show from"
            minute={settings.fromMinute}
            hourCycle={hourCycle}
            error={settings.fromMinute >= settings.toMinute}
            onChange={(fromMinute) =>
              fromMinute < settings.toMinute && change({ fromMinute }, 'Changed the hours shown')
            }
          />
          <ClockField
            label="to"
            minute={settings.toMinute}
            hourCycle={hourCycle}
            onChange={(toMinute) =>
              toMinute > settings.fromMinute && change({ toMinute }, 'Changed the hours shown')
            }
          />
        </View>
        <Choice
          name="Length of a new event, in minutes"
          isOptional={false}
          value={String(settings.defaultLength)}
          options={[15, 30, 45, 60, 90].map((minutes) => ({
            value: String(minutes),
            label: `${minutes}`,
          }))}
          onChoose={(value) => change({ defaultLength: Number(value) }, 'Changed the usual length')}
        />
        <Choice
          name="Light"
          value={settings.theme}
          options={[
            { value: 'light', label: 'Light' },
            { value: 'dark', label: 'Dark' },
          ]}
          onChoose={(value) => change({ theme: value as Settings['theme'] }, 'Changed the light')}
        />
      </Card>
    </Page>
  );
}

const styles = StyleSheet.create({
  choice: { gap: 4 },
  row: { flexDirection: 'row', gap: 8 },
});

import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Settings } from '@/core/model/others';
import { SLOTS } from '@/core/model/others';
import { count } from '@/core/time/words';
import { cityOf } from '@/core/time/zoneNames';
import { useActions } from '@/data/actions';
import { browserZone, download } from '@/data/browser';
import { usePreferences } from '@/data/preferences';
import { useSetAside } from '@/data/queries';
import { ZonePicker } from '@/screens/zones/ZonePicker';
import { Choice } from '@/ui/Choice';
import { Card } from '@/ui/Card';
import { ClockField } from '@/ui/ClockField';
import { Page } from '@/ui/Page';
import { WorkweekCard } from './WorkweekCard';
import { StoreCard } from './StoreCard';

/** Leaves a choice to the browser. */
const AUTO = { value: null, label: 'As the browser' };

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
        <ZonePicker
          label="Home zone"
          zone={settings.zone}
          placeholder={`As the browser: ${cityOf(browserZone())}`}
          hourCycle={hourCycle}
          onChoose={(zone) => change({ zone }, 'Changed the time zone')}
          {...(settings.zone === null
            ? {}
            : {
                other: {
                  label: 'Follow the browser',
                  onPress: () => change({ zone: null }, 'Changed the time zone'),
                },
              })}
        />
        <Choice
          name="Clock"
          value={settings.hourCycle}
          options={[AUTO, { value: '24', label: '24 hours' }, { value: '12', label: '12 hours' }]}
          onChoose={(hourCycle) => change({ hourCycle }, 'Changed the clock')}
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
          onChoose={(firstWeekday) => change({ firstWeekday }, 'Changed the first weekday')}
        />
      </Card>
      <WorkweekCard
        workweek={settings.workweek}
        hourCycle={hourCycle}
        onChange={(workweek, label) => change({ workweek }, label)}
      />
      <Card title="The sheet">
        <Choice
          name="Slot in minutes: what moving snaps to"
          value={settings.slot}
          options={SLOTS.map((slot) => ({ value: slot, label: String(slot) }))}
          onChoose={(slot) => change({ slot }, 'Changed the slot')}
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
          value={settings.defaultLength}
          options={[15, 30, 45, 60, 90].map((value) => ({ value, label: String(value) }))}
          onChoose={(defaultLength) => change({ defaultLength }, 'Changed the usual length')}
        />
        <Choice<boolean>
          name="Keys of one letter on the sheet"
          value={settings.hasKeys}
          options={[
            { value: true, label: 'On' },
            { value: false, label: 'Off' },
          ]}
          onChoose={(hasKeys) => change({ hasKeys }, 'Changed the keys')}
        />
        <Choice
          name="Light"
          value={settings.theme}
          options={[AUTO, { value: 'light', label: 'Light' }, { value: 'dark', label: 'Dark' }]}
          onChoose={(theme) => change({ theme }, 'Changed the light')}
        />
      </Card>
    </Page>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: 8 },
});

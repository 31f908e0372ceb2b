import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { RemindingSettings } from '@/core/model/others';
import { DAY, dayOfWall, MINUTE, minuteOfDay } from '@/core/time/civil';
import { sayMinute } from '@/core/time/words';
import { instantFromWall, wallFromInstant } from '@/core/time/zones';
import { chime } from '@/data/chime';
import { useNow } from '@/data/now';
import type { Preferences } from '@/data/preferences';
import { Card } from '@/ui/Card';
import { Check } from '@/ui/Check';
import { Choice } from '@/ui/Choice';
import { ClockField } from '@/ui/ClockField';
import { usePalette } from '@/ui/theme/theme';
import { AddressField } from './AddressField';
import type { ChangeSettings } from './change';
import { NoticesPart } from './NoticesPart';

interface Props {
  preferences: Preferences;
  onChange: ChangeSettings;
}

/** The next full hours of a day, in minutes. */
const fullHoursAfter = (minute: number) =>
  Array.from({ length: 6 }, (_, i) => (Math.floor(minute / 60) + 1 + i) * 60).filter(
    (hour) => hour < 24 * 60,
  );

const USUAL_LETTER = 7 * 60 + 30;

/** How and when reminders may speak up, and where mails and text messages go. */
export function RemindersCard({ preferences, onChange }: Props) {
  const { settings, clock, wording } = preferences;
  const { reminding } = settings;
  const { dim } = usePalette();
  const now = useNow();
  const wall = wallFromInstant(now, clock);
  const set = (fields: Partial<RemindingSettings>, label = 'Changed how reminders come') =>
    onChange({ reminding: { ...reminding, ...fields } }, label);
  const isQuiet = reminding.quietUntil !== null && reminding.quietUntil > now;
  const today = dayOfWall(wall) * DAY;
  const until = (minute: number) => instantFromWall(today + minute * MINUTE, clock);

  return (
    <Card title="Reminders">
      <NoticesPart notices={reminding.notices} onChange={(notices) => set({ notices })} />
      <View style={styles.row}>
        <Check
          label="A gentle sound"
          isOn={reminding.hasSound}
          onChange={(hasSound) => set({ hasSound })}
        />
        <Button compact onPress={chime}>
          Hear it
        </Button>
      </View>
      <Check
        label="Quiet outside working hours"
        isOn={reminding.isQuietOutsideWork}
        onChange={(isQuietOutsideWork) => set({ isQuietOutsideWork })}
      />
      <Choice
        name={
          isQuiet
            ? `Quiet until ${sayMinute(minuteOfDay(wallFromInstant(reminding.quietUntil!, clock)), wording.hourCycle)}`
            : 'Quiet today until'
        }
        value={isQuiet ? reminding.quietUntil : null}
        options={[
          { value: null, label: 'Not quiet' },
          ...fullHoursAfter(minuteOfDay(wall)).map((minute) => ({
            value: until(minute),
            label: sayMinute(minute, wording.hourCycle),
          })),
        ]}
        onChoose={(quietUntil) => set({ quietUntil }, 'Changed until when it is quiet')}
      />
      <Text variant="bodySmall" style={{ color: dim }}>
        What comes due meanwhile waits and comes together afterwards; events of high importance
        speak up all the same. An event can ask for quiet itself: “Do not disturb me while it
        lasts”.
      </Text>
      <AddressField
        kind="mail"
        value={reminding.mail}
        onKeep={(mail) => set({ mail }, 'Changed where mails go')}
      />
      <AddressField
        kind="phone"
        value={reminding.phone}
        onKeep={(phone) => set({ phone }, 'Changed where text messages go')}
      />
      {reminding.mail !== '' && (
        <View style={styles.row}>
          <Check
            label="A letter each morning"
            isOn={reminding.letterAt !== null}
            onChange={(isOn) => set({ letterAt: isOn ? USUAL_LETTER : null })}
          />
          {reminding.letterAt !== null && (
            <ClockField
              label="Letter at"
              minute={reminding.letterAt}
              hourCycle={wording.hourCycle}
              onChange={(letterAt) => set({ letterAt })}
            />
          )}
        </View>
      )}
      <Text variant="bodySmall" style={{ color: dim }}>
        Reminders come while a window of the app is open in the browser, also in the background. A
        closed browser can’t speak up: what came due then is shown at the next start. Calendar files
        that you export carry the reminders, so that other devices can. Mails and text messages go
        to the outbox, a stand-in that sends nothing.
      </Text>
    </Card>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
});

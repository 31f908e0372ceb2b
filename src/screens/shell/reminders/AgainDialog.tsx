import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';
import type { Occurrence } from '@/core/agenda/occurrence';
import { againChoices } from '@/core/reminders/again';
import { DAY, dayOfWall, MINUTE, minuteOfDay } from '@/core/time/civil';
import type { EpochMs } from '@/core/time/units';
import { instantFromWall, wallFromInstant } from '@/core/time/zones';
import type { Preferences } from '@/data/preferences';
import { ClockField } from '@/ui/ClockField';
import { DayField } from '@/ui/DayField';
import { Dialog } from '@/ui/Dialog';
import { MenuList } from '@/ui/Menu';
import { Unreadable, useReadable } from '@/ui/unreadable';

interface Props {
  occurrence: Occurrence;
  now: EpochMs;
  preferences: Preferences;
  onChoose(at: EpochMs): void;
  onClose(): void;
}

/** When a reminder comes again: soon, as the event begins, tomorrow, or at a time of one's own. */
export function AgainDialog({ occurrence, now, preferences, onChoose, onClose }: Props) {
  const { clock, settings, wording, firstWeekday } = preferences;
  const [own, setOwn] = useState<{ day: number; minute: number } | null>(null);
  const { isReadable, report } = useReadable();
  const soon = wallFromInstant(now, clock) + 60 * MINUTE;
  const at = own && instantFromWall(own.day * DAY + own.minute * MINUTE, clock);
  const choices = againChoices(occurrence, { now, zone: clock, workweek: settings.workweek });
  if (own)
    return (
      <Unreadable value={report}>
        <Dialog
          title="Remind me again"
          onClose={onClose}
          footer={
            <>
              <Button onPress={() => setOwn(null)}>Back</Button>
              <Button
                mode="contained"
                disabled={!isReadable || at! <= now}
                onPress={() => onChoose(at!)}
              >
                Remind me then
              </Button>
            </>
          }
        >
          <View style={styles.own}>
            <DayField
              label="On"
              day={own.day}
              onChange={(day) => setOwn({ ...own, day })}
              wording={wording}
              firstWeekday={firstWeekday}
            />
            <ClockField
              label="At"
              minute={own.minute}
              hourCycle={wording.hourCycle}
              onChange={(minute) => setOwn({ ...own, minute })}
            />
          </View>
        </Dialog>
      </Unreadable>
    );
  return (
    <Dialog title="Remind me again" onClose={onClose}>
      <MenuList
        name="Remind me again"
        items={[
          ...choices.map((choice) => ({
            label: choice.label,
            icon: 'clock-outline',
            onPress: () => onChoose(choice.at),
          })),
          {
            label: 'At another time…',
            icon: 'calendar',
            onPress: () => setOwn({ day: dayOfWall(soon), minute: minuteOfDay(soon) }),
          },
        ]}
      />
    </Dialog>
  );
}

const styles = StyleSheet.create({
  own: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
});

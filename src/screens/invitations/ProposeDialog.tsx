import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { DAY, dayOfWall, formatLocal, MINUTE, minuteOfDay } from '@/core/time/civil';
import { zoneOnDay } from '@/core/time/sheetClock';
import { wallFromInstant } from '@/core/time/zones';
import { useDo } from '@/data/commands';
import { usePreferences } from '@/data/preferences';
import type { InvitationRow } from '@/engine/invitations/rows';
import { ClockField } from '@/ui/ClockField';
import { DayField } from '@/ui/DayField';
import { Dialog } from '@/ui/Dialog';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';

/** Another time for what somebody asks to; it lasts as long. */
export function ProposeDialog({ row, onClose }: { row: InvitationRow; onClose(): void }) {
  const palette = usePalette();
  const act = useDo();
  const { clock, wording, firstWeekday } = usePreferences();
  const asked = wallFromInstant(row.start, clock);
  const [day, setDay] = useState(dayOfWall(asked));
  const [minute, setMinute] = useState(minuteOfDay(asked));
  const [line, setLine] = useState('');
  const wall = day * DAY + minute * MINUTE;
  const zone = zoneOnDay(clock, day);
  const time = (at: number) => ({ kind: 'zoned', local: formatLocal(at), zone }) as const;

  async function propose() {
    const times = { start: time(wall), end: time(wall + row.end - row.start) };
    if (await act({ kind: 'proposeTime', uid: row.uid, key: null, ...times, line: line.trim() }))
      onClose();
  }

  return (
    <Dialog
      title={`Another time for “${row.title}”`}
      onClose={onClose}
      footer={
        <>
          <Button onPress={onClose}>Cancel</Button>
          <Button mode="contained" disabled={wall === asked} onPress={() => void propose()}>
            Propose it
          </Button>
        </>
      }
    >
      <View style={styles.all}>
        <Text style={{ color: palette.dim }}>{`Asked for: ${row.when}`}</Text>
        <DayField label="Day" {...{ day, wording, firstWeekday }} onChange={setDay} />
        <ClockField
          label="Start"
          minute={minute}
          hourCycle={wording.hourCycle}
          onChange={setMinute}
        />
        <TextField label="A line of your own" value={line} multiline onChangeText={setLine} />
      </View>
    </Dialog>
  );
}

const styles = StyleSheet.create({ all: { gap: 10, width: 'min(84vw, 400px)' } as object });

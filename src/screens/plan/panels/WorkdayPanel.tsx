import { useState } from 'react';
import { Button, Text } from 'react-native-paper';
import type { Workweek } from '@/core/model/others';
import { sayWorkday } from '@/core/model/workweek';
import { weekdayOf, formatDate } from '@/core/time/civil';
import { sayDay } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import { useDo } from '@/data/commands';
import type { Preferences } from '@/data/preferences';
import { WorkFields } from '@/features/workweek/WorkFields';
import { Choice } from '@/ui/Choice';
import { usePalette } from '@/ui/theme/theme';
import { PanelFrame } from '@/ui/PanelFrame';

type Workday = Workweek['days'][number];
type How = 'usual' | 'other' | 'away';

interface Props {
  /** Day number */
  day: DayNumber;
  preferences: Preferences;
  onClose(): void;
}

/** When and where the work of one date is, where that differs from its weekday. */
export function WorkdayPanel({ day, preferences, onClose }: Props) {
  const { settings, wording } = preferences;
  const { workweek } = settings;
  const act = useDo();
  const { dim } = usePalette();
  const date = formatDate(day);
  const usual = workweek.days[weekdayOf(day)]!;
  const own = workweek.exceptions[date];
  const [how, setHow] = useState<How>(!own ? 'usual' : own.hours ? 'other' : 'away');
  const [other, setOther] = useState<Workday>(() =>
    own?.hours ? own : usual.hours ? usual : { ...usual, hours: { from: 540, to: 1020 } },
  );
  const said = sayDay(day, wording, { weekday: 'long', day: 'numeric', month: 'long' });

  async function keep() {
    const { [date]: _before, ...others } = workweek.exceptions;
    const exceptions =
      how === 'usual'
        ? others
        : { ...others, [date]: how === 'away' ? { hours: null, workplace: 'away' } : other };
    await act({
      kind: 'setSettings',
      before: settings,
      fields: { workweek: { ...workweek, exceptions } },
      label: how === 'usual' ? `${said} is as usual` : `Changed the work of ${said}`,
    });
    onClose();
  }

  return (
    <PanelFrame
      title={`Work on ${said}`}
      onClose={onClose}
      footer={
        <Button mode="contained" onPress={() => void keep()}>
          Keep
        </Button>
      }
    >
      <Text style={{ color: dim }}>
        Usually {sayWorkday(usual, wording.hourCycle)}. This changes the one date only.
      </Text>
      <Choice<How>
        name="This day"
        value={how}
        options={[
          { value: 'usual', label: 'As usual' },
          { value: 'other', label: 'Other hours or place' },
          { value: 'away', label: 'Away' },
        ]}
        onChoose={setHow}
      />
      {how === 'other' && other.hours && (
        <WorkFields
          hours={other.hours}
          workplace={other.workplace}
          hourCycle={wording.hourCycle}
          onChange={(fields) => setOther({ ...other, ...fields })}
        />
      )}
    </PanelFrame>
  );
}

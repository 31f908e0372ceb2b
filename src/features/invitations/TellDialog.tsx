import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { useDo } from '@/data/commands';
import { usePreferences } from '@/data/preferences';
import type { UntoldRow } from '@/engine/invitations/invitations';
import { Check } from '@/ui/Check';
import { Dialog } from '@/ui/Dialog';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';
import { isReachable, MeFields } from './MeFields';

/** One question: whom to tell, and with which line. */
export function TellDialog({ row, onClose }: { row: UntoldRow; onClose(): void }) {
  const palette = usePalette();
  const act = useDo();
  const { settings } = usePreferences();
  const [me, setMe] = useState(settings.me);
  const [line, setLine] = useState('');
  const [asking, setAsking] = useState(row.asking);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const to = row.to.filter(({ address }) => !left.has(address));

  async function send() {
    const isNew = me.name !== settings.me.name || me.address !== settings.me.address;
    if (isNew) {
      const label = 'Kept under which address others know you';
      if (!(await act({ kind: 'setSettings', before: settings, fields: { me }, label }))) return;
    }
    const only = to.map(({ address }) => address);
    const tell = { kind: 'tellGuests', uid: row.uid, line: line.trim(), only, asking } as const;
    if (await act(tell)) onClose();
  }

  return (
    <Dialog
      title={`Send “${row.title}”`}
      onClose={onClose}
      footer={
        <>
          <Button onPress={onClose}>Cancel</Button>
          <Button
            mode="contained"
            icon="send-outline"
            disabled={to.length === 0 || !isReachable(me)}
            onPress={() => void send()}
          >
            {to.length === row.to.length ? 'Send' : `Send to ${to.length}`}
          </Button>
        </>
      }
    >
      <View style={styles.all}>
        <Text style={{ color: palette.dim }}>{row.when}</Text>
        <View role="group" aria-label="To whom">
          {row.to.map(({ name, address }) => (
            <Check
              key={address}
              label={name ? `${name} (${address})` : address}
              isOn={!left.has(address)}
              onChange={(isOn) => {
                const next = new Set(left);
                if (isOn) next.delete(address);
                else next.add(address);
                setLeft(next);
              }}
            />
          ))}
        </View>
        <TextField label="A line of your own" value={line} multiline onChangeText={setLine} />
        <View>
          <Check
            label="Guests see who else is asked"
            isOn={asking.seesList}
            onChange={(seesList) => setAsking({ ...asking, seesList })}
          />
          <Check
            label="An answer is wanted"
            isOn={asking.wantsAnswers}
            onChange={(wantsAnswers) => setAsking({ ...asking, wantsAnswers })}
          />
          <Check
            label="They may propose another time"
            isOn={asking.mayPropose}
            onChange={(mayPropose) => setAsking({ ...asking, mayPropose })}
          />
          <Check
            label="They may pass it on"
            isOn={asking.mayPassOn}
            onChange={(mayPassOn) => setAsking({ ...asking, mayPassOn })}
          />
        </View>
        {!isReachable(settings.me) && <MeFields me={me} onChange={setMe} />}
      </View>
    </Dialog>
  );
}

const styles = StyleSheet.create({ all: { gap: 10, width: 'min(84vw, 420px)' } as object });

import { nanoid } from 'nanoid';
import { useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, ProgressBar, Text } from 'react-native-paper';
import { freeInk } from '@/core/calendars/inks';
import type { Calendar } from '@/core/model/calendar';
import { newCalendar } from '@/core/model/calendar';
import { nextInkAndMark } from '@/core/model/inks';
import { count } from '@/core/time/words';
import { useDo } from '@/data/commands';
import { useEngine } from '@/data/engineContext';
import type { FeedLook } from '@/engine/feeds/feedSync';
import { Dialog } from '@/ui/Dialog';
import { TextField } from '@/ui/TextField';
import { ToggleChip } from '@/ui/ToggleChip';
import { STAND_INS } from '@/features/calendars/StandInState';
import { describeError } from '@/core/userError';

const HOURLY = 60;

type Stage =
  | { kind: 'ask'; problem: string | null }
  | { kind: 'looking' }
  | { kind: 'found'; look: FeedLook; file: File | null };

/** Follows a calendar at an address or in a file: look first, then keep. */
export function FollowDialog({
  calendars,
  onClose,
}: {
  calendars: readonly Calendar[];
  onClose(): void;
}) {
  const { engine } = useEngine();
  const act = useDo();
  const [address, setAddress] = useState('');
  const [name, setName] = useState('');
  const [isFacts, setFacts] = useState(false);
  const [isClosures, setClosures] = useState(false);
  const [step, setStep] = useState<Stage>({ kind: 'ask', problem: null });
  const input = useRef<HTMLInputElement>(null);

  async function look(where: string, file: File | null = null) {
    if (!engine) return;
    setStep({ kind: 'looking' });
    try {
      const found = await engine.feeds.lookAt(file ?? where, Date.now());
      setName(found.name || file?.name.replace(/\.[^.]*$/, '') || 'Followed calendar');
      setStep({ kind: 'found', look: found, file });
    } catch (error) {
      setStep({ kind: 'ask', problem: describeError(error) });
    }
  }

  async function follow(file: File | null) {
    const id = nanoid(12);
    const calendar = newCalendar({
      id,
      name: name.trim(),
      order: Math.max(-1, ...calendars.map(({ order }) => order)) + 1,
      mark: nextInkAndMark(calendars).mark,
      ink: freeInk(calendars.map(({ ink }) => ink)),
      kind: 'followed',
      isClosures,
      isFacts,
      source: file ? file.name : address.trim(),
      feed: {
        address: file ? '' : address.trim(),
        everyMinutes: file ? null : HOURLY,
        news: [],
      },
    });
    if (!(await act({ kind: 'addCalendar', calendar }))) return;
    onClose();
    await engine?.feeds.refresh(id, Date.now(), file ?? undefined);
  }

  const isTaken = calendars.some((c) => c.name.toLowerCase() === name.trim().toLowerCase());
  const isFound = step.kind === 'found';
  return (
    <Dialog
      title="Follow a calendar"
      onClose={onClose}
      footer={
        isFound ? (
          <>
            <Button onPress={() => setStep({ kind: 'ask', problem: null })}>Back</Button>
            <Button
              mode="contained"
              disabled={isTaken || name.trim() === ''}
              onPress={() => void follow(step.file)}
            >
              Follow
            </Button>
          </>
        ) : (
          <>
            <Button onPress={() => input.current?.click()}>From a file</Button>
            <Button
              mode="contained"
              disabled={!engine || address.trim() === '' || step.kind === 'looking'}
              onPress={() => void look(address.trim())}
            >
              Look
            </Button>
          </>
        )
      }
    >
      <View style={styles.parts}>
        {isFound ? (
          <>
            <Text>{count(step.look.events, 'event is', 'events are')} there.</Text>
            <TextField label="Name" value={name} error={isTaken} onChangeText={setName} />
            {isTaken && <Text role="alert">Another calendar has this name.</Text>}
            <View style={styles.row}>
              <ToggleChip
                label="Its events are closures"
                isOn={isClosures}
                onPress={() => setClosures((last) => !last)}
              />
              <ToggleChip
                label="They are facts of the day"
                isOn={isFacts}
                onPress={() => setFacts((last) => !last)}
              />
            </View>
            <Text variant="bodySmall">
              Its events can be looked at, not changed. What its owner changes comes in by itself.
            </Text>
          </>
        ) : (
          <>
            <TextField
              label="Address of a calendar file"
              placeholder="https://"
              value={address}
              autoFocus
              autoCapitalize="none"
              onChangeText={setAddress}
              onSubmitEditing={() => address.trim() && void look(address.trim())}
            />
            {step.kind === 'looking' && <ProgressBar indeterminate aria-label="Looking" />}
            {step.kind === 'ask' && step.problem && <Text role="alert">{step.problem}</Text>}
            <Text variant="bodySmall">Made-up offices to try it with:</Text>
            <View style={styles.row}>
              {STAND_INS.map((standIn) => (
                <Button
                  key={standIn.address}
                  compact
                  mode="outlined"
                  onPress={() => {
                    setAddress(standIn.address);
                    setFacts(standIn.isFacts);
                  }}
                >
                  {standIn.name}
                </Button>
              ))}
            </View>
          </>
        )}
      </View>
      <input
        ref={input}
        type="file"
        accept=".ics,text/calendar"
        aria-label="Calendar file to follow"
        style={{ display: 'none' }}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) void look('', file);
        }}
      />
    </Dialog>
  );
}

const styles = StyleSheet.create({
  parts: { gap: 10, paddingTop: 4, width: 'min(84vw, 460px)' } as object,
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});

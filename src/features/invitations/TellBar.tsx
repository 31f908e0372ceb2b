import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet } from 'react-native';
import { Button, IconButton } from 'react-native-paper';
import { sayWhom } from '@/core/invitations/party';
import { useDo } from '@/data/commands';
import { useUntold } from '@/data/invitations';
import { askLater, useAskedLater } from '@/data/touched';
import type { UntoldRow } from '@/engine/invitations/invitations';
import { AskBar } from '@/ui/AskBar';
import { TellLater } from './tellLater';

/** What is not sent of an event, as its title goes on. */
export const NOT_SENT: Readonly<Record<UntoldRow['why'], string>> = {
  new: 'has not been sent',
  changed: 'was changed',
  off: 'was removed',
  'date changed': 'has a changed date',
  'date off': 'has one date fewer',
  'left out': 'has fewer guests',
};

/** Whether guests are told of an event that they do not know as it is. Nothing is sent without this. */
export function TellBar() {
  const act = useDo();
  const router = useRouter();
  const asideIds = useAskedLater();
  const untold = useUntold().filter(({ eventId }) => !asideIds.includes(eventId));
  const [asked, setAsked] = useState<UntoldRow | null>(null);
  const [row] = untold;
  return (
    <>
      {row && (
        <AskBar
          name="Guests who do not know"
          icon="email-outline"
          text={`“${row.title}” ${NOT_SENT[row.why]}. Tell ${sayWhom(row.to)}?`}
          more={0}
        >
          <Button compact mode="contained" onPress={() => setAsked(row)}>
            Send…
          </Button>
          <Button
            compact
            onPress={() => void act({ kind: 'tellGuests', uid: row.uid, line: '', only: [] })}
          >
            Tell nobody
          </Button>
          {untold.length > 1 && (
            <Button compact onPress={() => router.navigate('/invitations')}>
              {`See all ${untold.length}`}
            </Button>
          )}
          <IconButton
            icon="close"
            size={20}
            accessibilityLabel="Ask later"
            onPress={() => askLater(row.eventId)}
            style={styles.close}
          />
        </AskBar>
      )}
      {asked && <TellLater row={asked} onClose={() => setAsked(null)} />}
    </>
  );
}

const styles = StyleSheet.create({
  close: { margin: 0, width: 40, height: 40 },
});

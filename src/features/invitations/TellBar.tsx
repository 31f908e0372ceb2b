import { useState } from 'react';
import { StyleSheet } from 'react-native';
import { Button, IconButton } from 'react-native-paper';
import { sayWhom } from '@/core/invitations/party';
import { useDo } from '@/data/commands';
import { useUntold } from '@/data/invitations';
import { putAside } from '@/data/touched';
import type { UntoldRow } from '@/engine/invitations/invitations';
import { AskBar } from '@/ui/AskBar';
import { TellLater } from './tellLater';

const WHAT: Readonly<Record<UntoldRow['why'], string>> = {
  new: 'has not been sent',
  changed: 'was changed',
  off: 'was removed',
  'date changed': 'has a changed date',
  'date off': 'has a date less',
  'left out': 'has fewer guests',
};

/** After a change to an event with guests: whether they are told. Nothing is sent without this. */
export function TellBar() {
  const act = useDo();
  const untold = useUntold();
  const [asked, setAsked] = useState<UntoldRow | null>(null);
  const [row] = untold;
  return (
    <>
      {row && (
        <AskBar
          name="Guests who do not know"
          icon="email-outline"
          text={`“${row.title}” ${WHAT[row.why]}. Tell ${sayWhom(row.to)}?`}
          more={untold.length - 1}
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
          <IconButton
            icon="close"
            size={20}
            accessibilityLabel="Ask later"
            onPress={() => putAside(row.eventId)}
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

import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { sayParty } from '@/core/invitations/party';
import { mailAddress } from '@/core/model/common';
import { useDo } from '@/data/commands';
import { usePeople } from '@/data/people';
import type { InvitationRow } from '@/engine/invitations/rows';
import { Choice } from '@/ui/Choice';
import { Dialog } from '@/ui/Dialog';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';

/** Somebody else who comes instead: one of those one works with, or whoever has a mail address. */
export function PassOnDialog({ row, onClose }: { row: InvitationRow; onClose(): void }) {
  const palette = usePalette();
  const act = useDo();
  const people = usePeople().filter(
    ({ kind, address }) =>
      kind === 'person' &&
      address !== '' &&
      ![row.from, ...row.guests].some((one) => one.address === address),
  );
  const [address, setAddress] = useState('');
  const [line, setLine] = useState('');
  const isKnown = people.some((one) => one.address === address);
  const name = people.find((one) => one.address === address)?.name ?? '';
  const isReachable = mailAddress.safeParse(address.trim()).success;

  async function pass() {
    const to = { name, address: address.trim() };
    if (await act({ kind: 'passInvitationOn', uid: row.uid, to, line: line.trim() })) onClose();
  }

  return (
    <Dialog
      title={`Pass “${row.title}” on`}
      onClose={onClose}
      footer={
        <>
          <Button onPress={onClose}>Cancel</Button>
          <Button mode="contained" disabled={!isReachable} onPress={() => void pass()}>
            Pass it on
          </Button>
        </>
      }
    >
      <View style={styles.all}>
        <Text style={{ color: palette.dim }}>
          {`${row.when}. They are asked instead of you, and ${sayParty(row.from)} is told.`}
        </Text>
        {people.length > 0 && (
          <Choice
            name="To whom"
            value={isKnown ? address : null}
            options={people.map((one) => ({ value: one.address, label: one.name }))}
            onChoose={(value) => setAddress(value ?? '')}
          />
        )}
        <TextField
          label="Or a mail address"
          value={isKnown ? '' : address}
          inputMode="email"
          onChangeText={setAddress}
        />
        <TextField label="A line of your own" value={line} multiline onChangeText={setLine} />
      </View>
    </Dialog>
  );
}

const styles = StyleSheet.create({ all: { gap: 10, width: 'min(84vw, 420px)' } as object });

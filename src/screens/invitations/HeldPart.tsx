import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { sayParty } from '@/core/invitations/party';
import type { MailMethod, MailParty } from '@/core/model/mail';
import { useDo } from '@/data/commands';
import { useHeld } from '@/data/invitations';
import type { HeldRow } from '@/engine/invitations/rows';
import { Card } from '@/ui/Card';
import { usePalette } from '@/ui/theme/theme';

/** What a message would do, as a sentence about its event goes on. */
const WOULD: Readonly<Record<MailMethod, string>> = {
  request: 'invite you to it, or change it',
  add: 'add a date to it',
  cancel: 'cancel it',
  reply: 'answer it',
  counter: 'propose another time for it',
  refresh: 'ask for its latest version',
  declineCounter: 'turn your proposal down',
};

const withAddress = (party: MailParty) =>
  party.name ? `${party.name} (${party.address})` : party.address;

function why({ held, from, sender }: HeldRow): string {
  if (held === 'sequence')
    return 'Its version number is far beyond the last one. If it counted, true updates could be blocked.';
  return `The message names ${withAddress(from)}, but ${sender ? withAddress(sender) : 'somebody else'} sent it. Nobody said that they may.`;
}

function HeldCard({ row }: { row: HeldRow }) {
  const palette = usePalette();
  const act = useDo();
  const sender = row.sender && sayParty(row.sender);
  return (
    <View role="listitem" aria-label={row.title}>
      <Card title={row.title}>
        <Text>{why(row)}</Text>
        <Text style={{ color: palette.dim }}>
          {[`It would ${WOULD[row.method]}.`, row.when].filter(Boolean).join(' · ')}
        </Text>
        <View style={styles.buttons}>
          <Button
            compact
            mode="outlined"
            onPress={() => void act({ kind: 'acceptHeld', mailId: row.mailId })}
          >
            {sender ? `Let ${sender} write for ${sayParty(row.from)}` : 'Accept it'}
          </Button>
          <Button compact onPress={() => void act({ kind: 'ignoreHeld', mailId: row.mailId })}>
            Ignore
          </Button>
        </View>
      </Card>
    </View>
  );
}

/** Messages that have no effect until the person says that they count. */
export function HeldPart() {
  const palette = usePalette();
  const rows = useHeld();
  if (!rows.length) return null;
  return (
    <View style={styles.all}>
      <Text variant="titleMedium" style={{ color: palette.dim }}>
        {`Check the sender (${rows.length})`}
      </Text>
      <View role="list" aria-label="Check the sender" style={styles.all}>
        {rows.map((row) => (
          <HeldCard key={row.mailId} row={row} />
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 14 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});

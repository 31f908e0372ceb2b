import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';
import { sayWhom } from '@/core/invitations/party';
import { useDo } from '@/data/commands';
import { useUntold } from '@/data/invitations';
import { putAside } from '@/data/touched';
import type { UntoldRow } from '@/engine/invitations/invitations';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';
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
  const palette = usePalette();
  const act = useDo();
  const untold = useUntold();
  const [asked, setAsked] = useState<UntoldRow | null>(null);
  const [row] = untold;
  return (
    <>
      {row && (
        <View
          role="region"
          aria-label="Guests who do not know"
          style={[
            styles.bar,
            { backgroundColor: palette.accentWash, borderColor: palette.hairline },
          ]}
        >
          <Icon name="email-outline" size={20} color={palette.accent} />
          <Text style={styles.text}>
            {`“${row.title}” ${WHAT[row.why]}. Tell ${sayWhom(row.to)}?`}
            {untold.length > 1 ? ` ${untold.length - 1} more to say.` : ''}
          </Text>
          <View style={styles.buttons}>
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
          </View>
        </View>
      )}
      {asked && <TellLater row={asked} onClose={() => setAsked(null)} />}
    </>
  );
}

const styles = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    columnGap: 10,
    borderBottomWidth: 1,
    paddingHorizontal: 14,
    paddingVertical: 6,
  },
  text: { flexGrow: 1, flexShrink: 1, flexBasis: 200, minWidth: 0 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 4, marginLeft: 'auto' },
  close: { margin: 0, width: 40, height: 40 },
});

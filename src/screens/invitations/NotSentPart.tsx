import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { sayWhom } from '@/core/invitations/party';
import { useDo } from '@/data/commands';
import { useUntold } from '@/data/invitations';
import type { UntoldRow } from '@/engine/invitations/invitations';
import { NOT_SENT } from '@/features/invitations/TellBar';
import { TellLater } from '@/features/invitations/tellLater';
import { Card } from '@/ui/Card';
import { usePalette } from '@/ui/theme/theme';

/** Events whose guests do not know how they are now, each with what can be done. */
export function NotSentPart() {
  const palette = usePalette();
  const act = useDo();
  const rows = useUntold();
  const [asked, setAsked] = useState<UntoldRow | null>(null);
  if (!rows.length) return null;
  return (
    <View style={styles.all}>
      <Text variant="titleMedium" style={{ color: palette.dim }}>
        {`Not sent yet (${rows.length})`}
      </Text>
      <View role="list" aria-label="Not sent yet" style={styles.all}>
        {rows.map((row) => (
          <View key={row.uid} role="listitem" aria-label={row.title}>
            <Card title={row.title}>
              <Text>{`It ${NOT_SENT[row.why]}. For ${sayWhom(row.to)}.`}</Text>
              <Text style={{ color: palette.dim }}>{row.when}</Text>
              <View style={styles.buttons}>
                <Button compact mode="outlined" onPress={() => setAsked(row)}>
                  Send…
                </Button>
                <Button
                  compact
                  onPress={() => void act({ kind: 'tellGuests', uid: row.uid, line: '', only: [] })}
                >
                  Tell nobody
                </Button>
              </View>
            </Card>
          </View>
        ))}
      </View>
      {asked && <TellLater row={asked} onClose={() => setAsked(null)} />}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 14 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});

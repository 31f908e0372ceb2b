import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { MailParty } from '@/core/model/mail';
import { useDo } from '@/data/commands';
import { usePreferences } from '@/data/preferences';
import { isReachable, MeFields } from '@/features/invitations/MeFields';
import { Card } from '@/ui/Card';

/** Under which name and address others know the person, which mails are sent and found by. */
export function MeCard({ me }: { me: MailParty }) {
  const act = useDo();
  const { settings } = usePreferences();
  const [draft, setDraft] = useState<MailParty | null>(null);
  const label = 'Kept under which address others know you';
  const keep = async () => {
    if (
      draft &&
      (await act({ kind: 'setSettings', before: settings, fields: { me: draft }, label }))
    )
      setDraft(null);
  };
  return (
    <Card title="You">
      {draft ? (
        <>
          <MeFields me={draft} onChange={setDraft} />
          <View style={styles.buttons}>
            <Button onPress={() => setDraft(null)}>Cancel</Button>
            <Button mode="contained" disabled={!isReachable(draft)} onPress={() => void keep()}>
              Keep
            </Button>
          </View>
        </>
      ) : (
        <>
          <Text>
            {me.address
              ? [me.name, me.address].filter(Boolean).join(' · ')
              : 'Say under which mail address others know you: by it invitations to you are found.'}
          </Text>
          <View style={styles.buttons}>
            <Button compact mode="outlined" onPress={() => setDraft(me)}>
              {me.address ? 'Change' : 'Say it'}
            </Button>
          </View>
        </>
      )}
    </Card>
  );
}

const styles = StyleSheet.create({
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});

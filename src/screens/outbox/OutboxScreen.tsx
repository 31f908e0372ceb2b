import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Message } from '@/core/reminders/reminding';
import type { EpochMs } from '@/core/time/units';
import { usePreferences } from '@/data/preferences';
import { useOutbox } from '@/data/outbox';
import { Card } from '@/ui/Card';
import { Page } from '@/ui/Page';
import { usePalette } from '@/ui/theme/theme';
import { MessageCard } from './MessageCard';

/** What would have been sent by mail or text message: nothing leaves this machine. */
export function OutboxScreen() {
  const preferences = usePreferences();
  const { dim, brick } = usePalette();
  const { waiting, sent, isAway, clear, retry, writeLetter } = useOutbox(preferences);
  const [openId, setOpenId] = useState<string | null>(null);
  const { mail } = preferences.settings.reminding;
  const toggle = (id: string) => () => setOpenId((last) => (last === id ? null : id));
  const listOf = (name: string, messages: readonly (Message & { sent?: EpochMs })[]) => (
    <View role="list" aria-label={name}>
      {messages.map((one) => (
        <MessageCard
          key={one.id}
          message={one}
          preferences={preferences}
          isOpen={openId === one.id}
          onPress={toggle(one.id)}
        />
      ))}
    </View>
  );
  return (
    <Page
      title="Outbox"
      actions={
        <View style={styles.actions}>
          {mail !== '' && (
            <Button compact icon="email-outline" onPress={() => void writeLetter()}>
              Write today’s letter
            </Button>
          )}
          {sent.length > 0 && (
            <Button compact onPress={() => void clear()}>
              Clear
            </Button>
          )}
        </View>
      }
    >
      <Text style={{ color: dim }}>
        A stand-in for a mail and a text service: it shows what would have gone out, and sends
        nothing. It is kept by this app’s server, in its memory, until that is stopped.
      </Text>
      {isAway && (
        <Text role="alert" style={{ color: brick }}>
          The app’s server does not answer. What is due waits here and is given to it later.
        </Text>
      )}
      {waiting.length > 0 && (
        <Card title="Not taken yet">
          {listOf('Not taken yet', waiting)}
          <Button onPress={() => void retry()}>Try again</Button>
        </Card>
      )}
      <Card title="Would have gone out">
        {sent.length === 0 && (
          <Text style={{ color: dim }}>
            Nothing yet. Events that remind by mail or text message put it here when it is time, and
            so does the morning letter; addresses are in the settings.
          </Text>
        )}
        {listOf('Would have gone out', sent)}
      </Card>
    </Page>
  );
}

const styles = StyleSheet.create({
  actions: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center' },
});

import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { MailParty } from '@/core/model/mail';
import { useDo } from '@/data/commands';
import { useEngine } from '@/data/engineContext';
import { useInvitations, useIsPostAway, useMails, useWaitingMails } from '@/data/invitations';
import { usePreferences } from '@/data/preferences';
import { FileDrop } from '@/features/files/FileDrop';
import { isReachable } from '@/features/invitations/MeFields';
import { count } from '@/core/time/words';
import { HelpMark } from '@/features/help/HelpMark';
import { Card } from '@/ui/Card';
import { Check } from '@/ui/Check';
import { Columns } from '@/ui/Columns';
import { Page } from '@/ui/Page';
import { usePalette } from '@/ui/theme/theme';
import { HeldPart } from './HeldPart';
import { InvitationCard } from './InvitationCard';
import { MeCard } from './MeCard';
import { NotSentPart } from './NotSentPart';

const STATES = [
  { state: 'open', title: 'To answer' },
  { state: 'cancelled', title: 'Called off' },
  { state: 'answered', title: 'Answered' },
] as const;

/** The made-up office, which can be asked to write. */
function OfficeCard({ me }: { me: MailParty }) {
  const { begin } = useMails();
  return (
    <Card title="The office">
      <Text variant="bodySmall">
        It is made up, and ships with the app. Its people answer what you send them, each in their
        way; they can also ask you to something.
      </Text>
      <View style={styles.buttons}>
        <Button compact mode="outlined" disabled={!isReachable(me)} onPress={() => void begin(me)}>
          Let them invite you
        </Button>
      </View>
    </Card>
  );
}

/** What others ask the person to, and how it was answered. */
export function InvitationsScreen() {
  const palette = usePalette();
  const act = useDo();
  const { store } = useEngine();
  const { settings } = usePreferences();
  const rows = useInvitations();
  const { open, sync } = useMails();
  const isAway = useIsPostAway();
  const waiting = useWaitingMails();
  const main = (
    <View style={styles.column}>
      {isAway && (
        <Text role="alert">
          {waiting
            ? `The post does not answer: ${count(waiting, 'mail')} wait and are sent when it does.`
            : 'The post does not answer. What comes is taken in when it does.'}
        </Text>
      )}
      <HeldPart />
      <NotSentPart />
      {rows.length === 0 && (
        <Card>
          <Text>Invitations appear here. They arrive by email, or open an .ics or .eml file.</Text>
        </Card>
      )}
      {STATES.map(({ state, title }) => {
        const inside = rows.filter((row) => row.state === state);
        return inside.length ? (
          <View key={state} style={styles.column}>
            <Text variant="titleMedium" style={{ color: palette.dim }}>
              {`${title} (${inside.length})`}
            </Text>
            <View role="list" aria-label={title} style={styles.column}>
              {inside.map((row) => (
                <InvitationCard key={row.uid} row={row} />
              ))}
            </View>
          </View>
        ) : null;
      })}
    </View>
  );
  const side = (
    <View style={styles.column}>
      <FileDrop
        says="Drop an invitation or an answer (.eml, .ics) here, or"
        label="Invitation file"
        accept=".eml,.ics,text/calendar,message/rfc822"
        icon="email-outline"
        onFiles={(files) =>
          void files.reduce((last, file) => last.then(() => open(file)), Promise.resolve())
        }
      />
      <MeCard me={settings.me} />
      <Card>
        <Check
          label="Keep what I decline on the sheet"
          isOn={settings.hasDeclined}
          onChange={(hasDeclined) =>
            void act({
              kind: 'setSettings',
              before: settings,
              fields: { hasDeclined },
              label: hasDeclined
                ? 'Declined events stay on the sheet'
                : 'Declined events leave the sheet',
            })
          }
        />
      </Card>
      {store === 'demo' && <OfficeCard me={settings.me} />}
    </View>
  );
  return (
    <Page
      title="Invitations"
      isBroad
      mark={<HelpMark topic="meet" about="invitations" />}
      actions={
        store === 'demo' ? (
          <Button icon="refresh" onPress={() => void sync()}>
            Look for mail
          </Button>
        ) : undefined
      }
    >
      <Columns main={main} side={side} />
    </Page>
  );
}

const styles = StyleSheet.create({
  column: { gap: 14 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});

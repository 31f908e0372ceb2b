import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';
import { sayParty, sayWhom } from '@/core/invitations/party';
import type { MailParty } from '@/core/model/mail';
import { guestsOf } from '@/core/people/guests';
import { sayWhy, shortName } from '@/core/people/sayOpenings';
import type { CalendarEvent } from '@/core/model/event';
import { saySpan, SHORT_DAY } from '@/core/time/words';
import { wallFromInstant } from '@/core/time/zones';
import { useDo } from '@/data/commands';
import { useGuestNews, useMails } from '@/data/invitations';
import { usePeople, useSuits } from '@/data/people';
import type { Preferences } from '@/data/preferences';
import type { MailRow, ProposalRow, UntoldRow } from '@/engine/invitations/invitations';
import { Fold } from '@/ui/Fold';
import { usePalette } from '@/ui/theme/theme';
import { TellLater } from './tellLater';

interface Props {
  event: CalendarEvent;
  preferences: Preferences;
}

/** Whom a proposed time does not suit, in words. */
function useHindered(event: CalendarEvent, { from, start, end }: ProposalRow): string {
  const people = usePeople();
  const ids = guestsOf(event.attendees, people).map(({ id }) => id);
  const suits = useSuits(ids, { start, end });
  const inTheWay = people.flatMap((person) => {
    const why = suits.get(person.id)?.why;
    const isTheirs = person.address.toLowerCase() === from.address.toLowerCase();
    return why && !isTheirs ? [`${shortName(person)}: ${sayWhy(why)}`] : [];
  });
  return inTheWay.length ? inTheWay.join(' · ') : 'clear for everybody whose time is known';
}

/** Another time that a guest proposes, against the one that is asked for. */
function Proposal({ event, row }: { event: CalendarEvent; row: ProposalRow }) {
  const palette = usePalette();
  const act = useDo();
  const hindered = useHindered(event, row);
  const name = sayParty(row.from);
  return (
    <View
      role="group"
      aria-label={`${name} proposes another time`}
      style={[styles.proposal, { borderColor: palette.amber, backgroundColor: palette.amberWash }]}
    >
      <Text>
        <Text style={styles.strong}>{name}</Text> proposes {row.wanted} instead of {row.asked}
      </Text>
      {row.line !== '' && <Text>“{row.line}”</Text>}
      <Text variant="bodySmall">{hindered}</Text>
      <View style={styles.buttons}>
        <Button
          compact
          mode="contained-tonal"
          onPress={() => void act({ kind: 'takeProposal', mailId: row.mailId })}
        >
          Take it
        </Button>
        <Button
          compact
          onPress={() => void act({ kind: 'turnDownProposal', mailId: row.mailId, line: '' })}
        >
          Turn it down
        </Button>
      </View>
    </View>
  );
}

function sayWhen(instant: number, { clock, wording }: Preferences): string {
  const wall = wallFromInstant(instant, clock);
  return saySpan({ start: wall, end: wall, wholeDay: false }, wording, SHORT_DAY).split(' – ')[0]!;
}

/** A mail of the event's history, which can be kept as a file to send by hand. */
function HistoryLine({ mail, preferences }: { mail: MailRow; preferences: Preferences }) {
  const palette = usePalette();
  const { save } = useMails();
  const who = mail.isOut ? `to ${sayWhom(mail.to)}` : `from ${sayParty(mail.from)}`;
  return (
    <View role="listitem" style={[styles.mail, { borderColor: palette.hairline }]}>
      <View style={styles.words}>
        <Text>{mail.subject}</Text>
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {[
            `${sayWhen(mail.at, preferences)} ${who}`,
            mail.problem || (mail.isSent ? '' : 'waiting to be sent'),
            mail.line && `“${mail.line}”`,
          ]
            .filter(Boolean)
            .join(' · ')}
        </Text>
      </View>
      <IconButton
        icon="email-outline"
        size={18}
        accessibilityLabel={`Keep “${mail.subject}” as a mail`}
        onPress={() => void save(mail.id, mail.subject, 'eml')}
        style={styles.icon}
      />
      <IconButton
        icon="calendar-export"
        size={18}
        accessibilityLabel={`Keep “${mail.subject}” as a calendar file`}
        onPress={() => void save(mail.id, mail.subject, 'ics')}
        style={styles.icon}
      />
    </View>
  );
}

/** How it stands with an event's guests: what they do not know, what they propose, who is silent, what was written. */
export function GuestNewsPart({ event, preferences }: Props) {
  const act = useDo();
  const router = useRouter();
  const news = useGuestNews(event.id);
  const [asked, setAsked] = useState<UntoldRow | null>(null);
  if (!news) return null;
  const { untold, proposals, silent, history } = news;
  const accepted = event.attendees.filter(({ answer }) => answer === 'accepted').length;
  return (
    <View style={styles.all}>
      {proposals.map((row) => (
        <Proposal key={row.mailId} event={event} row={row} />
      ))}
      {event.invited && (
        <Button
          compact
          mode="outlined"
          icon="calendar-account-outline"
          style={styles.start}
          onPress={() => router.navigate('/invitations')}
        >
          {event.invited === 'unanswered' ? 'Answer it' : 'Answer otherwise'}
        </Button>
      )}
      {untold && (
        <Button
          compact
          mode="outlined"
          icon="send-outline"
          style={styles.start}
          onPress={() => setAsked(untold)}
        >
          {`Send to ${sayWhom(untold.to)}…`}
        </Button>
      )}
      {silent.length > 0 && (
        <Button
          compact
          icon="email-outline"
          style={styles.start}
          onPress={() => void act({ kind: 'remindSilent', uid: event.uid, line: '' })}
        >
          {`Ask ${sayWhom(silent)} once more`}
        </Button>
      )}
      {history.length > 0 && (
        <Fold
          icon="email-outline"
          name="What was written"
          said={sayHistory(history.length, accepted, event.attendees)}
        >
          <View role="list" aria-label="What was written">
            {history.map((mail) => (
              <HistoryLine key={mail.id} mail={mail} preferences={preferences} />
            ))}
          </View>
        </Fold>
      )}
      {asked && <TellLater row={asked} onClose={() => setAsked(null)} />}
    </View>
  );
}

const sayHistory = (mails: number, accepted: number, guests: readonly MailParty[]) =>
  `${mails === 1 ? 'One mail' : `${mails} mails`}, ${accepted} of ${guests.length} accepted`;

const styles = StyleSheet.create({
  all: { gap: 6 },
  start: { alignSelf: 'flex-start' },
  strong: { fontWeight: '600' },
  proposal: { borderWidth: 1, borderRadius: 8, padding: 10, gap: 4 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  mail: { flexDirection: 'row', alignItems: 'center', borderBottomWidth: 1, minHeight: 48 },
  words: { flex: 1, minWidth: 0 },
  icon: { margin: 0, width: 40, height: 40 },
});

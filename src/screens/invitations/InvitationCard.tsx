import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { ANSWER_WORDS, sayParty } from '@/core/invitations/party';
import { useAskSheet } from '@/data/asked';
import { useDo } from '@/data/commands';
import type { InvitationRow } from '@/engine/invitations/rows';
import { Card } from '@/ui/Card';
import { Fold } from '@/ui/Fold';
import { Icon } from '@/ui/icons/Icon';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';
import { PassOnDialog } from './PassOnDialog';
import { ProposeDialog } from './ProposeDialog';

const ANSWERS = [
  { answer: 'accepted', label: 'Accept', icon: 'check' },
  { answer: 'tentative', label: 'Perhaps', icon: 'progress-question' },
  { answer: 'declined', label: 'Decline', icon: 'close' },
] as const;

const CLASS = { accepted: 'I come', tentative: 'I may come', declined: 'I do not come' } as const;

/** What is otherwise since the version before. */
function Changes({ row }: { row: InvitationRow }) {
  const palette = usePalette();
  if (!row.changes.length && !row.off.length) return null;
  return (
    <View
      role="group"
      aria-label="What changed"
      style={[styles.changes, { backgroundColor: palette.amberWash }]}
    >
      {row.changes.map(({ what, from, to }) => (
        <Text key={what}>
          {what}: <Text style={{ color: palette.dim }}>{from}</Text> →{' '}
          <Text style={styles.strong}>{to}</Text>
        </Text>
      ))}
      {row.off.length > 0 && <Text>{`Called off: ${row.off.join(', ')}`}</Text>}
    </View>
  );
}

/** The rest of the day on which it would be. */
function Around({ row }: { row: InvitationRow }) {
  const palette = usePalette();
  const clashes = row.around.filter(({ isClash }) => isClash).length;
  const said = clashes
    ? `At the same time: ${row.around
        .filter(({ isClash }) => isClash)
        .map(({ title }) => title)
        .join(', ')}`
    : row.around.length
      ? 'Nothing at the same time'
      : 'Nothing else that day';
  return (
    <Fold icon={clashes ? 'alert-outline' : 'calendar-text'} name="That day" said={said}>
      <View role="list" aria-label="That day">
        {row.around.map(({ id, title, when, isClash }) => (
          <View key={id} role="listitem" style={styles.around}>
            <Text style={[styles.time, { color: palette.dim }]}>{when}</Text>
            <Text style={[styles.words, isClash && styles.strong]}>{title}</Text>
          </View>
        ))}
      </View>
    </Fold>
  );
}

/** The coming dates of a series, each of which can be answered alone. */
function Dates({ row, line }: { row: InvitationRow; line: string }) {
  const act = useDo();
  return (
    <Fold icon="repeat" name="Single dates" said="Answer single dates">
      <View role="list" aria-label="Single dates">
        {row.dates.map(({ key, said, answer }) => (
          <View key={key} role="listitem" aria-label={said} style={styles.date}>
            <Text style={styles.words}>{`${said} · ${ANSWER_WORDS[answer]}`}</Text>
            {ANSWERS.map(({ answer: given, label }) => (
              <Button
                key={given}
                compact
                disabled={answer === given}
                accessibilityLabel={`${label} ${said}`}
                onPress={() =>
                  void act({ kind: 'answerInvitation', uid: row.uid, key, answer: given, line })
                }
              >
                {label}
              </Button>
            ))}
          </View>
        ))}
      </View>
    </Fold>
  );
}

function Fact({ icon, children }: { icon: string; children: string }) {
  const { dim } = usePalette();
  return (
    <View style={styles.fact}>
      <Icon name={icon} size={18} color={dim} />
      <Text style={styles.words}>{children}</Text>
    </View>
  );
}

/** One thing that somebody asks the person to, with everything that an answer needs. */
export function InvitationCard({ row }: { row: InvitationRow }) {
  const act = useDo();
  const askSheet = useAskSheet();
  const [line, setLine] = useState('');
  const [isProposing, setProposing] = useState(false);
  const [isPassing, setPassing] = useState(false);
  const { uid, state, answer } = row;
  const isCancelled = state === 'cancelled';
  const others = row.guests.map((one) => sayParty(one)).join(', ');
  const standing = isCancelled
    ? 'called off'
    : answer === 'none'
      ? row.proposed
        ? `you proposed ${row.proposed}`
        : 'not answered'
      : `you: ${ANSWER_WORDS[answer]}${row.line ? `, “${row.line}”` : ''}`;
  return (
    <View role="listitem" aria-label={row.title}>
      <Card title={row.title}>
        <View style={styles.facts}>
          <Fact icon="account-outline">{`${sayParty(row.from)} asks · ${standing}`}</Fact>
          {row.sentBy && (
            <Fact icon="email-outline">{`Sent by ${sayParty(row.sentBy)} (${row.sentBy.address})`}</Fact>
          )}
          <Fact icon="clock-outline">
            {[row.when, row.theirs, row.repeats].filter(Boolean).join(' · ')}
          </Fact>
          {row.place !== '' && <Fact icon="map-marker-outline">{row.place}</Fact>}
          {row.notes !== '' && <Fact icon="text">{row.notes}</Fact>}
          {row.guests.length > 1 && <Fact icon="account-group-outline">{others}</Fact>}
        </View>
        <Changes row={row} />
        {isCancelled ? (
          <View style={styles.buttons}>
            <Button mode="outlined" onPress={() => void act({ kind: 'letGoInvitation', uid })}>
              Let go
            </Button>
          </View>
        ) : (
          <>
            <Around row={row} />
            <TextField
              label={`A line to ${sayParty(row.from).split(' ')[0]}`}
              value={line}
              onChangeText={setLine}
            />
            <View role="group" aria-label={`Answer to ${row.title}`} style={styles.buttons}>
              {ANSWERS.map(({ answer: given, label, icon }) => (
                <Button
                  key={given}
                  compact
                  mode={answer === given ? 'contained' : 'outlined'}
                  icon={icon}
                  accessibilityLabel={`${label}: ${CLASS[given]}`}
                  onPress={() =>
                    void act({
                      ...{ kind: 'answerInvitation', uid, key: null, answer: given },
                      line: line.trim(),
                    })
                  }
                >
                  {label}
                </Button>
              ))}
              {row.mayPropose && (
                <Button compact icon="clock-outline" onPress={() => setProposing(true)}>
                  Another time…
                </Button>
              )}
              {row.mayPassOn && (
                <Button compact icon="account-outline" onPress={() => setPassing(true)}>
                  Pass on…
                </Button>
              )}
              {row.eventId !== null && (
                <Button
                  compact
                  icon="calendar-arrow-right"
                  onPress={() => askSheet({ kind: 'event', id: row.eventId!, uncovers: true })}
                >
                  On the sheet
                </Button>
              )}
            </View>
            {row.dates.length > 0 && <Dates row={row} line={line.trim()} />}
          </>
        )}
        {isPassing && <PassOnDialog row={row} onClose={() => setPassing(false)} />}
        {isProposing && <ProposeDialog row={row} onClose={() => setProposing(false)} />}
      </Card>
    </View>
  );
}

const styles = StyleSheet.create({
  facts: { gap: 4 },
  fact: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
  words: { flex: 1, minWidth: 0 },
  strong: { fontWeight: '600' },
  changes: { borderRadius: 8, padding: 10, gap: 2 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  around: { flexDirection: 'row', gap: 10, minHeight: 32, alignItems: 'center' },
  time: { width: 130, fontVariant: ['tabular-nums'] },
  date: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', minHeight: 44 },
});

import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { calendarForNew } from '@/core/calendars/showing';
import { dayOfWall } from '@/core/time/civil';
import { count } from '@/core/time/words';
import { useEngine } from '@/data/engineContext';
import { putIncoming } from '@/data/incomingFiles';
import { useWallNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { useCalendars } from '@/data/queries';
import type { MailPart } from '@/engine/messages/readMail';
import { FileDrop } from '@/features/files/FileDrop';
import { Card } from '@/ui/Card';
import { Columns } from '@/ui/Columns';
import { Page } from '@/ui/Page';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';
import { CandidateCard } from './CandidateCard';
import { samples } from './samples';
import { useKeeping } from './useKeeping';
import type { Opened } from './useMessage';
import { useMessage } from './useMessage';

const isCalendarFile = ({ name, mediaType }: MailPart) =>
  mediaType === 'text/calendar' || /\.ics$/i.test(name);

/** Calendar files that a mail carries: those are read as they are, not guessed at. */
function CalendarParts({ parts }: { parts: readonly MailPart[] }) {
  const router = useRouter();
  const files = parts.filter(isCalendarFile);
  if (!files.length) return null;
  function look() {
    putIncoming(
      files.map(({ name, content }) => new File([content], name, { type: 'text/calendar' })),
    );
    router.navigate('/import');
  }
  return (
    <Card title={`${count(files.length, 'calendar file')} in it`}>
      <Text>{files.map(({ name }) => name).join(', ')}</Text>
      <Button mode="contained" icon="calendar-import" style={styles.start} onPress={look}>
        Look at what is in it
      </Button>
    </Card>
  );
}

/** What was found in a message, each by itself. */
function Findings({ opened }: { opened: Opened }) {
  const palette = usePalette();
  const preferences = usePreferences();
  const calendars = useCalendars();
  const own = calendars.filter(({ kind, listed }) => kind === 'own' && listed);
  const keep = useKeeping(opened, own);
  const calendarId = calendarForNew(calendars, preferences.settings.defaultCalendarId)?.id ?? '';
  const { candidates, remarks, message, parts } = opened;
  const from = message.from ? message.from.name || message.from.address : '';
  return (
    <View style={styles.column}>
      <Text role="status" style={{ color: palette.dim }}>
        {[
          message.subject && `“${message.subject}”`,
          from && `from ${from}`,
          candidates.length
            ? `${count(candidates.length, 'thing')} found`
            : 'no day and no time was found',
        ]
          .filter(Boolean)
          .join(' · ')}
      </Text>
      <CalendarParts parts={parts} />
      {remarks.map((remark) => (
        <Card key={remark}>
          <Text>{remark}</Text>
        </Card>
      ))}
      {candidates.map((candidate, i) => (
        <CandidateCard
          key={i}
          nth={i + 1}
          count={candidates.length}
          candidate={candidate}
          calendars={own}
          calendarId={calendarId}
          preferences={preferences}
          onKeep={keep}
        />
      ))}
    </View>
  );
}

/** Text from outside that becomes events and tasks: pasted or dropped, read, looked at, kept. */
export function MessageScreen() {
  const { store } = useEngine();
  const { clock } = usePreferences();
  const palette = usePalette();
  const { text, type, opened, problem, read, isReady, clear } = useMessage();
  const today = dayOfWall(useWallNow(clock));
  const readFirst = (files: File[]) => files[0] && void read(files[0]);
  return (
    <Page title="From a message" isBroad>
      <Columns
        main={
          <Card>
            <TextField
              label="A message, or a part of one"
              placeholder="Paste what was written to you"
              value={text}
              multiline
              numberOfLines={12}
              onChangeText={type}
            />
            <View style={styles.buttons}>
              {(text !== '' || opened) && <Button onPress={clear}>Clear</Button>}
              <Button
                mode="contained"
                icon="magnify"
                disabled={!isReady || !text.trim()}
                onPress={() => void read(text)}
              >
                Read it
              </Button>
            </View>
            {!opened && (
              <FileDrop
                says="Drop a mail (.eml) or a text here, or"
                label="Mail or text file"
                accept=".eml,.txt,.md,message/rfc822,text/plain"
                icon="email-outline"
                onFiles={readFirst}
                onText={(dropped) => {
                  type(dropped);
                  void read(dropped);
                }}
              />
            )}
            <Text variant="bodySmall" style={{ color: palette.dim }}>
              It is read on this machine and goes nowhere else.
            </Text>
            {store === 'demo' && !opened && (
              <View style={styles.samples}>
                <Text variant="bodySmall">Made-up messages to try it with:</Text>
                {samples(today).map((sample) => (
                  <Button
                    key={sample.name}
                    compact
                    mode="outlined"
                    disabled={!isReady}
                    onPress={() => {
                      type(sample.text);
                      void read(sample.text);
                    }}
                  >
                    {sample.name}
                  </Button>
                ))}
              </View>
            )}
          </Card>
        }
        side={
          <View style={styles.column}>
            {problem && (
              <Card>
                <Text role="alert">{problem}</Text>
              </Card>
            )}
            {opened ? (
              <Findings key={opened.nth} opened={opened} />
            ) : (
              !problem && (
                <Text style={{ color: palette.dim }}>
                  What the message asks for will stand here, each with its day, time and place, to
                  be put right before it is kept.
                </Text>
              )
            )}
          </View>
        }
      />
    </Page>
  );
}

const styles = StyleSheet.create({
  column: { gap: 16 },
  buttons: { flexDirection: 'row', justifyContent: 'flex-end', gap: 8 },
  samples: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, alignItems: 'center' },
  start: { alignSelf: 'flex-start' },
});

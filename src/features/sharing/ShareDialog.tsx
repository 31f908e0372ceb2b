import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { SharedThing, ShareLevel } from '@/core/model/share';
import { SHARE_LEVELS } from '@/core/model/share';
import { shortName } from '@/core/people/sayOpenings';
import type { SharedDay } from '@/core/people/shared';
import { usePeople } from '@/data/people';
import { useSharePreview, useShares, useSharing } from '@/data/sharing';
import { HelpMark } from '@/features/help/HelpMark';
import { Choice } from '@/ui/Choice';
import { Dialog } from '@/ui/Dialog';
import { Fold } from '@/ui/Fold';
import { usePalette } from '@/ui/theme/theme';
import { LEVEL_WORDS } from './levels';
import { ShareLine } from './ShareLine';

interface Props {
  of: SharedThing;
  /** What it is called. */
  name: string;
  onClose(): void;
}

/** How long a share lasts, in days; 0 for as long as it is not ended. */
const LASTS = [
  { value: 0, label: 'Until I end it' },
  { value: 7, label: 'A week' },
  { value: 30, label: '30 days' },
  { value: 90, label: '90 days' },
];
/** Days of the preview. */
const PREVIEWED = 8;

/** The days as they are seen by whom it is shared with. */
function Preview({ days }: { days: readonly SharedDay[] }) {
  const palette = usePalette();
  return (
    <View
      role="group"
      aria-label="As they see it"
      style={[styles.preview, { borderColor: palette.hairline, backgroundColor: palette.sheet }]}
    >
      <ScrollView style={styles.scroll} tabIndex={0}>
        {days.slice(0, PREVIEWED).map(({ name, lines }) => (
          <View key={name} style={styles.day}>
            <Text variant="bodySmall" style={styles.name}>
              {name}
            </Text>
            {lines.map(({ when, title, place }, i) => (
              // Lines follow each other and have no names of their own.
              <View key={i} style={styles.line}>
                <Text variant="bodySmall" style={[styles.when, { color: palette.dim }]}>
                  {when}
                </Text>
                <Text variant="bodySmall" style={styles.what}>
                  {place ? `${title}, ${place}` : title}
                </Text>
              </View>
            ))}
          </View>
        ))}
        {days.length === 0 && (
          <Text style={{ color: palette.dim }}>Nothing is to be seen in the weeks to come.</Text>
        )}
      </ScrollView>
    </View>
  );
}

/** Shares a calendar or a lens: with whom, how much of it, seen first as they see it; and what is shared of it already. */
export function ShareDialog({ of, name, onClose }: Props) {
  const palette = usePalette();
  const people = usePeople();
  const sharing = useSharing();
  const shares = useShares().filter((one) => one.of.kind === of.kind && one.of.id === of.id);
  const [personId, setPersonId] = useState<string | null>(null);
  const [level, setLevel] = useState<ShareLevel>('booked');
  const [lasts, setLasts] = useState(0);
  const { data: days = [] } = useSharePreview(of, level);
  const persons = people.filter(({ kind }) => kind === 'person');
  const [levelName, says] = LEVEL_WORDS[level];

  const person = persons.find(({ id }) => id === personId);
  const begin = () =>
    sharing.begin(
      { of, level, personId },
      lasts,
      person ? { address: person.address, name } : null,
    );

  return (
    <Dialog
      title={`Share ${name}`}
      onClose={onClose}
      footer={
        <>
          <Button
            onPress={() => void sharing.save(of, level, `${name}, ${levelName.toLowerCase()}`)}
          >
            Save as a file
          </Button>
          <Button mode="contained" onPress={() => void begin()}>
            Share it
          </Button>
        </>
      }
    >
      <View style={styles.all}>
        {shares.length > 0 && (
          <View role="list" aria-label="Shared already">
            {shares.map((share) => (
              <ShareLine key={share.id} share={share} wanted={level} />
            ))}
          </View>
        )}
        <Choice
          name="What is seen"
          value={level}
          options={SHARE_LEVELS.map((value) => ({ value, label: LEVEL_WORDS[value][0] }))}
          onChoose={(value) => setLevel(value)}
        />
        <View style={styles.says}>
          <Text variant="bodySmall" style={[styles.what, { color: palette.dim }]}>
            {`They see ${says}.`}
          </Text>
          <HelpMark topic="share" about="sharing" />
        </View>
        <Preview days={days} />
        {persons.length > 0 && (
          <Fold icon="account-outline" name="With" said={person?.name ?? 'Whoever has the address'}>
            <Choice
              name="With whom"
              isNameHidden
              value={personId}
              options={[
                { value: null, label: 'Whoever has the address' },
                ...persons.map((one) => ({ value: one.id, label: shortName(one) })),
              ]}
              onChoose={(value) => setPersonId(value)}
            />
            {person && (
              <Text variant="bodySmall" style={{ color: palette.dim }}>
                {person.address
                  ? `${shortName(person)} gets a mail with the address.`
                  : `No mail address of ${shortName(person)} is known: give them the address yourself.`}
              </Text>
            )}
          </Fold>
        )}
        <Choice
          name="It lasts"
          value={lasts}
          options={LASTS}
          onChoose={(value) => setLasts(value)}
        />
      </View>
    </Dialog>
  );
}

const styles = StyleSheet.create({
  all: { gap: 10, width: 'min(86vw, 520px)' } as object,
  preview: { borderWidth: 1, borderRadius: 8, padding: 10 },
  scroll: { maxHeight: '30vh' } as object,
  day: { marginBottom: 6 },
  name: { fontWeight: '600' },
  says: { flexDirection: 'row', alignItems: 'center' },
  line: { flexDirection: 'row', gap: 10 },
  when: { width: 96, fontVariant: ['tabular-nums'] },
  what: { flex: 1, minWidth: 0 },
});

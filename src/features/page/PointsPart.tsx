import { nanoid } from 'nanoid';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';
import type { AgendaPoint } from '@/core/model/eventFields';
import { beginnings, movedPoint, readPoint, sayPoints } from '@/core/page/points';
import { MINUTE, minuteOfDay } from '@/core/time/civil';
import { sayLength, sayMinute } from '@/core/time/words';
import { usePreferences } from '@/data/preferences';
import type { EventPage } from '@/engine/pages/pages';
import { TypedLine, useTypedLine } from '@/features/now/TypedLine';
import { Card } from '@/ui/Card';
import { Check } from '@/ui/Check';
import { Dialog } from '@/ui/Dialog';
import { NumberField } from '@/ui/NumberField';
import { Sortable } from '@/ui/sortable/Sortable';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';
import { useWritePage } from './useWritePage';

const MOST_MINUTES = 600;

interface DialogProps {
  point: AgendaPoint;
  onKeep(point: AgendaPoint): void;
  onRemove(): void;
  onFollowUp(): void;
  onClose(): void;
}

/** A point with all that it has, to be changed. */
function PointDialog({ point: before, onKeep, onRemove, onFollowUp, onClose }: DialogProps) {
  const [point, setPoint] = useState(before);
  return (
    <Dialog
      title="A point"
      onClose={onClose}
      footer={
        <>
          <Button onPress={onRemove}>Remove</Button>
          <Button onPress={onFollowUp}>Make it a follow-up</Button>
          <Button
            mode="contained"
            disabled={!point.text.trim()}
            onPress={() => onKeep({ ...point, text: point.text.trim() })}
          >
            Keep
          </Button>
        </>
      }
    >
      <View style={styles.fields}>
        <TextField
          label="What it is about"
          value={point.text}
          onChangeText={(text) => setPoint({ ...point, text })}
        />
        <NumberField
          label="Minutes for it"
          value={point.minutes}
          min={0}
          max={MOST_MINUTES}
          unit="min"
          onChange={(minutes) => setPoint({ ...point, minutes })}
        />
      </View>
    </Dialog>
  );
}

interface Props {
  page: EventPage;
  /** Whether its calendar is followed, so that it can only be read. */
  isFollowed: boolean;
  onFollowUp(text: string): Promise<boolean>;
}

/** What an event is to deal with: in order, with the minutes of each, ticked as it goes. */
export function PointsPart({ page, isFollowed, onFollowUp }: Props) {
  const palette = usePalette();
  const { wording } = usePreferences();
  const { occurrence: o } = page;
  const { agenda } = page.date;
  const { writePoints } = useWritePage(page);
  const [line, type] = useTypedLine(`point of ${o.id}`);
  const [changed, setChanged] = useState<string | null>(null);
  const length = o.wholeDay ? 0 : (o.endMs - o.startMs) / MINUTE;
  const starts = beginnings(agenda, o.start);
  const chosen = agenda.find(({ id }) => id === changed);
  const nameOf = (id: string) => agenda.find((point) => point.id === id)?.text ?? '';
  const sum = agenda.reduce((all, { minutes }) => all + minutes, 0);

  async function add() {
    const read = readPoint(line);
    if (!read.text) return;
    const point = { id: nanoid(12), done: false, ...read };
    if (await writePoints([...agenda, point], 'Added a point to')) type('');
  }
  const put = (point: AgendaPoint, says: string) =>
    writePoints(
      agenda.map((one) => (one.id === point.id ? point : one)),
      says,
    );
  function move(id: string, toId: string) {
    const at = (wanted: string) => agenda.findIndex((point) => point.id === wanted);
    void writePoints([...movedPoint(agenda, at(id), at(toId))], 'Moved a point of');
  }
  function remove(id: string) {
    setChanged(null);
    void writePoints(
      agenda.filter((point) => point.id !== id),
      'Removed a point of',
    );
  }

  function row(id: string) {
    const nth = agenda.findIndex((point) => point.id === id);
    const point = agenda[nth];
    if (!point) return null;
    const start = o.wholeDay ? null : starts[nth];
    return (
      <>
        <Check
          label={`Dealt with: ${point.text}`}
          isLabelHidden
          isOn={point.done}
          onChange={(done) =>
            void put({ ...point, done }, done ? 'Dealt with a point of' : 'Took up a point of')
          }
        />
        <View style={styles.text}>
          <Text style={point.done ? [styles.done, { color: palette.dim }] : styles.open}>
            {point.text}
          </Text>
          {point.minutes > 0 && (
            <Text variant="bodySmall" style={{ color: palette.dim }}>
              {[
                start == null ? '' : sayMinute(minuteOfDay(start), wording.hourCycle),
                sayLength(point.minutes),
              ]
                .filter(Boolean)
                .join(' · ')}
            </Text>
          )}
        </View>
        <IconButton
          icon="pencil-outline"
          size={18}
          accessibilityLabel={`Change ${point.text}`}
          onPress={() => setChanged(point.id)}
          style={styles.icon}
        />
      </>
    );
  }

  if (isFollowed)
    return agenda.length === 0 ? null : (
      <Card title="Points">
        {agenda.map((point) => (
          <Text key={point.id}>· {point.text}</Text>
        ))}
      </Card>
    );
  return (
    <Card title="Points">
      <Text role="status" style={{ color: sum > length && length ? palette.brick : palette.dim }}>
        {agenda.length ? sayPoints(agenda, length) : 'What is to be dealt with? One line for each.'}
      </Text>
      <Sortable
        name="Points"
        ids={agenda.map(({ id }) => id)}
        nameOf={nameOf}
        onMove={move}
        row={row}
      />
      <TypedLine
        label="A point, and its minutes"
        placeholder="Crate sizes, 10 min"
        button="Add point"
        line={line}
        isGood={line.trim() !== ''}
        onType={type}
        onKeep={() => void add()}
      />
      {chosen && (
        <PointDialog
          key={chosen.id}
          point={chosen}
          onClose={() => setChanged(null)}
          onRemove={() => remove(chosen.id)}
          onKeep={(point) => {
            setChanged(null);
            void put(point, 'Changed a point of');
          }}
          onFollowUp={() => {
            setChanged(null);
            void onFollowUp(chosen.text).then(
              (isMade) => isMade && put({ ...chosen, done: true }, 'Dealt with a point of'),
            );
          }}
        />
      )}
    </Card>
  );
}

const styles = StyleSheet.create({
  fields: { gap: 10, width: 'min(84vw, 440px)' } as object,
  text: { flex: 1, minWidth: 0, paddingVertical: 6 },
  open: { fontWeight: '500' },
  done: { textDecorationLine: 'line-through' },
  icon: { margin: 0, width: 40, height: 40 },
});

import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { titleOf } from '@/core/model/titleOf';
import { openPoints } from '@/core/page/points';
import { withLine } from '@/core/page/notes';
import { MINUTE } from '@/core/time/civil';
import { sayLength } from '@/core/time/words';
import { useNow } from '@/data/now';
import type { EventPage } from '@/engine/pages/pages';
import { TypedLine, useTypedLine } from '@/features/now/TypedLine';
import { Dialog } from '@/ui/Dialog';
import { usePalette } from '@/ui/theme/theme';
import { useWritePage } from './useWritePage';

/** A running event and nothing else: the minutes that are left, the next point, a line to write down. */
export function QuietMode({ page, onClose }: { page: EventPage; onClose(): void }) {
  const palette = usePalette();
  const { date, occurrence: o } = page;
  const now = useNow();
  const { writePoints, writeNotes } = useWritePage(page);
  const [line, type] = useTypedLine(`written down in ${o.id}`);
  const [written, setWritten] = useState<string[]>([]);
  const open = openPoints(date.agenda);
  const [point, after] = open;
  const left = Math.ceil((o.endMs - now) / MINUTE);
  const isOver = left <= 0;

  const dealtWith = () =>
    void writePoints(
      date.agenda.map((one) => (one.id === point?.id ? { ...one, done: true } : one)),
      'Dealt with a point of',
    );
  async function writeDown() {
    if (!line.trim()) return;
    if (!(await writeNotes(withLine(date.notes, line)))) return;
    setWritten((last) => [...last, line.trim()]);
    type('');
  }

  return (
    <Dialog title={titleOf(date)} onClose={onClose}>
      <View style={styles.all}>
        <Text
          role="timer"
          variant="displaySmall"
          style={{ color: isOver ? palette.brick : palette.ink }}
        >
          {isOver ? 'Time is up' : `${sayLength(left)} left`}
        </Text>
        {point ? (
          <View style={[styles.point, { backgroundColor: palette.accentWash }]}>
            <Text variant="titleLarge">{point.text}</Text>
            <Text style={{ color: palette.dim }}>
              {[
                point.minutes ? `${sayLength(point.minutes)} for it` : '',
                `${open.length} of ${date.agenda.length} left`,
                after ? `then: ${after.text}` : 'the last one',
              ]
                .filter(Boolean)
                .join(' · ')}
            </Text>
            <Button mode="contained" icon="check" style={styles.start} onPress={dealtWith}>
              Dealt with
            </Button>
          </View>
        ) : (
          <Text style={{ color: palette.dim }}>
            {date.agenda.length ? 'Every point is dealt with.' : 'There are no points.'}
          </Text>
        )}
        <TypedLine
          label="Write down"
          placeholder="What was said or agreed"
          button="Write"
          line={line}
          isGood={line.trim() !== ''}
          onType={type}
          onKeep={() => void writeDown()}
        />
        {written.length > 0 && (
          <View role="list" aria-label="Written down">
            {written.map((text, nth) => (
              <Text key={nth} role="listitem">
                · {text}
              </Text>
            ))}
          </View>
        )}
      </View>
    </Dialog>
  );
}

const styles = StyleSheet.create({
  all: { gap: 18, width: 'min(86vw, 620px)', minHeight: 'min(60vh, 420px)' } as object,
  point: { borderRadius: 10, padding: 16, gap: 8 },
  start: { alignSelf: 'flex-start' },
});

import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { titleOf } from '@/core/model/titleOf';
import { SCOPE_NAMES } from '@/core/editing/series/sayScopes';
import { count } from '@/core/time/words';
import { useCalendars } from '@/data/queries';
import type { BulkPreview, PreviewLine } from '@/engine/bulk/bulk';
import { Card } from '@/ui/Card';
import { Check } from '@/ui/Check';
import { Icon } from '@/ui/icons/Icon';
import { Mark } from '@/ui/Mark';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  preview: BulkPreview;
  leftOut: ReadonlySet<string>;
  onLeaveOut(id: string, isLeftOut: boolean): void;
}

/** Clashes that one line names. */
const NAMED = 3;

function saidClashes(clashes: readonly string[]): string[] {
  const more = clashes.length - NAMED;
  return [
    ...clashes.slice(0, NAMED).map((other) => `Clashes with ${other}`),
    ...(more > 0 ? [`Clashes with ${count(more, 'other event')}`] : []),
  ];
}

/** What it does to clashes and closures, one short sentence each. */
function sayConsequences({ consequences }: BulkPreview): { text: string; isBad: boolean }[] {
  if (!consequences) return [];
  const { clashesMade, clashesSolved, closuresMade, closuresSolved, otherClashes } = consequences;
  const said = (n: number, text: string, isBad: boolean) => (n > 0 ? [{ text, isBad }] : []);
  return [
    ...said(clashesMade, `Makes ${count(clashesMade, 'clash', 'clashes')}`, true),
    ...otherClashes.slice(0, NAMED).map((clash) => ({ text: clash, isBad: true })),
    ...said(otherClashes.length - NAMED, `and ${otherClashes.length - NAMED} more`, true),
    ...said(clashesSolved, `Solves ${count(clashesSolved, 'clash', 'clashes')}`, false),
    ...said(closuresMade, `Puts ${count(closuresMade, 'date')} on closures`, true),
    ...said(closuresSolved, `Takes ${count(closuresSolved, 'date')} off closures`, false),
  ];
}

function Line({
  line,
  isLeftOut,
  onLeaveOut,
}: {
  line: PreviewLine;
  isLeftOut: boolean;
  onLeaveOut(isLeftOut: boolean): void;
}) {
  const palette = usePalette();
  const calendar = useCalendars().find(({ id }) => id === line.calendarId);
  const { differences, outcome, refusals, clashes, scope } = line;
  const warnings = [...refusals, ...saidClashes(clashes)];
  const isStill = differences.length === 0 && outcome === '' && !refusals.length;
  return (
    <View role="listitem" style={[styles.line, { borderColor: palette.hairline }]}>
      <Check
        label={`${titleOf(line)}, ${line.when}`}
        isLabelHidden
        isOn={!isLeftOut}
        onChange={(isOn) => onLeaveOut(!isOn)}
      />
      <View style={styles.text}>
        <View style={styles.head}>
          {calendar && (
            <Mark mark={calendar.mark} colour={inkColours(calendar.ink, palette).edge} size={12} />
          )}
          <Text style={styles.title}>{titleOf(line)}</Text>
        </View>
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {line.when}
          {scope && scope !== 'this' ? ` · ${SCOPE_NAMES[scope].toLowerCase()}` : ''}
          {isLeftOut ? ' · left out' : isStill ? ' · stays as it is' : ''}
        </Text>
        {differences.map(({ name, before, after }) => (
          <Text key={name} variant="bodySmall">
            <Text style={{ color: palette.dim }}>{`${name}: `}</Text>
            <Text style={[styles.before, { color: palette.dim }]}>{before}</Text>
            {' → '}
            <Text style={styles.after}>{after}</Text>
          </Text>
        ))}
        {outcome !== '' && <Text variant="bodySmall">{outcome}</Text>}
        {warnings.map((reason) => (
          <View key={reason} style={styles.head}>
            <Icon name="alert-outline" size={14} color={palette.brick} />
            <Text variant="bodySmall" style={{ color: palette.brick, flexShrink: 1 }}>
              {reason}
            </Text>
          </View>
        ))}
      </View>
    </View>
  );
}

/** A line for each event, before and after; any can be left out. */
export function PreviewCard({ preview, leftOut, onLeaveOut }: Props) {
  const palette = usePalette();
  const { lines, total, changed, refused } = preview;
  return (
    <Card title="What becomes of them">
      <View role="status" style={styles.sum}>
        <Text style={styles.title}>
          {changed === 0
            ? 'Nothing would change.'
            : `${changed.toLocaleString('en')} of ${total.toLocaleString('en')} would change.`}
        </Text>
        {sayConsequences(preview).map(({ text, isBad }) => (
          <Text key={text} style={{ color: isBad ? palette.brick : palette.accent }}>
            {text}
          </Text>
        ))}
        {refused.map(({ reason, count: events }) => (
          <Text key={reason} style={{ color: palette.brick }}>
            {`${events.toLocaleString('en')} can’t: ${reason}`}
          </Text>
        ))}
      </View>
      <View role="list" aria-label="What becomes of each">
        {lines.map((line) => (
          <Line
            key={line.id}
            line={line}
            isLeftOut={leftOut.has(line.id)}
            onLeaveOut={(isOut) => onLeaveOut(line.id, isOut)}
          />
        ))}
      </View>
      {total > lines.length && (
        <Text style={{ color: palette.dim }}>
          {`${(total - lines.length).toLocaleString('en')} more are changed alike; they are not listed here.`}
        </Text>
      )}
    </Card>
  );
}

const styles = StyleSheet.create({
  sum: { gap: 2 },
  line: { flexDirection: 'row', gap: 6, borderBottomWidth: 1, paddingVertical: 6 },
  text: { flex: 1, minWidth: 0, gap: 1, paddingTop: 8 },
  head: { flexDirection: 'row', alignItems: 'center', gap: 7 },
  title: { fontWeight: '600', flexShrink: 1 },
  before: { textDecorationLine: 'line-through' },
  after: { fontWeight: '600' },
});

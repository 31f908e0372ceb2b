import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { EventTime } from '@/core/model/common';
import { wallOf } from '@/core/model/common';
import { count, DATED_DAY, saySpan } from '@/core/time/words';
import { titleOf } from '@/core/model/titleOf';
import { usePreferences } from '@/data/preferences';
import type { ImportPreview, ImportRow } from '@/engine/files/importer';
import { Card } from '@/ui/Card';
import { usePalette } from '@/ui/theme/theme';

const FATE_WORDS = {
  new: 'new',
  updated: 'updates',
  unchanged: 'no change',
  older: 'older, stays out',
} as const;
const zoneOf = (time: EventTime) =>
  time.kind === 'zoned' ? ` (${time.zone.split('/').at(-1)!.replaceAll('_', ' ')})` : '';

function Row({ row }: { row: ImportRow }) {
  const palette = usePalette();
  const { wording } = usePreferences();
  const span = {
    start: wallOf(row.start),
    end: wallOf(row.end),
    wholeDay: row.start.kind === 'date',
  };
  return (
    <View style={[styles.row, { borderColor: palette.hairline }]} role="listitem">
      <View style={styles.text}>
        <Text style={styles.title}>{titleOf(row)}</Text>
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {saySpan(span, wording, DATED_DAY)}
          {zoneOf(row.start)}
          {row.repeats ? ' · repeats' : ''}
        </Text>
      </View>
      <Text
        variant="bodySmall"
        style={{ color: row.fate === 'new' ? palette.accent : palette.dim }}
      >
        {FATE_WORDS[row.fate]}
      </Text>
    </View>
  );
}

function summary({ fates, series, counts, sums, calendars }: ImportPreview): string[] {
  const all = fates.new + fates.updated + fates.unchanged + fates.older;
  return [
    [
      count(all, 'event'),
      ...(series ? [`${series} repeating`] : []),
      ...(counts.overrides ? [count(counts.overrides, 'changed date')] : []),
    ].join(', '),
    `In the file: ${sums.inFile} · Will come in: ${sums.comesIn} · Left out: ${sums.leftOut}`,
    `${fates.new} new · ${fates.updated} to update · ${fates.unchanged} without change${fates.older ? ` · ${fates.older} older than what is here` : ''}`,
    ...(calendars.length
      ? [`On ${count(calendars.length, 'calendar')}: ${calendars.join(', ')}`]
      : []),
    ...(counts.tasks ? [`${count(counts.tasks, 'task')}, kept with the calendar`] : []),
  ];
}

/** A few titles, and how many there are besides. */
const sayTitles = (titles: readonly string[]) =>
  titles
    .slice(0, 3)
    .map((title) => `“${title}”`)
    .join(', ') + (titles.length > 3 ? ` and ${titles.length - 3} more` : '');

/** What is odd about the new ones; empty when nothing is. */
function oddities({ odd }: ImportPreview): string[] {
  const { doubles, oddZones, farYears, ruled } = odd;
  const said = (titles: readonly string[], what: string) =>
    titles.length ? [`${titles.length} ${what}: ${sayTitles(titles)}`] : [];
  return [
    ...said(doubles, doubles.length === 1 ? 'is there already' : 'are there already'),
    ...said(oddZones, 'at night by their own clock, by day in another of your zones'),
    ...said(farYears, 'in years far away'),
    ...(ruled ? [`${ruled} by your rules for new events`] : []),
  ];
}

/** What a file would bring: counts, first rows, and what stays out with its reason. */
export function Preview({ preview }: { preview: ImportPreview }) {
  const palette = usePalette();
  const { rows, skipped, problems, notes } = preview;
  return (
    <>
      <Card title={preview.fileName}>
        {summary(preview).map((line) => (
          <Text key={line}>{line}</Text>
        ))}
        {notes.map((note) => (
          <Text key={note} variant="bodySmall" style={{ color: palette.dim }}>
            {note}
          </Text>
        ))}
      </Card>
      {oddities(preview).length > 0 && (
        <Card title="Looked at before it comes in">
          {oddities(preview).map((line) => (
            <Text key={line}>{line}</Text>
          ))}
        </Card>
      )}
      {problems > 0 && (
        <Card title={`${count(problems, 'line')} to know about`}>
          <View role="list" aria-label="What stays out" style={styles.list}>
            {skipped.map(({ line, what }) => (
              <View key={`${line} ${what}`} role="listitem" style={styles.problem}>
                <Text style={[styles.line, { color: palette.amber }]}>Line {line}</Text>
                <Text style={styles.text}>{what}</Text>
              </View>
            ))}
          </View>
          {problems > skipped.length && <Text>… and {problems - skipped.length} more.</Text>}
        </Card>
      )}
      {rows.length > 0 && (
        <Card title={rows.length < 50 ? 'What comes in' : 'The first rows'}>
          <View role="list" aria-label="Rows">
            {rows.map((row, i) => (
              <Row key={i} row={row} />
            ))}
          </View>
        </Card>
      )}
    </>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    paddingVertical: 7,
    borderBottomWidth: 1,
  },
  text: { flex: 1, minWidth: 0 },
  title: { fontWeight: '500' },
  list: { gap: 6 },
  problem: { flexDirection: 'row', gap: 10 },
  line: { width: 72, fontWeight: '600', fontVariant: ['tabular-nums'] },
});

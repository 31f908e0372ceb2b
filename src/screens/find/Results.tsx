import type { KeyboardEvent } from 'react';
import { useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { FoundLine } from '@/core/find/results';
import { useCalendars } from '@/data/queries';
import type { Found } from '@/engine/finding/finding';
import { useSelecting } from '@/features/selecting/useSelecting';
import { Card } from '@/ui/Card';
import { Title } from '@/ui/Title';
import { usePalette } from '@/ui/theme/theme';
import type { LineSetting } from './ResultLine';
import { ResultLine } from './ResultLine';

interface Props {
  found: Found;
  setting: LineSetting;
  /** Asks for the words as they were typed, and for none that are like them. */
  onAsTyped(): void;
}

function Group({
  name,
  lines,
  total,
  setting,
}: {
  name: string;
  lines: readonly FoundLine[];
  total: number;
  setting: LineSetting;
}) {
  const palette = usePalette();
  const calendars = useCalendars();
  if (!lines.length) return null;
  return (
    <View role="group" aria-label={name}>
      <View style={styles.head}>
        <Title level={2}>{name}</Title>
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {total.toLocaleString('en')}
        </Text>
      </View>
      {lines.map((line) => {
        const calendar = calendars.find(({ id }) => id === line.calendarId);
        return (
          calendar && (
            <ResultLine key={line.eventId} line={line} calendar={calendar} setting={setting} />
          )
        );
      })}
      {total > lines.length && (
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {(total - lines.length).toLocaleString('en')} more: ask more exactly, or look at them as a
          table.
        </Text>
      )}
    </View>
  );
}

/** The arrows go from one to the next. */
function walk(event: KeyboardEvent<HTMLElement>): void {
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
  if (step === undefined) return;
  const lines = [...event.currentTarget.querySelectorAll<HTMLElement>('[data-occ]')];
  const at = lines.indexOf(document.activeElement as HTMLElement);
  const next = lines[at + step];
  if (!next) return;
  event.preventDefault();
  next.focus();
}

/** What was found: what comes, then what is over. */
export function Results({ found, setting, onAsTyped }: Props) {
  const list = useRef<HTMLDivElement>(null);
  useSelecting(list);
  const { coming, over, comingTotal, overTotal, corrected } = found;
  const isNothing = comingTotal + overTotal === 0;
  return (
    <Card>
      {isNothing && (
        <View style={styles.nothing}>
          <Text>
            Nothing that you have fits. Try fewer words, or take a part of the question away.
          </Text>
        </View>
      )}
      {!isNothing && corrected !== null && (
        <View style={styles.nothing}>
          <Text role="status">{`Showing results for “${corrected}”.`}</Text>
          <Button compact onPress={onAsTyped}>
            Search for what I typed
          </Button>
        </View>
      )}
      <div ref={list} role="region" aria-label="Results" className="found-list" onKeyDown={walk}>
        <Group name="To come" lines={coming} total={comingTotal} setting={setting} />
        <Group name="Over" lines={over} total={overTotal} setting={setting} />
      </div>
    </Card>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'baseline', gap: 8, paddingTop: 6 },
  nothing: { gap: 10, alignItems: 'flex-start' },
});

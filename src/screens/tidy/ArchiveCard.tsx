import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { dayOfWall } from '@/core/time/civil';
import { count } from '@/core/time/words';
import { download, downloadBlob } from '@/data/browser';
import { useDo } from '@/data/commands';
import { useEngine } from '@/data/engineContext';
import { useMessages } from '@/data/messages';
import { useWallNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { useOverBefore } from '@/data/tidying';
import { Card } from '@/ui/Card';
import { DayField } from '@/ui/DayField';
import { describeError } from '@/core/userError';

const A_YEAR = 365;

/** What is long over goes to a file, which is read back before anything is taken away. */
export function ArchiveCard() {
  const { clock, wording, firstWeekday } = usePreferences();
  const today = dayOfWall(useWallNow(clock));
  const { engine } = useEngine();
  const { complain } = useMessages();
  const act = useDo();
  const [day, setDay] = useState<number | null>(null);
  const [isBusy, setBusy] = useState(false);
  const before = day ?? today - A_YEAR;
  const { data: ids = [] } = useOverBefore(before);

  async function archive() {
    if (!engine) return;
    setBusy(true);
    try {
      const file = await engine.files.archive(ids, Date.now());
      download(`${file.name}.ics`, file.text, 'text/calendar');
      for (const { id, name } of file.beside) {
        const content = await engine.files.fileContent(id);
        if (content) downloadBlob(name, content);
      }
      await act({ kind: 'archiveEvents', ids, file: `${file.name}.ics` });
    } catch (error) {
      complain(`Nothing was archived. ${describeError(error)}`);
    }
    setBusy(false);
  }

  return (
    <Card title="Archive">
      <Text>
        Events that were over before a day are written to a calendar file. It is read back, and only
        what came back as it is goes to Removed.
      </Text>
      <View style={styles.row}>
        <DayField
          label="Over before"
          day={before}
          wording={wording}
          firstWeekday={firstWeekday}
          onChange={setDay}
        />
        <Button
          mode="contained"
          icon="archive-outline"
          disabled={ids.length === 0 || isBusy}
          loading={isBusy}
          onPress={() => void archive()}
        >
          {ids.length ? `Archive ${count(ids.length, 'event')}` : 'Nothing to archive'}
        </Button>
      </View>
    </Card>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 10, alignItems: 'center' },
});

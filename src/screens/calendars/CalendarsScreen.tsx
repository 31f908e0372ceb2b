import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { dayOfWall } from '@/core/time/civil';
import { useWallNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { useCalendars, useEventCounts } from '@/data/queries';
import { HelpMark } from '@/features/help/HelpMark';
import { Card } from '@/ui/Card';
import { Columns } from '@/ui/Columns';
import { Page } from '@/ui/Page';
import { ToggleChip } from '@/ui/ToggleChip';
import { AlikeCard } from './AlikeCard';
import { BackupCard } from './BackupCard';
import { CalendarLater } from '@/features/calendars/later';
import { CalendarList } from './CalendarList';
import { useShowing } from '@/features/calendars/CalendarMenu';
import { CategoriesCard } from './CategoriesCard';
import { ExportDialog } from './ExportDialog';
import { FollowDialog } from './FollowDialog';

function FilesCard() {
  const router = useRouter();
  const calendars = useCalendars();
  const { clock } = usePreferences();
  const today = dayOfWall(useWallNow(clock));
  const [isExporting, setExporting] = useState(false);
  return (
    <Card title="Files">
      <Text>
        Calendar files (.ics) and tables (.csv) come in with a look first, and go out with nothing
        lost.
      </Text>
      <View style={styles.buttons}>
        <Button mode="contained" icon="calendar-import" onPress={() => router.navigate('/import')}>
          Import files
        </Button>
        <Button mode="outlined" icon="calendar-export" onPress={() => setExporting(true)}>
          Export…
        </Button>
      </View>
      {isExporting && (
        <ExportDialog calendars={calendars} today={today} onClose={() => setExporting(false)} />
      )}
    </Card>
  );
}

/** The calendars: their order, which are shown, what they hold and look like, and the way in and out for files. */
export function CalendarsScreen() {
  const calendars = useCalendars();
  const { data: counts = {} } = useEventCounts();
  const showing = useShowing(calendars);
  const [open, setOpen] = useState<'new' | 'follow' | null>(null);
  const [showsUnlisted, setShowsUnlisted] = useState(false);
  const listed = calendars.filter((calendar) => calendar.listed);
  const unlisted = calendars.filter((calendar) => !calendar.listed);
  const close = () => setOpen(null);

  return (
    <Page title="Calendars" isBroad mark={<HelpMark topic="calendars" about="calendars" />}>
      <Columns
        main={
          <View style={styles.column}>
            <Card>
              <CalendarList name="Calendars" calendars={listed} all={calendars} counts={counts} />
              <View style={styles.buttons}>
                <Button mode="contained" icon="plus" onPress={() => setOpen('new')}>
                  New calendar
                </Button>
                <Button mode="outlined" icon="rss" onPress={() => setOpen('follow')}>
                  Follow one
                </Button>
                {showing.canGoBack && (
                  <Button icon="restore" onPress={() => void showing.back()}>
                    Show as before
                  </Button>
                )}
                {unlisted.length > 0 && (
                  <ToggleChip
                    label={`${unlisted.length} unlisted`}
                    isOn={showsUnlisted}
                    onPress={() => setShowsUnlisted((last) => !last)}
                  />
                )}
              </View>
              {showsUnlisted && unlisted.length > 0 && (
                <CalendarList
                  name="Unlisted calendars"
                  calendars={unlisted}
                  all={calendars}
                  counts={counts}
                />
              )}
            </Card>
            <AlikeCard calendars={calendars} />
          </View>
        }
        side={
          <View style={styles.column}>
            <CategoriesCard />
            <FilesCard />
            <BackupCard />
          </View>
        }
      />
      {open === 'new' && <CalendarLater calendar={null} calendars={calendars} onClose={close} />}
      {open === 'follow' && <FollowDialog calendars={calendars} onClose={close} />}
    </Page>
  );
}

const styles = StyleSheet.create({
  column: { gap: 16 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
});

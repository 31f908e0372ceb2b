import { StyleSheet, View } from 'react-native';
import { dayOfWall } from '@/core/time/civil';
import { useDo } from '@/data/commands';
import { useWallNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { Columns } from '@/ui/Columns';
import { Page } from '@/ui/Page';
import type { ChangeSettings } from './change';
import { CopiesCard } from './CopiesCard';
import { FreeableCard } from './FreeableCard';
import { LookCard } from './LookCard';
import { SetAsideCard } from './SetAsideCard';
import { RemindersCard } from './RemindersCard';
import { SheetCard } from './SheetCard';
import { StoreCard } from './StoreCard';
import { TimeCard } from './TimeCard';
import { WorkweekCard } from './WorkweekCard';

/** The person's own choices, and which data is open. Each is kept as it is changed. */
export function SettingsScreen() {
  const preferences = usePreferences();
  const { settings, wording, clock } = preferences;
  const today = dayOfWall(useWallNow(clock));
  const act = useDo();
  const change: ChangeSettings = (fields, label) =>
    void act({ kind: 'setSettings', before: settings, fields, label });
  return (
    <Page title="Settings" isBroad>
      <Columns
        main={
          <View style={styles.cards}>
            <StoreCard />
            <CopiesCard />
            <SetAsideCard />
            <FreeableCard today={today} />
            <TimeCard preferences={preferences} today={today} onChange={change} />
            <SheetCard settings={settings} hourCycle={wording.hourCycle} onChange={change} />
          </View>
        }
        side={
          <View style={styles.cards}>
            <RemindersCard preferences={preferences} onChange={change} />
            <LookCard settings={settings} onChange={change} />
            <WorkweekCard
              workweek={settings.workweek}
              hourCycle={wording.hourCycle}
              onChange={(workweek, label) => change({ workweek }, label)}
            />
          </View>
        }
      />
    </Page>
  );
}

const styles = StyleSheet.create({ cards: { gap: 16 } });

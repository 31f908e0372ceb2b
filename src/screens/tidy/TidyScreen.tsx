import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Calendar } from '@/core/model/calendar';
import { EVERYTHING } from '@/core/query/eventQuery';
import type { CheckName } from '@/core/model/checks';
import { CHECK_NAMES } from '@/core/model/checks';
import type { SweepAction } from '@/core/tidy/sweep';
import { effective } from '@/core/tidy/sweep';
import { civilDate, dayNumber, dayOfWall } from '@/core/time/civil';
import { count } from '@/core/time/words';
import { useDo } from '@/data/commands';
import { useWallNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { useCalendars, useSweep } from '@/data/queries';
import { CalendarChip } from '@/ui/CalendarChip';
import { Card } from '@/ui/Card';
import { Choice } from '@/ui/Choice';
import { Columns } from '@/ui/Columns';
import { DayField } from '@/ui/DayField';
import { HelpMark } from '@/features/help/HelpMark';
import { Page } from '@/ui/Page';
import { usePalette } from '@/ui/theme/theme';
import { useIsWide } from '@/ui/useIsWide';
import { ArchiveCard } from './ArchiveCard';
import { ChecksCard } from './ChecksCard';
import { FilesCard } from './FilesCard';
import { FindingsCard } from './FindingsCard';
import { RulesCard } from './RulesCard';
import { SeriesPicker } from './SeriesPicker';
import { SweepItemRow } from './SweepItemRow';

/** Dates that are listed at once. */
const LISTED = 100;

/** The calendars that dates are swept off: closures until others are chosen. */
function useBlockers(calendars: readonly Calendar[]) {
  const [chosen, setChosen] = useState<string[] | null>(null);
  const ids = chosen ?? calendars.flatMap(({ id, isClosures }) => (isClosures ? [id] : []));
  const toggle = (id: string) =>
    setChosen(ids.includes(id) ? ids.filter((other) => other !== id) : [...ids, id]);
  return { ids, toggle };
}

/** Sweep: every date of series that falls on closures or leave, and what is to become of each. */
function Sweep({ first }: { first: string | null }) {
  const preferences = usePreferences();
  const { clock, wording, firstWeekday } = preferences;
  const palette = usePalette();
  const calendars = useCalendars();
  const act = useDo();
  const today = dayOfWall(useWallNow(clock));
  const { year, month, day } = civilDate(today);
  const blockers = useBlockers(calendars);
  const [eventId, setEventId] = useState(first);
  const [days, setDays] = useState({
    from: today,
    to: dayNumber(year, month + 6, Math.min(day, 28)),
  });
  const [action, setAction] = useState<SweepAction>('next');
  const [chosen, setChosen] = useState<Record<string, SweepAction>>({});
  const request = {
    query: { ...EVERYTHING, eventIds: eventId === null ? null : [eventId] },
    blockerIds: blockers.ids,
    fromDay: days.from,
    toDay: days.to + 1,
    zone: clock,
    action,
    chosen,
  };
  const { data: steps = [], isPlaceholderData: isLooking } = useSweep(request);
  const todo = effective(steps);
  const skips = todo.filter((step) => step.action === 'skip').length;
  const said = [
    skips ? `skip ${skips}` : '',
    todo.length > skips ? `move ${todo.length - skips}` : '',
  ]
    .filter(Boolean)
    .join(', ');

  async function carryOut() {
    if (await act({ kind: 'sweepSeries', request })) setChosen({});
  }

  const controls = (
    <Card title="Sweep series off closures">
      <Text>
        Finds every date of your series that falls on closures or leave. Look at what becomes of
        each, then do all of it at once.
      </Text>
      <SeriesPicker eventId={eventId} onChoose={setEventId} />
      <View style={styles.part}>
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          Off the events of
        </Text>
        <View role="group" aria-label="Off the events of" style={styles.chips}>
          {calendars.map((calendar) => (
            <CalendarChip
              key={calendar.id}
              calendar={calendar}
              role="switch"
              isOn={blockers.ids.includes(calendar.id)}
              onPress={() => blockers.toggle(calendar.id)}
            />
          ))}
        </View>
      </View>
      <View style={styles.days}>
        <DayField
          label="From"
          day={days.from}
          wording={wording}
          firstWeekday={firstWeekday}
          onChange={(from) => setDays(({ to }) => ({ from, to: Math.max(from, to) }))}
        />
        <DayField
          label="To"
          day={days.to}
          wording={wording}
          firstWeekday={firstWeekday}
          error={days.to < days.from}
          onChange={(to) => setDays(({ from }) => ({ from, to }))}
        />
      </View>
      <Choice<SweepAction>
        name="All of them"
        value={action}
        options={[
          { value: 'skip', label: 'Skip all' },
          { value: 'next', label: 'To the next clear working day' },
          { value: 'previous', label: 'To the clear working day before' },
        ]}
        onChoose={(next) => {
          setAction(next);
          setChosen({});
        }}
      />
      <View style={[styles.sum, { borderColor: palette.hairline }]} role="status">
        <Text style={styles.grow}>
          {blockers.ids.length === 0
            ? 'Choose a calendar whose events are in the way.'
            : isLooking
              ? 'Looking …'
              : steps.length === 0
                ? 'No dates fall on those. Nothing to sweep.'
                : `${count(steps.length, 'date')} in the way${said ? `: ${said}` : ''}`}
        </Text>
        <Button
          mode="contained"
          icon="broom"
          // What is listed is what would be swept.
          disabled={todo.length === 0 || isLooking}
          onPress={() => void carryOut()}
        >
          {todo.length ? `Sweep ${count(todo.length, 'date')}` : 'Sweep'}
        </Button>
      </View>
    </Card>
  );
  const list = steps.length > 0 && !isLooking && (
    <Card title="Dates in the way">
      <View role="list" aria-label="Dates in the way">
        {steps.slice(0, LISTED).map((step) => (
          <SweepItemRow
            key={step.date.id}
            step={step}
            calendar={calendars.find(({ id }) => id === step.date.calendarId)}
            preferences={preferences}
            onChoose={(next) => setChosen((last) => ({ ...last, [step.date.id]: next }))}
          />
        ))}
      </View>
      {steps.length > LISTED && (
        <Text style={{ color: palette.dim }}>
          {steps.length - LISTED} more are swept alike; they are not listed here.
        </Text>
      )}
    </Card>
  );
  return <Columns main={controls} side={list} />;
}

/** The check that an address names; null for none. */
const checkIn = (name: string | undefined): CheckName | null =>
  CHECK_NAMES.find((check) => check === name) ?? null;

/** The bench for cleaning up. */
export function TidyScreen() {
  const { series, check } = useLocalSearchParams<{ series?: string; check?: string }>();
  const router = useRouter();
  const isWide = useIsWide();
  const open = checkIn(check);
  const show = (name: CheckName) => router.setParams({ check: name === open ? undefined : name });
  const findings = open && <FindingsCard key={open} check={open} />;
  return (
    <Page title="Tidy" isBroad mark={<HelpMark topic="tidy" about="Tidy" />}>
      {isWide ? (
        <Columns
          main={<ChecksCard open={open} onOpen={show} />}
          side={
            findings ?? (
              <Card>
                <Text>Choose a check to see what it found.</Text>
              </Card>
            )
          }
        />
      ) : open ? (
        <>
          <Button icon="arrow-left" style={styles.back} onPress={() => show(open)}>
            All checks
          </Button>
          {findings}
        </>
      ) : (
        <ChecksCard open={open} onOpen={show} />
      )}
      <Sweep key={series ?? 'all'} first={series ?? null} />
      <RulesCard />
      <ArchiveCard />
      <FilesCard />
    </Page>
  );
}

const styles = StyleSheet.create({
  back: { alignSelf: 'flex-start' },
  part: { gap: 4 },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  days: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  sum: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: 10,
    borderTopWidth: 1,
    paddingTop: 10,
  },
  grow: { flexGrow: 1, flexShrink: 1, flexBasis: 180, fontWeight: '600' },
});

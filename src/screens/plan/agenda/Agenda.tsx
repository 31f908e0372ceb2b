import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { Virtuoso } from 'react-virtuoso';
import type { AgendaDay } from '@/core/agenda/agendaDays';
import { agendaDays } from '@/core/agenda/agendaDays';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { Calendar } from '@/core/model/calendar';
import { workdayOf } from '@/core/model/workweek';
import { civilDate } from '@/core/time/civil';
import { count } from '@/core/time/words';
import type { Preferences } from '@/data/preferences';
import type { useAgenda } from '@/data/queries';
import { usePalette } from '@/ui/theme/theme';
import type { AgendaPage } from '@/engine/agendaPages';
import { AgendaLines } from './AgendaLines';
import { DayHead } from './DayHead';

interface Props {
  /** The day (day number) that the agenda opens at. */
  fromDay: number;
  today: number;
  name: string;
  calendars: readonly Calendar[];
  categoryInks: ReadonlyMap<string, string> | null;
  preferences: Preferences;
  selectedId: string | null;
  covered: number;
  onOpen(occurrence: Occurrence): void;
  onMenu(occurrence: Occurrence): void;
  agenda: ReturnType<typeof useAgenda>;
  onWorkday(day: number): void;
  /** Told of the first day in sight. */
  onSeen(day: number): void;
}

/** Where the list counts its first item from, so that there is room before it. */
const ORIGIN = 1_000_000;

interface Days {
  days: AgendaDay[];
  /** Days that were put before the ones that the agenda opened at. */
  before: number;
}

function daysOfPages(
  pages: readonly AgendaPage[],
  fromDay: number,
  preferences: Preferences,
): Days {
  const { workweek } = preferences.settings;
  const hoursOf = (day: number) => workdayOf(day, workweek).hours;
  const days = pages.flatMap((page) =>
    agendaDays(page.occurrences, page.fromDay, page.toDay, hoursOf),
  );
  return { days, before: days.filter(({ day }) => day < fromDay).length };
}

/** Days without events between two that have some, in words; null where there are none. */
function sayGap(day: number, last: AgendaDay | undefined): string | null {
  const gap = last === undefined ? 0 : day - last.day - 1;
  return gap > 0 ? `${count(gap, 'day')} without events` : null;
}

/** Only days with events, one under the other, on and back without end. */
export function Agenda(props: Props) {
  const { agenda, fromDay, today, calendars, categoryInks, preferences, selectedId, onOpen } =
    props;
  const palette = usePalette();
  const pages = agenda.data?.pages;
  const { days, before } = useMemo(
    () => daysOfPages(pages ?? [], fromDay, preferences),
    [pages, fromDay, preferences],
  );
  const setting = useMemo(
    () => ({
      calendarOf: new Map(calendars.map((c) => [c.id, c])),
      categoryInks,
      wording: preferences.wording,
      selectedId,
      onOpen,
    }),
    [calendars, categoryInks, preferences, selectedId, onOpen],
  );
  const byId = useMemo(
    () => new Map(pages?.flatMap(({ occurrences }) => occurrences.map((o) => [o.id, o] as const))),
    [pages],
  );
  // What lies before is put there once the list has measured what it opened at; it keeps its place then.
  const hasWayBack = pages !== undefined && pages[0]!.fromDay < fromDay;
  const isEmpty = pages !== undefined && days.length === 0;
  return (
    <View
      role="group"
      aria-label={props.name}
      style={[styles.all, { backgroundColor: palette.sheet, borderColor: palette.hairline }]}
      {...{
        onContextMenu: (event: React.MouseEvent<HTMLElement>) => {
          const id = (event.target as HTMLElement).closest<HTMLElement>('[data-occ]')?.dataset[
            'occ'
          ];
          const o = id === undefined ? undefined : byId.get(id);
          if (!o) return;
          event.preventDefault();
          props.onMenu(o);
        },
      }}
    >
      {!pages ? null : isEmpty ? (
        <View style={styles.empty}>
          <Text style={{ color: palette.dim }}>
            No events on the shown calendars in the next three years.
          </Text>
        </View>
      ) : (
        <Virtuoso
          key={fromDay}
          data={days}
          firstItemIndex={ORIGIN - before}
          increaseViewportBy={{ top: 0, bottom: 400 }}
          startReached={() => {
            if (!agenda.isFetching) void agenda.fetchPreviousPage();
          }}
          endReached={() => {
            if (!agenda.isFetching) void agenda.fetchNextPage();
          }}
          rangeChanged={({ startIndex }) => {
            const seen = days[startIndex - (ORIGIN - before)];
            if (seen) props.onSeen(seen.day);
            if (!hasWayBack && !agenda.isFetching) void agenda.fetchPreviousPage();
          }}
          computeItemKey={(_, { day }) => day}
          components={{ Footer: () => <View style={{ height: props.covered }} /> }}
          itemContent={(index, agendaDay) => {
            const gap = sayGap(agendaDay.day, days[index - (ORIGIN - before) - 1]);
            return (
              <div>
                {gap && (
                  <Text variant="bodySmall" style={[styles.gap, { color: palette.dim }]}>
                    {gap}
                  </Text>
                )}
                <DayHead
                  agendaDay={agendaDay}
                  isToday={agendaDay.day === today}
                  thisYear={civilDate(today).year}
                  workplace={workdayOf(agendaDay.day, preferences.settings.workweek).workplace}
                  wording={preferences.wording}
                  onWorkday={props.onWorkday}
                />
                <AgendaLines day={agendaDay.day} lines={agendaDay.lines} setting={setting} />
              </div>
            );
          }}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { flex: 1, minHeight: 0, borderTopWidth: 1 },
  empty: { padding: 24, alignItems: 'center' },
  gap: { paddingHorizontal: 14, paddingVertical: 5 },
});

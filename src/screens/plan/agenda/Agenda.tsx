import { memo, useEffect, useMemo, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { AgendaDay } from '@/core/agenda/agendaDays';
import type { Occurrence } from '@/core/agenda/occurrence';
import { agendaDays } from '@/core/agenda/agendaDays';
import type { Task } from '@/core/model/task';
import { workdayOf } from '@/core/model/workweek';
import { civilDate } from '@/core/time/civil';
import { count } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import { openTask } from '@/data/openedTask';
import { useFacts } from '@/data/facts';
import { useTasksDue } from '@/data/tasks';
import { TaskLine } from '@/features/tasks/TaskLine';
import { tasksByDay } from '@/core/tasks/onSheet';
import { usePalette } from '@/ui/theme/theme';
import { useIsWide } from '@/ui/useIsWide';
import type { LineSetting } from '@/features/agenda/AgendaLines';
import { AgendaLines } from '@/features/agenda/AgendaLines';
import type { FormProps } from '../sheet/formProps';
import { DayHead } from './DayHead';
import { useHeldPlace } from './useHeldPlace';

/** Days without events between two that have some, in words; null where there are none. */
function sayGap(day: DayNumber, last: AgendaDay | undefined): string | null {
  const gap = last === undefined ? 0 : day - last.day - 1;
  return gap > 0 ? `${count(gap, 'day')} without events` : null;
}

/** From this many px before its ends on, the list asks for more. */
const NEAR = 1500;

const NONE: AgendaDay[] = [];
const NO_TASKS: Task[] = [];

interface DayProps {
  agendaDay: AgendaDay;
  gap: string | null;
  today: DayNumber;
  setting: Omit<LineSetting, 'selectedId'>;
  /** The event that is selected, where it is on this day. */
  selectedId: string | null;
  workplace: string;
  zone: string;
  onWorkday(day: DayNumber): void;
  facts: readonly Occurrence[];
  tasks: readonly Task[];
}

const DayOfAgenda = memo(function DayOfAgenda(props: DayProps) {
  const { agendaDay, gap, today, setting, selectedId, workplace, zone, onWorkday, tasks } = props;
  const palette = usePalette();
  const { day, lines } = agendaDay;
  return (
    <div data-day={day} className="agenda-day">
      {gap && (
        <div className="agenda-gap">
          <Text variant="bodySmall" style={[styles.gap, { color: palette.dim }]}>
            {gap}
          </Text>
        </div>
      )}
      <DayHead
        agendaDay={agendaDay}
        isToday={day === today}
        thisYear={civilDate(today).year}
        workplace={workplace}
        zone={zone}
        wording={setting.wording}
        facts={props.facts}
        onWorkday={onWorkday}
      />
      <div className="agenda-lines">
        <AgendaLines day={day} lines={lines} setting={{ ...setting, selectedId }} />
        {tasks.length > 0 && (
          <div role="list" aria-label="To do by this day" className="agenda-tasks">
            {tasks.map((task) => (
              <TaskLine key={task.id} task={task} isTight onOpen={() => openTask(task.id)} />
            ))}
          </div>
        )}
      </div>
    </div>
  );
});

const has = ({ lines }: AgendaDay, id: string) =>
  lines.some((line) => line.kind === 'event' && line.occurrence.id === id);

/** Only days with events, one under the other, on and back without end. */
export function Agenda({ place, content, look, hands }: FormProps) {
  const { agenda, agendaDay: fromDay } = content;
  const { today, calendars, categoryInks, preferences, selectedId } = look;
  const { onOpen, onSeen } = hands;
  const { workweek } = preferences.settings;
  const { wording } = preferences;
  const palette = usePalette();
  const isWide = useIsWide();
  const scroller = useRef<HTMLDivElement>(null);
  const pages = agenda.data?.pages;
  const days = useMemo(() => {
    const hoursOf = (day: DayNumber) => workdayOf(day, workweek).hours;
    return (
      pages?.flatMap((page) => agendaDays(page.occurrences, page.fromDay, page.toDay, hoursOf)) ??
      NONE
    );
  }, [pages, workweek]);
  const ends = pages?.length ? { from: pages[0]!.fromDay, to: pages.at(-1)!.toDay } : null;
  const { data: due } = useTasksDue(
    ends?.from ?? 0,
    ends?.to ?? 0,
    content.query,
    place.view.hasTasks && ends !== null,
  );
  const window = { fromDay: ends?.from ?? 0, toDay: ends?.to ?? 0, zone: preferences.clock };
  const { factsOn } = useFacts(window, calendars, place.view.hasFacts && ends !== null);
  const dueOn = useMemo(
    () =>
      new Map(
        tasksByDay(due ?? [], preferences.clock, false).map(({ day, tasks }) => [day, tasks]),
      ),
    [due, preferences.clock],
  );
  const noteScroll = useHeldPlace(scroller, days, onSeen, fromDay);
  const setting = useMemo(
    () => ({
      calendarOf: new Map(calendars.map((c) => [c.id, c])),
      categoryInks,
      wording,
      isWide,
      onOpen,
    }),
    [calendars, categoryInks, wording, isWide, onOpen],
  );

  // The way back is put there once the rest is seen; and what does not fill the room asks for more.
  const { isFetching, hasNextPage, hasPreviousPage, fetchNextPage, fetchPreviousPage } = agenda;
  function askForMore() {
    const element = scroller.current;
    if (!element || isFetching) return;
    const { scrollTop, scrollHeight, clientHeight } = element;
    if (hasNextPage && scrollHeight - scrollTop - clientHeight < NEAR) void fetchNextPage();
    else if (hasPreviousPage && scrollTop < NEAR) void fetchPreviousPage();
  }
  useEffect(askForMore);

  const isEmpty = pages !== undefined && days.length === 0;
  return (
    <View
      role="group"
      aria-label={content.name}
      style={[styles.all, { backgroundColor: palette.sheet, borderColor: palette.hairline }]}
      {...{
        onContextMenu: (event: React.MouseEvent<HTMLElement>) => {
          const id = (event.target as HTMLElement).closest<HTMLElement>('[data-occ]')?.dataset[
            'occ'
          ];
          const o = pages?.flatMap((page) => page.occurrences).find((one) => one.id === id);
          if (!o) return;
          event.preventDefault();
          hands.onMenu(o);
        },
      }}
    >
      {isEmpty ? (
        <View style={styles.empty}>
          <Text style={{ color: palette.dim }}>
            No events on the shown calendars in the next three years.
          </Text>
        </View>
      ) : (
        <div
          key={fromDay}
          ref={scroller}
          className={isWide ? 'agenda agenda-wide' : 'agenda'}
          onScroll={() => {
            noteScroll();
            askForMore();
          }}
        >
          {days.map((agendaDay, i) => (
            <DayOfAgenda
              key={agendaDay.day}
              agendaDay={agendaDay}
              gap={sayGap(agendaDay.day, days[i - 1])}
              today={today}
              setting={setting}
              zone={preferences.clock}
              selectedId={selectedId !== null && has(agendaDay, selectedId) ? selectedId : null}
              workplace={workdayOf(agendaDay.day, workweek).workplace}
              onWorkday={hands.onWorkday}
              facts={factsOn(agendaDay.day)}
              tasks={dueOn.get(agendaDay.day) ?? NO_TASKS}
            />
          ))}
          <div style={{ height: look.covered }} />
        </div>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { flex: 1, minHeight: 0, borderTopWidth: 1 },
  empty: { padding: 24, alignItems: 'center' },
  gap: { paddingHorizontal: 14, paddingVertical: 5 },
});

import type { Occurrence } from '@/core/agenda/occurrence';
import { dateAsEvent } from '@/core/editing/series/dates';
import { movedTimes, stretchedTimes } from '@/core/editing/times';
import type { Span } from '@/core/layout/drag';
import type { CalendarEvent } from '@/core/model/event';
import { nextWorkday } from '@/core/model/workweek';
import { DAY, dayOfWall } from '@/core/time/civil';
import { instantFromWall } from '@/core/time/zones';
import { useDo } from '@/data/commands';
import { useEngine } from '@/data/engineContext';
import { useMessages } from '@/data/messages';
import type { Preferences } from '@/data/preferences';
import { useShowAt } from '@/data/showAt';
import type { Panel } from './planState';

/** Moving, stretching, removing and changing what stands on the sheet; dates of series ask for their scope. */
export function useMoves(
  { clock, settings }: Pick<Preferences, 'clock' | 'settings'>,
  setPanel: (panel: Panel) => void,
) {
  const { engine } = useEngine();
  const act = useDo();
  const showAt = useShowAt();
  const { say } = useMessages();

  async function drop(o: Occurrence, span: Span) {
    showAt(o.id, {
      start: span.start,
      end: span.end,
      startMs: instantFromWall(span.start, clock),
      endMs: instantFromWall(span.end, clock),
    });
    const isMove = span.start !== o.start && span.end - span.start === o.end - o.start;
    const edge = span.start !== o.start ? 'start' : 'end';
    if (o.dateKey === null) {
      const done = await act({
        kind: 'moveEvent',
        id: o.eventId,
        span,
        edge: isMove ? null : edge,
        zone: clock,
      });
      if (!done) showAt(o.id, o);
      return;
    }
    const event = await engine?.queries.event(o.eventId);
    if (!event) return;
    const before = dateAsEvent(event, o.dateKey);
    const times = isMove
      ? movedTimes(before, span.start, clock)
      : stretchedTimes(before, edge, span[edge], clock);
    const edit = { before, after: { ...before, ...times } };
    const words = isMove
      ? ({ verb: 'Move', done: 'Moved' } as const)
      : ({ verb: 'Stretch', done: 'Stretched' } as const);
    setPanel({ kind: 'scope', ask: { occurrence: o, event, dateKey: o.dateKey, edit, ...words } });
  }

  /** Asks which dates of a series an action of its menu reaches. */
  async function ask(
    o: Occurrence,
    verb: 'Remove' | 'Change',
    known?: CalendarEvent,
    fields: Partial<CalendarEvent> = {},
  ) {
    const event = known ?? (await engine?.queries.event(o.eventId));
    if (!event || o.dateKey === null) return;
    const before = dateAsEvent(event, o.dateKey);
    const edit = verb === 'Change' ? { before, after: { ...before, ...fields } } : null;
    const done = verb === 'Change' ? 'Changed' : 'Removed';
    setPanel({
      kind: 'scope',
      ask: { occurrence: o, event, dateKey: o.dateKey, edit, verb, done },
    });
  }

  async function toNextWorkday(o: Occurrence) {
    const day = dayOfWall(o.start);
    const shift = (nextWorkday(day, settings.workweek) - day) * DAY;
    await drop(o, { start: o.start + shift, end: o.end + shift, wholeDay: o.wholeDay });
  }

  /** Removes an event; of a series, asks which of its dates. */
  async function remove(occurrenceId: string) {
    const found = await engine?.queries.whereabouts(occurrenceId, clock);
    if (!found) return;
    const { occurrence: o } = found;
    const calendar = (await engine!.queries.calendars()).find(({ id }) => id === o.calendarId);
    const event = await engine!.queries.event(o.eventId);
    if (calendar?.kind === 'followed')
      say(`${calendar.name} is a followed calendar: it can be looked at, not changed.`);
    else if (o.dateKey !== null) await ask(o, 'Remove');
    else if (event) await act({ kind: 'removeEvents', ids: [event.id] });
  }

  return { drop, ask, remove, toNextWorkday, putBack: (o: Occurrence) => showAt(o.id, o) };
}

import { useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import { byStart } from '@/core/agenda/occurrence';
import { revised } from '@/core/editing/edits';
import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import type { Settings } from '@/core/model/others';
import { count } from '@/core/time/words';
import type { Edit } from '@/engine/change';
import { useEngine } from './engineContext';
import { useMessages } from './messages';
import { OCCURRENCES } from './queries';
import { inTurn } from './turns';

type Found = { occurrences: Occurrence[]; cut: string[] };

export const titleOf = (event: { title: string }) => event.title.trim() || 'Untitled';
const quoted = (event: { title: string }) => `“${titleOf(event)}”`;

/** Everything that a person can do to records. Each is one change, answered by a message with Undo. */
export function useActions() {
  const { engine } = useEngine();
  const { say, complain } = useMessages();
  const client = useQueryClient();
  return useMemo(() => {
    async function commit(label: string, edits: Edit[]): Promise<boolean> {
      if (!engine) {
        complain('Your calendars are still being opened. Try again in a moment.');
        return false;
      }
      try {
        await engine.commit({ label, at: Date.now(), edits });
        say(label, 'undo');
        return true;
      } catch (error) {
        complain(`That could not be kept: ${(error as Error).message}.`);
        return false;
      }
    }

    const change = (label: string, edits: Edit[]) => inTurn(() => commit(label, edits));

    /** Edits an event as it is by then; `edit` gives what it becomes. */
    const editById = (id: string, verb: string, edit: (event: CalendarEvent) => CalendarEvent) =>
      inTurn(async () => {
        const before = await engine?.event(id);
        if (!before) return false;
        const after = revised(edit(before), {}, Date.now());
        return commit(`${verb} ${quoted(after)}`, [{ type: 'event', before, after }]);
      });

    const step = (direction: 'undo' | 'redo') => inTurn(() => stepNow(direction));

    async function stepNow(direction: 'undo' | 'redo'): Promise<void> {
      if (!engine) return;
      try {
        const label = await engine.step(direction);
        if (label === null) say(direction === 'undo' ? 'Nothing to undo.' : 'Nothing to redo.');
        else if (direction === 'undo') say(`Undone: ${label}`, 'redo');
        else say(`Done again: ${label}`, 'undo');
      } catch (error) {
        complain(`That did not work: ${(error as Error).message}`);
      }
    }

    /** Shows an occurrence at its new place at once; the engine's answer follows. */
    function showAt(
      id: string,
      times: Pick<Occurrence, 'start' | 'end' | 'startMs' | 'endMs'>,
    ): void {
      client.setQueriesData<Found>(
        { queryKey: [OCCURRENCES] },
        (found) =>
          found && {
            ...found,
            occurrences: found.occurrences
              .map((o) => (o.id === id ? { ...o, ...times } : o))
              .sort(byStart),
          },
      );
    }

    return {
      change,
      step,
      showAt,
      editById,
      add: (event: CalendarEvent) =>
        change(`Added ${quoted(event)}`, [{ type: 'event', before: null, after: event }]),
      edit: (before: CalendarEvent, after: CalendarEvent, verb = 'Changed') =>
        change(`${verb} ${quoted(after)}`, [
          { type: 'event', before, after: revised(after, {}, Date.now()) },
        ]),
      copy: (event: CalendarEvent, copies: CalendarEvent[]) =>
        change(
          `Copied ${quoted(event)} to ${count(copies.length, 'day')}`,
          copies.map((copy): Edit => ({ type: 'event', before: null, after: copy })),
        ),
      remove: (event: CalendarEvent) =>
        change(`Removed ${quoted(event)}`, [
          {
            type: 'event',
            before: event,
            after: revised(event, { removedAt: Date.now() }, Date.now()),
          },
        ]),
      bringBack: (events: readonly CalendarEvent[]) =>
        change(
          events.length === 1
            ? `Brought back ${quoted(events[0]!)}`
            : `Brought back ${count(events.length, 'event')}`,
          events.map((event): Edit => {
            const { removedAt: _removedAt, ...after } = revised(event, {}, Date.now());
            return { type: 'event', before: event, after };
          }),
        ),
      show: (calendar: Calendar, shown: boolean) =>
        change(`${shown ? 'Showed' : 'Hid'} ${calendar.name}`, [
          { type: 'calendar', before: calendar, after: { ...calendar, shown } },
        ]),
      set: (before: Settings, fields: Partial<Settings>, label: string) =>
        change(label, [{ type: 'settings', before, after: { ...before, ...fields } }]),
    };
  }, [engine, say, complain, client]);
}

export type Actions = ReturnType<typeof useActions>;

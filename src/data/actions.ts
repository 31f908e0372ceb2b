import { useQueryClient } from '@tanstack/react-query';
import { nanoid } from 'nanoid';
import { useMemo } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import { byStart } from '@/core/agenda/occurrence';
import { revised, uidOf } from '@/core/model/event';
import type { ChangedDatesFate, DateEdit, EventEdit, Scope } from '@/core/editing/series/edit';
import { editSeries } from '@/core/editing/series/edit';
import { removeDates, restoreChanged, restoreSkipped } from '@/core/editing/series/skips';
import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import { titleOf } from '@/core/model/titleOf';
import type { Lens } from '@/core/model/view';
import type { Category, Settings } from '@/core/model/others';
import { sayMove, sayStart } from '@/core/editing/sayMove';
import { count } from '@/core/time/words';
import type { CalendarWork } from '@/engine/calendarWork';
import type { Edit } from '@/engine/change';
import type { SweepRequest } from '@/engine/sweeper';
import { useEngine } from './engineContext';
import { clockInSight } from './inSight';
import { useMessages } from './messages';
import { usePreferences } from './preferences';
import { askToPersist } from './persistence';
import { OCCURRENCES } from './queries';
import { inTurn } from './turns';

type Found = { occurrences: Occurrence[]; cut: string[] };

const quoted = (event: { title: string }) => `“${titleOf(event)}”`;

/** Which dates an edit reaches, and what becomes of those changed by hand. */
export interface Reach {
  scope: Scope;
  fate: ChangedDatesFate;
}

const SCOPE_WORDS = { this: 'one date', later: 'later dates', every: 'every date' } as const;

/** What an action on a series is called, for example "Moved later dates of “Bench round”". */
const seriesLabel = (verb: string, scope: Scope) => (event: { title: string }) =>
  `${verb} ${SCOPE_WORDS[scope]} of ${quoted(event)}`;

/** The event that a change is about: the one that it makes, or else the only one that it edits. */
function aboutOf(edits: readonly Edit[]): string | undefined {
  const events = edits.flatMap(({ type, before, after }) => {
    const event = type === 'event' ? (after as CalendarEvent | null) : null;
    return event && event.removedAt === undefined ? [{ id: event.id, isMade: !before }] : [];
  });
  const made = events.filter(({ isMade }) => isMade);
  const [one, another] = made.length ? made : events;
  return another ? undefined : one?.id;
}

/** Everything that a person can do to records. Each is one change, answered by a message with Undo. */
export function useActions() {
  const { engine, store } = useEngine();
  const { say, complain, giveWay } = useMessages();
  const client = useQueryClient();
  const { wording, clock } = usePreferences();
  return useMemo(() => {
    const saying = () => ({ wording, clock: clockInSight() ?? clock });

    async function commit(
      label: string,
      edits: Edit[],
      { isQuiet = false, about = aboutOf(edits) }: { isQuiet?: boolean; about?: string } = {},
    ): Promise<boolean> {
      if (!engine) {
        complain('Your calendars are still being opened. Try again in a moment.');
        return false;
      }
      try {
        const isKept = await engine.commit({ label, at: Date.now(), edits });
        if (!isQuiet || !isKept)
          say(isKept ? label : `${label}. It is on this page only.`, { offers: ['undo'], about });
        if (isKept && store === 'own') void askToPersist();
        return true;
      } catch (error) {
        const { message } = error as Error;
        complain(`That could not be kept: ${message.replace(/\.?$/, '.')}`);
        return false;
      }
    }

    const calendarName = async (id: string) =>
      (await engine?.calendars())?.find((calendar) => calendar.id === id)?.name ?? 'a calendar';

    const change = (label: string, edits: Edit[]) => inTurn(() => commit(label, edits));

    /** Edits an event as it is by then; `edit` gives what it becomes. */
    const editById = (id: string, verb: string, edit: (event: CalendarEvent) => CalendarEvent) =>
      inTurn(async () => {
        const before = await engine?.event(id);
        if (!before) return false;
        const after = revised(edit(before), {}, Date.now());
        return commit(`${verb} ${quoted(after)}${sayMove(before, after, saying())}`, [
          { type: 'event', before, after },
        ]);
      });

    /** Does something to a series as it stands by then; `edit` gives what is to be kept. */
    const editSeriesById = (
      id: string,
      label: (event: CalendarEvent) => string,
      edit: (event: CalendarEvent) => EventEdit[],
      about?: string,
    ) =>
      inTurn(async () => {
        const before = await engine?.event(id);
        if (!before) return false;
        try {
          const edits = edit(before).map((one): Edit => ({ type: 'event', ...one }));
          return await commit(label(before), edits, about === undefined ? {} : { about });
        } catch (error) {
          if (!(error instanceof RangeError)) throw error;
          complain(error.message);
          return false;
        }
      });

    /** One step through the history; where its list is open, that shows it and no message needs to. */
    const step = (direction: 'undo' | 'redo', { isSaid = true } = {}) =>
      inTurn(() => stepNow(direction, isSaid));

    /** Several steps at once, back or on to a point. */
    const steps = (direction: 'undo' | 'redo', times: number) =>
      inTurn(async () => {
        for (let done = 0; done < times; done++) if (!(await stepNow(direction, false))) return;
      });

    /** Whether a step was taken. */
    async function stepNow(direction: 'undo' | 'redo', isSaid: boolean): Promise<boolean> {
      if (!engine) return false;
      try {
        const label = await engine.step(direction);
        if (label === null) say(direction === 'undo' ? 'Nothing to undo.' : 'Nothing to redo.');
        else if (!isSaid) giveWay();
        else if (direction === 'undo') say(`Undone: ${label}`, { offers: ['redo'] });
        else say(`Done again: ${label}`, { offers: ['undo'] });
        return label !== null;
      } catch (error) {
        const { name, message } = error as Error;
        complain(name === 'HistoryError' ? message : `That did not work: ${message}`);
        return false;
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
      steps,
      showAt,
      editById,
      editSeriesById,
      /** Edits a series through one of its dates. */
      editDates: (id: string, key: string, edit: DateEdit, reach: Reach, verb: string) => {
        const newId = nanoid(12);
        const names = { id: newId, uid: uidOf(newId) };
        return editSeriesById(
          id,
          (event) =>
            `${seriesLabel(verb, reach.scope)(event)}${sayMove(edit.before, edit.after, saying())}`,
          (event) => editSeries(event, key, edit, { ...reach, names, now: Date.now() }),
          reach.scope === 'this' ? `${id}@${key}` : undefined,
        );
      },
      /** Skips or removes dates of a series. */
      removeDates: (id: string, key: string, scope: Scope) =>
        editSeriesById(
          id,
          (event) =>
            scope === 'this'
              ? `Skipped one date of ${quoted(event)}`
              : seriesLabel('Removed', scope)(event),
          (event) => [{ before: event, after: removeDates(event, key, scope, Date.now()) }],
        ),
      restoreDate: (id: string, key: string, isSkipped: boolean) =>
        editSeriesById(
          id,
          (event) => `Restored one date of ${quoted(event)}`,
          (event) => [
            {
              before: event,
              after: (isSkipped ? restoreSkipped : restoreChanged)(event, key, Date.now()),
            },
          ],
        ),
      sweep: (request: SweepRequest) =>
        inTurn(async () => {
          try {
            const label = await engine?.keepSweep(request, Date.now());
            if (label) say(label, { offers: ['undo'] });
            return Boolean(label);
          } catch (error) {
            complain(`That could not be kept: ${(error as Error).message}.`);
            return false;
          }
        }),
      add: (event: CalendarEvent) =>
        inTurn(async () => {
          const where = await calendarName(event.calendarId);
          const label = `Added ${quoted(event)} to ${where}: ${sayStart(event, saying())}`;
          return commit(label, [{ type: 'event', before: null, after: event }]);
        }),
      edit: (before: CalendarEvent, after: CalendarEvent, verb = 'Changed') =>
        inTurn(async () => {
          const isElsewhere = before.calendarId !== after.calendarId;
          const where = isElsewhere ? `, now on ${await calendarName(after.calendarId)}` : '';
          const label = `${verb} ${quoted(after)}${where}${sayMove(before, after, saying())}`;
          return commit(label, [{ type: 'event', before, after: revised(after, {}, Date.now()) }]);
        }),
      copy: (event: CalendarEvent, copies: CalendarEvent[], label?: string) =>
        change(
          label ?? `Copied ${quoted(event)} to ${count(copies.length, 'day')}`,
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
      /** Brings events back, and the calendars of theirs that are removed. */
      bringBack: (events: readonly CalendarEvent[], removed: readonly Calendar[] = []) =>
        change(
          events.length === 1
            ? `Brought back ${quoted(events[0]!)}`
            : `Brought back ${count(events.length, 'event')}`,
          [
            ...removed
              .filter(({ id }) => events.some(({ calendarId }) => calendarId === id))
              .map((before): Edit => {
                const { removedAt: _gone, ...after } = before;
                return { type: 'calendar', before, after };
              }),
            ...events.map((event): Edit => {
              const { removedAt: _removedAt, ...after } = revised(event, {}, Date.now());
              return { type: 'event', before: event, after };
            }),
          ],
        ),
      /** Edits a calendar; `verb` begins what it is called. */
      editCalendar: (calendar: Calendar, fields: Partial<Calendar>, label: string) =>
        change(label, [{ type: 'calendar', before: calendar, after: { ...calendar, ...fields } }]),
      /** Several calendars at once, and the settings with them. */
      arrange: (
        before: readonly Calendar[],
        after: readonly Calendar[],
        label: string,
        settings?: { before: Settings; fields: Partial<Settings> },
      ) =>
        change(label, [
          ...after.map((one): Edit => ({
            type: 'calendar',
            before: before.find(({ id }) => id === one.id) ?? null,
            after: one,
          })),
          ...(settings
            ? [
                {
                  type: 'settings' as const,
                  before: settings.before,
                  after: { ...settings.before, ...settings.fields },
                },
              ]
            : []),
        ]),
      work: (work: CalendarWork) =>
        inTurn(async () => {
          if (!engine) return false;
          try {
            say(await engine.work(work, Date.now()), { offers: ['undo'] });
            return true;
          } catch (error) {
            complain(`That could not be done: ${(error as Error).message}`);
            return false;
          }
        }),
      /** Takes files off their events, as one change. */
      detach: (files: readonly { id: string; eventId: string }[]) =>
        inTurn(async () => {
          const gone = new Set(files.map(({ id }) => id));
          const ids = [...new Set(files.map(({ eventId }) => eventId))];
          const events = await Promise.all(ids.map((id) => engine?.event(id)));
          const edits = events.flatMap((before): Edit[] => {
            if (!before) return [];
            const attachments = before.attachments.filter(({ id }) => !gone.has(id));
            const after = revised(before, { attachments }, Date.now());
            return [{ type: 'event', before, after }];
          });
          return commit(`Removed ${count(files.length, 'file')}`, edits);
        }),
      setLens: (before: Lens | null, after: Lens | null, label: string) =>
        change(label, [{ type: 'lens', before, after }]),
      /** Lenses in another order. */
      arrangeLenses: (before: readonly Lens[], after: readonly Lens[]) =>
        change(
          'Moved a lens',
          after.map((lens): Edit => ({
            type: 'lens',
            before: before.find(({ id }) => id === lens.id) ?? null,
            after: lens,
          })),
        ),
      setCategory: (before: Category | null, after: Category, label: string) =>
        change(label, [{ type: 'category', before, after }]),
      show: (calendar: Calendar, shown: boolean) =>
        change(`${shown ? 'Showed' : 'Hid'} ${calendar.name}`, [
          { type: 'calendar', before: calendar, after: { ...calendar, shown } },
        ]),
      markClosures: (calendar: Calendar, isClosures: boolean) =>
        change(
          isClosures
            ? `Marked ${calendar.name} as closures`
            : `${calendar.name} is no closures now`,
          [{ type: 'calendar', before: calendar, after: { ...calendar, isClosures } }],
        ),
      set: (before: Settings, fields: Partial<Settings>, label: string) =>
        change(label, [{ type: 'settings', before, after: { ...before, ...fields } }]),
      /** As `set`, for what is seen to change anyway: no message says so. */
      setQuietly: (before: Settings, fields: Partial<Settings>, label: string) =>
        inTurn(() =>
          commit(label, [{ type: 'settings', before, after: { ...before, ...fields } }], {
            isQuiet: true,
          }),
        ),
    };
  }, [engine, store, say, complain, giveWay, client, wording, clock]);
}

export type Actions = ReturnType<typeof useActions>;

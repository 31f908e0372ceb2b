import fc from 'fast-check';
import { eventOf, LONDON, someEvent, someStep } from '../testing/bulkCases';
import { RefusedEdit } from '../editing/series/fit';
import { dateAsEvent } from '../editing/series/dates';
import type { Scope } from '../editing/series/edit';
import { editSeries } from '../editing/series/edit';
import type { CalendarEvent } from '../model/event';
import { revised, uidOf } from '../model/event';
import { DAY, formatDate, formatLocal, parseLocal } from '../time/civil';
import { applied, readyStep } from './apply';
import { planBulk } from './planBulk';
import type { BulkStep } from '../model/bulkSteps';
import { subjectsOf } from './subjects';

const RUNS = Number(process.env['PROPERTY_RUNS'] ?? 150);
const CALENDARS: Readonly<Record<string, 'own' | 'followed'>> = {
  work: 'own',
  clients: 'own',
  followed: 'followed',
};
const REMINDERS = { defaultReminders: [], defaultWholeDayReminders: [], remindsOf: 'all' as const };

function manner() {
  let nth = 0;
  return {
    viewZone: LONDON,
    fate: 'keep' as const,
    now: 5,
    newId: () => `new${nth++}`,
    calendarOf: (id: string) => ({ ...REMINDERS, kind: CALENDARS[id]!, name: id }),
  };
}

/** The events as they would be if a person edited each date that was selected, one after the other. */
function oneByOne(
  events: readonly CalendarEvent[],
  chosen: readonly { id: string; dateKey: string | null }[],
  steps: readonly BulkStep[],
  scope: Scope,
): Map<string, CalendarEvent> {
  const stored = new Map(events.map((event) => [event.id, event]));
  const { newId, calendarOf } = manner();
  const done = new Set<string>();
  const ordered = subjectsOf(
    chosen.map(({ id, dateKey }) => ({ id: `${id}@${dateKey}`, event: stored.get(id)!, dateKey })),
    () => scope,
  );
  for (const { event, key, scope: reach } of ordered) {
    if (CALENDARS[event.calendarId] === 'followed') continue;
    if (reach !== 'this' && done.has(event.id)) continue;
    done.add(event.id);
    const current = stored.get(event.id)!;
    const before = dateAsEvent(current, key);
    const context = { viewZone: LONDON, nth: 0, calendar: calendarOf(event.calendarId) };
    const { after } = applied(before, steps.map(readyStep), context);
    if (JSON.stringify(after) === JSON.stringify(before)) continue;
    if (key === null) {
      stored.set(event.id, revised({ ...current, ...after }, {}, 5));
      continue;
    }
    const id = newId();
    try {
      const plan = { scope: reach, fate: 'keep' as const, names: { id, uid: uidOf(id) }, now: 5 };
      for (const edit of editSeries(current, key, { before, after }, plan))
        stored.set(edit.after.id, edit.after);
    } catch (error) {
      if (!(error instanceof RefusedEdit)) throw error;
    }
  }
  return stored;
}

test('many edits are what the same edits are one by one, each event from how it was', () => {
  fc.assert(
    fc.property(
      fc.array(someEvent, { minLength: 1, maxLength: 5 }),
      fc.array(someStep, { minLength: 1, maxLength: 3 }),
      fc.constantFrom<Scope>('this', 'later', 'every'),
      fc.array(fc.nat({ max: 3 }), { minLength: 1, maxLength: 6 }),
      (drafts, steps, scope, picks) => {
        const events = drafts.map(eventOf);
        const every = events.flatMap((event): { id: string; dateKey: string | null }[] => {
          if (event.rule === undefined) return [{ id: event.id, dateKey: null }];
          const first =
            event.start.kind === 'date'
              ? parseLocal(`${event.start.date}T00:00:00`)
              : parseLocal((event.start as { local: string }).local);
          const step = event.rule.includes('DAILY') ? DAY : 7 * DAY;
          const name = (wall: number) =>
            event.start.kind === 'date' ? formatDate(wall / DAY) : formatLocal(wall);
          return picks
            .filter((nth, i) => picks.indexOf(nth) === i)
            .map((nth) => ({ id: event.id, dateKey: name(first + nth * step) }));
        });
        const byId = new Map(events.map((event) => [event.id, event]));
        const subjects = subjectsOf(
          every.map(({ id, dateKey }) => ({
            id: `${id}@${dateKey}`,
            event: byId.get(id)!,
            dateKey,
          })),
          () => scope,
        );
        const plan = planBulk(subjects, steps, new Set(), manner());
        for (const { before, after } of plan.edits)
          expect(before).toEqual(byId.get(after.id) ?? null);
        const result = new Map([
          ...byId,
          ...plan.edits.map(({ after }) => [after.id, after] as const),
        ]);
        // Names of new events are given in another order where some are not needed.
        const shape = (all: Map<string, CalendarEvent>) =>
          [...all.values()]
            .map(({ id, uid: _uid, ...rest }) =>
              JSON.stringify(byId.has(id) ? { id, ...rest } : rest, keysInOrder),
            )
            .sort();
        expect(shape(result)).toEqual(shape(oneByOne(events, every, steps, scope)));
      },
    ),
    { numRuns: RUNS },
  );
});

/** Objects with their keys in order, absent ones left out. */
function keysInOrder(_key: string, value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  return Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)));
}

import fc from 'fast-check';
import { readStored, splitKey } from '@/core/model/records';
import type { CalendarEvent } from '@/core/model/event';
import { newEvent } from '@/core/model/event';
import type { Engine } from './engine';
import { zoned } from './testing/opened';
import { Windows } from './testing/windows';

const RUNS = Number(process.env['PROPERTY_RUNS'] ?? 60);
const IDS = ['bell', 'lamp', 'keel', 'buoy', 'rope', 'mast'];
const FIELDS = ['title', 'place', 'notes'] as const;

/** What somebody does in one of three windows. */
type Act =
  | { window: number; does: 'add' | 'remove'; id: string }
  | { window: number; does: 'write'; id: string; field: (typeof FIELDS)[number] }
  | { window: number; does: 'undo' | 'redo' };

const window = fc.nat(2);
const id = fc.constantFrom(...IDS);
const act: fc.Arbitrary<Act> = fc.oneof(
  fc.record({ window, does: fc.constantFrom('add', 'remove'), id }),
  fc.record({ window, does: fc.constant('write'), id, field: fc.constantFrom(...FIELDS) }),
  fc.record({ window, does: fc.constantFrom('undo', 'redo') }),
);

/**
 * Does it as a page would: from what that window shows now, and without waiting for the others. An
 * id is given once only, as chance does it: what was `given` before is not added again.
 */
async function perform(
  engine: Engine,
  done: Act,
  nth: number,
  given = new Set<string>(),
): Promise<unknown> {
  if (!('id' in done)) return engine.commands.step(done.does);
  const before = engine.queries.event(done.id);
  const request = (after: CalendarEvent | null) =>
    engine.commands.keep({ label: `${nth}`, at: nth, edits: [{ type: 'event', before, after }] });
  switch (done.does) {
    case 'add': {
      const times = { start: zoned('2026-11-24T09:00:00'), end: zoned('2026-11-24T10:00:00') };
      if (given.has(done.id)) return undefined;
      given.add(done.id);
      return request(newEvent({ id: done.id, calendarId: 'first', ...times }, nth));
    }
    case 'remove':
      return before && request(null);
    case 'write':
      return before && request({ ...before, [done.field]: `${done.field} ${nth}` });
  }
}

const shown = (engine: Engine) =>
  Object.fromEntries(
    IDS.flatMap((one) => (engine.queries.event(one) ? [[one, engine.queries.event(one)]] : [])),
  );

function stored(texts: ReadonlyMap<string, string>) {
  return Object.fromEntries(
    [...texts].flatMap(([key, text]) => {
      const name = splitKey(key);
      return name?.type === 'event' ? [[name.id, readStored('event', name.id, text)]] : [];
    }),
  );
}

test('three windows that work at once show the same in the end, and it is what is stored', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.array(act, { maxLength: 5 }), { maxLength: 8 }),
      async (rounds) => {
        const windows = new Windows();
        for (let i = 0; i < 3; i++) await windows.open();
        const given = new Set<string>();
        let nth = 1;
        for (const round of rounds) {
          await Promise.all(
            round.map((done) => perform(windows.engines[done.window]!, done, nth++, given)),
          );
        }
        await windows.settled();
        const expected = stored(windows.store.texts);
        for (const engine of windows.engines) {
          expect(shown(engine)).toEqual(expected);
          expect(engine.status()).toMatchObject({ unsaved: null, readOnly: null, setAside: 0 });
        }
        const [first, ...others] = windows.engines.map((engine) => engine.status().undo);
        for (const undo of others) expect(undo).toBe(first);
      },
    ),
    { numRuns: RUNS },
  );
});

test('edits of different fields in three windows at once all hold, in any order', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.shuffledSubarray([0, 1, 2], { minLength: 3 }),
      fc.constantFrom(...IDS),
      async (order, one) => {
        const windows = new Windows();
        for (let i = 0; i < 3; i++) await windows.open();
        await perform(windows.engines[0]!, { window: 0, does: 'add', id: one }, 1);
        await windows.settled();
        await Promise.all(
          order.map((at) =>
            perform(
              windows.engines[at]!,
              { window: at, does: 'write', id: one, field: FIELDS[at]! },
              10 + at,
            ),
          ),
        );
        await windows.settled();
        for (const engine of windows.engines)
          expect(engine.queries.event(one)).toMatchObject({
            title: 'title 10',
            place: 'place 11',
            notes: 'notes 12',
          });
      },
    ),
    { numRuns: 10 },
  );
});

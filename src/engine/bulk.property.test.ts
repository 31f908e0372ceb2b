import { UserError } from '@/core/userError';
import fc from 'fast-check';
import type { BulkDeed } from '@/core/bulk/deeds';
import type { Scope } from '@/core/editing/series/edit';
import type { BulkStep } from '@/core/model/bulkSteps';
import { EVERYTHING } from '@/core/query/eventQuery';
import { eventOf, LONDON, someEvent, someStep } from '@/core/testing/bulkCases';
import { parseDate } from '@/core/time/civil';
import type { Command } from './commands/command';
import type { Engine } from './engine';
import { calendar, done, opened } from './testing/opened';

const RUNS = Number(process.env['PROPERTY_RUNS'] ?? 40);
const WINDOW = {
  fromDay: parseDate('2027-03-01'),
  toDay: parseDate('2027-05-01'),
  zone: LONDON,
};

const someDeed = fc.constantFrom<BulkDeed>(
  { kind: 'remove' },
  { kind: 'skip' },
  { kind: 'copy', days: 3, calendarId: 'clients' },
  { kind: 'join' },
  { kind: 'makeSeries' },
  { kind: 'makeSingles' },
);

/** Every event that there is, and everything that it comes to. */
function everything(engine: Engine) {
  const ids = engine.finding.matching(EVERYTHING, null, LONDON).sort();
  return {
    events: ids.map((id) => engine.queries.event(id)),
    dates: engine.queries.occurrences(WINDOW, EVERYTHING).occurrences,
  };
}

type Wanted = { steps: BulkStep[] } | { deed: BulkDeed };

/** What is wanted of some dates and events; null where it can't be done to these. */
async function doTo(engine: Engine, picks: readonly number[], wanted: Wanted, scope: Scope) {
  const dates = engine.finding.matching(EVERYTHING, WINDOW, LONDON);
  const ids = picks.map((nth) => dates[nth % dates.length]!);
  const targets = { ids, scope, scopes: {}, fate: 'keep' as const, leftOut: [], zone: LONDON };
  const command: Command =
    'deed' in wanted
      ? { kind: 'doToMany', request: { ...targets, ...wanted } }
      : { kind: 'changeMany', request: { ...targets, ...wanted } };
  try {
    return await done(engine, command);
  } catch (error) {
    if (!(error instanceof UserError)) throw error;
    return null;
  }
}

test('any edit of many that is undone leaves everything as it was, and done again as it became', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(someEvent, { minLength: 1, maxLength: 5 }),
      fc.oneof(
        fc.record({ steps: fc.array(someStep, { minLength: 1, maxLength: 3 }) }),
        fc.record({ deed: someDeed }),
      ),
      fc.constantFrom<Scope>('this', 'later', 'every'),
      fc.array(fc.nat({ max: 30 }), { minLength: 1, maxLength: 8 }),
      async (drafts, wanted, scope, picks) => {
        const engine = await opened([
          calendar('work'),
          calendar('clients'),
          calendar('followed', { kind: 'followed' }),
          ...drafts.map((draft, i) => ({ type: 'event' as const, record: eventOf(draft, i) })),
        ]);
        const before = everything(engine);
        if ((await doTo(engine, picks, wanted, scope)) === null) {
          expect(everything(engine)).toEqual(before);
          return;
        }
        const after = everything(engine);
        await engine.commands.step('undo');
        expect(everything(engine)).toEqual(before);
        await engine.commands.step('redo');
        expect(everything(engine)).toEqual(after);
      },
    ),
    { numRuns: RUNS },
  );
});

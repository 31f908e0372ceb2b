import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { demoSeed } from '../demo/scenario';
import type { CalendarEvent } from '../src/core/model/event';
import { isSeries } from '../src/core/model/event';
import type { TypedRecord } from '../src/core/model/records';
import { DEFAULT_VIEW } from '../src/core/model/view';
import { parseDate } from '../src/core/time/civil';
import { Engine } from '../src/engine/engine';
import { MemoryStore } from '../src/engine/testing/memoryStore';
import { outside } from '../src/engine/testing/outside';

/**
 * Writes down how this version stores records, changes and backups, for the tests of later versions:
 *
 *   npm run shape -- 2027-01-31-reminders
 */

const DAY = '2026-11-24';
const NOW = Date.parse(`${DAY}T10:25:00Z`);
const FEW = 3;

/** A few records of each kind: of events some single ones, some series, and one with a changed date. */
function aFew(seed: readonly TypedRecord[]): TypedRecord[] {
  const taken = new Map<string, number>();
  const sortOf = ({ type, record }: TypedRecord) => {
    if (type !== 'event') return { sort: type, most: type === 'settings' ? 1 : FEW };
    const event = record as CalendarEvent;
    const isChanged = Object.keys(event.changedDates).length > 0;
    if (isChanged) return { sort: 'changed', most: 1 };
    return isSeries(event) ? { sort: 'series', most: FEW - 1 } : { sort: 'single', most: FEW };
  };
  return seed.filter((one) => {
    const { sort, most } = sortOf(one);
    taken.set(sort, (taken.get(sort) ?? 0) + 1);
    return taken.get(sort)! <= most;
  });
}

async function main(name: string): Promise<void> {
  const store = new MemoryStore();
  const engine = new Engine(
    store,
    { name: 'old', alone: (work) => work(), announce: () => undefined },
    outside(),
  );
  const seed = aFew(demoSeed({ now: NOW, today: parseDate(DAY) }));
  await new Promise<void>((resolve) => {
    void engine.open(
      () => seed,
      ({ ready }) => ready && resolve(),
    );
  });
  const [first, second] = seed.filter(({ type }) => type === 'event');
  const rename = (label: string, title: string, of: TypedRecord) => {
    const before = of.record as CalendarEvent;
    const edits = [{ type: 'event' as const, before, after: { ...before, title } }];
    return engine.commands.keep({ label, at: NOW, edits });
  };
  await rename('Renamed the first', 'Renamed once', first!);
  await rename('Renamed the second', 'Renamed twice', second!);
  const [before] = engine.queries.calendars();
  await engine.commands.keep({
    label: 'Hid a calendar',
    at: NOW,
    edits: [{ type: 'calendar', before: before!, after: { ...before!, shown: false } }],
  });
  const lens = {
    id: 'early',
    name: 'Early',
    icon: 'star',
    order: 0,
    view: DEFAULT_VIEW,
    day: null,
  };
  await engine.commands.keep({
    label: 'Made a lens',
    at: NOW,
    edits: [{ type: 'lens', before: null, after: lens }],
  });
  await engine.commands.step('undo');
  const { file } = await engine.files.backup(NOW);
  const shape = { store: Object.fromEntries(store.texts), backup: await file.text() };
  const folder = path.join(__dirname, '../src/engine/testing/shapes');
  writeFileSync(path.join(folder, `${name}.json`), `${JSON.stringify(shape, null, 1)}\n`);
}

void main(process.argv[2]!);

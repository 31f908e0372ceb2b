import type { CalendarEvent } from '@/core/model/event';
import { EVERYTHING } from '@/core/query/eventQuery';
import type { Engine } from './engine';
import { FailingFiles, FailingStore, Fault } from './testing/failingStore';
import { calendar, event, fileOf, NOW, opened } from './testing/opened';
import { outside } from './testing/outside';

/**
 * Each operation of the storage fails once, in each of the main walks. Whatever a person was told to
 * be kept is there afterwards; of the rest they were told.
 */

const SEED = [
  calendar('work'),
  calendar('quay', {
    kind: 'followed',
    feed: { address: 'http://quay.example/shut.ics', everyMinutes: 60, news: [] },
  }),
  event('crate'),
];
const ICS = [
  'BEGIN:VCALENDAR',
  ...['a', 'b', 'c'].flatMap((uid) => [
    'BEGIN:VEVENT',
    `UID:${uid}`,
    `SUMMARY:Lamp ${uid}`,
    'DTSTART;VALUE=DATE:20261224',
    'END:VEVENT',
  ]),
  'END:VCALENDAR',
  '',
].join('\r\n');

interface Window {
  fault: Fault;
  store: FailingStore;
  files: FailingFiles;
  engine: Engine;
}

const openOn = ({ store, files }: Omit<Window, 'engine'>) =>
  opened(SEED, {
    store,
    around: {
      ...outside(),
      files,
      askFeed: () => Promise.resolve({ isSame: false, bytes: new TextEncoder().encode(ICS) }),
    },
  });

async function open(): Promise<Window> {
  const fault = new Fault();
  const parts = { fault, store: new FailingStore(fault), files: new FailingFiles(fault) };
  return { ...parts, engine: await openOn(parts) };
}

/** A step of a walk: what the person does. False when it holds on the page alone. */
type Step = (engine: Engine) => Promise<unknown>;

const commit = (engine: Engine, label: string, before: CalendarEvent | null, after: object) =>
  engine.commands.keep({
    label,
    at: NOW,
    edits: [{ type: 'event', before, after: after as CalendarEvent }],
  });
const add =
  (id: string): Step =>
  (engine) =>
    commit(engine, `Added ${id}`, null, event(id).record);
const rename =
  (id: string, title: string): Step =>
  (engine) => {
    const before = engine.queries.event(id);
    if (!before) throw new Error('It is not there.');
    return commit(engine, 'Renamed', before, { ...before, title });
  };
const undo: Step = (engine) => engine.commands.step('undo');
const bringIn: Step = async (engine) => {
  await engine.files.previewImport([fileOf(ICS, 'lamps.ics')], NOW, () => undefined);
  await engine.files.applyImport({ calendarId: 'work' }, NOW);
};
const attach: Step = async (engine) => {
  const file = await engine.files.keepFile(fileOf('nine lamps', 'list.txt'), NOW);
  const before = engine.queries.event('crate')!;
  return commit(engine, 'Attached', before, { ...before, attachments: [file] });
};
const refresh: Step = (engine) => engine.feeds.refresh('quay', NOW);
/** Everything as it was at the beginning, which a backup holds. */
const restore: Step = async (engine) => {
  const { file } = await engine.files.backup(NOW);
  await commit(engine, 'Added late', null, event('late').record);
  await engine.files.previewRestore(file);
  await engine.files.restore(NOW);
};
const clear: Step = (engine) => engine.commands.clearRemoved(NOW);
const remove: Step = (engine) => {
  const before = engine.queries.event('crate')!;
  return commit(engine, 'Removed', before, { ...before, removedAt: NOW });
};

const WALKS: Record<string, Step[]> = {
  'adding, editing and taking back': [add('visit'), rename('visit', 'Long visit'), undo, undo],
  'bringing a file in and taking it back': [bringIn, undo],
  'attaching a file': [attach, rename('crate', 'Crates')],
  'refreshing a feed': [refresh, rename('crate', 'Crates'), refresh],
  'restoring a backup': [add('visit'), restore, undo],
  'removing and clearing for good': [remove, clear, add('visit')],
};

/** What a person sees: titles with their calendars and files, removed ones too. */
function seen(engine: Engine): string[] {
  const events = [...engine.queries.findEvents(EVERYTHING, 99), ...engine.queries.removed()];
  return events
    .map((e) => `${e.title} in ${e.calendarId}, ${e.attachments.length}, ${e.removedAt ?? ''}`)
    .sort();
}

/** What becomes of a walk: the steps that were refused, with the reason that the person was told. */
async function walk({ engine }: Window, steps: readonly Step[]): Promise<Map<number, string>> {
  const refused = new Map<number, string>();
  for (const [i, step] of steps.entries()) {
    try {
      await step(engine);
    } catch (error) {
      refused.set(i, (error as Error).message);
    }
  }
  return refused;
}

test.each(Object.entries(WALKS))(
  '%s: nothing is lost by a fault at any point',
  async (_name, steps) => {
    const whole = await open();
    const begun = whole.fault.asked;
    await walk(whole, steps);
    const operations = whole.fault.asked - begun;
    expect(operations).toBeGreaterThan(3);
    for (let n = 1; n <= operations; n++) {
      const window = await open();
      const { engine, fault } = window;
      fault.failsAt = fault.asked + n;
      const refused = await walk(window, steps);
      // The person was told: by a refusal, or by the notice that stands until it is kept.
      const feed = engine.queries.calendars().find(({ id }) => id === 'quay')?.feed?.problem;
      const told = refused.size > 0 || engine.status().unsaved !== null || feed !== undefined;
      await engine.retry();
      expect(engine.status()).toMatchObject({ unsaved: null, readOnly: null, setAside: 0 });
      const again = await openOn(window);
      expect({ n, kept: seen(again) }).toEqual({ n, kept: seen(engine) });
      expect(again.queries.attachments()).toEqual(engine.queries.attachments());
      for (const { id } of again.queries.attachments())
        expect(await (await again.files.fileContent(id))?.text()).toBe('nine lamps');
      // What nobody was told of was done, as if nothing had failed.
      if (!told) expect({ n, kept: seen(again) }).toEqual({ n, kept: seen(whole.engine) });
      for (const reason of refused.values())
        expect(reason).toMatch(/disk did not answer|storage failed|not there/);
    }
  },
);

test('a store that fails while it is opened may be read, not changed, until all of it is here', async () => {
  const parts = await open();
  const many = Array.from({ length: 900 }, (_, i) => event(`event-${i}`));
  await parts.store.setMany(
    new Map(
      many.map(({ record }) => {
        const data = record as CalendarEvent;
        return [`event/${data.id}`, JSON.stringify({ version: 1, data })];
      }),
    ),
  );
  const { fault } = parts;
  // Keys, the seed's look, what was done, and three batches.
  for (let n = 1; n <= 8; n++) {
    fault.failsAt = fault.asked + n;
    const engine = await openOn(parts);
    const { readOnly, unsaved } = engine.status();
    if (engine.queries.findEvents(EVERYTHING, 2000).length < 901 && !unsaved) {
      expect(readOnly).toMatchObject({ kind: 'incomplete' });
      await expect(add('visit')(engine)).rejects.toThrow(/records are here/);
      await expect(engine.files.backup(NOW)).rejects.toThrow('Not everything could be read yet');
      await expect(engine.commands.clearRemoved(NOW)).rejects.toThrow(/records are here/);
    }
    await engine.retry();
    await new Promise<void>((resolve) => {
      const look = () => (engine.status().ready ? resolve() : setImmediate(look));
      look();
    });
    expect(engine.status()).toMatchObject({ unsaved: null, readOnly: null });
    expect(engine.queries.findEvents(EVERYTHING, 2000)).toHaveLength(901);
  }
});

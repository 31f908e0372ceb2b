import type { TypedRecord } from '@/core/model/records';
import { MINUTE } from '@/core/time/civil';
import { MemoryStore } from './testing/memoryStore';
import { calendar, done, event, NOW, opened, zoned } from './testing/opened';
import { Windows } from './testing/windows';

const LONDON = { clock: 'Europe/London', locale: 'en-GB', hourCycle: '24' } as const;
const SEED: TypedRecord[] = [
  calendar('work'),
  // 10:25 is now.
  event('check', {
    title: 'Lamp check',
    start: zoned('2026-11-24T10:40:00'),
    end: zoned('2026-11-24T11:00:00'),
    link: 'https://quay.example/room',
    reminders: [{ minutes: -10, from: 'start' }],
  }),
  event('round', {
    start: zoned('2026-11-23T10:45:00'),
    end: zoned('2026-11-23T11:00:00'),
    rule: 'FREQ=DAILY',
    reminders: [{ minutes: -5, from: 'start' }],
  }),
];
const later = (minutes: number) => NOW + minutes * MINUTE;
const ids = (shown: readonly { id: string }[]) => shown.map(({ id }) => id);

test('nothing of the past is told at first; what comes due is, once, with its event', async () => {
  const engine = await opened(SEED);
  expect(await engine.reminders.check(later(0), LONDON)).toMatchObject({ shown: [], fresh: [] });
  expect(await engine.reminders.check(later(4), LONDON)).toMatchObject({ shown: [], fresh: [] });
  const { shown, fresh } = await engine.reminders.check(later(5), LONDON);
  expect(fresh).toEqual(['check#start-10']);
  expect(shown).toMatchObject([
    {
      at: later(5),
      isMissed: false,
      link: 'https://quay.example/room',
      occurrence: { title: 'Lamp check', id: 'check' },
    },
  ]);
  const again = await engine.reminders.check(later(6), LONDON);
  expect([ids(again.shown), again.fresh]).toEqual([['check#start-10'], []]);
  await engine.reminders.done(['check#start-10']);
  expect((await engine.reminders.check(later(7), LONDON)).shown).toEqual([]);
});

test('one of several windows tells it, and done in one is done in all', async () => {
  const windows = new Windows();
  const [first, second] = [await windows.open(() => SEED), await windows.open(() => SEED)];
  await Promise.all([first!, second!].map((each) => each.reminders.check(later(0), LONDON)));
  await windows.settled();
  const [a, b] = await Promise.all(
    [first!, second!].map((each) => each.reminders.check(later(5), LONDON)),
  );
  expect([...a!.fresh, ...b!.fresh]).toEqual(['check#start-10']);
  expect([ids(a!.shown), ids(b!.shown)]).toEqual([['check#start-10'], ['check#start-10']]);
  await second!.reminders.done(['check#start-10']);
  await windows.settled();
  expect((await first!.reminders.check(later(6), LONDON)).shown).toEqual([]);
});

test('what came due while no window was open is missed, and lists each once', async () => {
  const store = new MemoryStore();
  const engine = await opened(SEED, { store });
  await engine.reminders.check(later(0), LONDON);
  const after = await opened([], { store });
  const { shown, fresh } = await after.reminders.check(later(24 * 60), LONDON);
  expect(ids(shown)).toEqual(['check#start-10', 'round@2026-11-24T10:45:00#start-5']);
  expect(shown.every(({ isMissed }) => isMissed)).toBe(true);
  expect(fresh).toHaveLength(2);
});

test('what is put off comes back, at once when its time is there', async () => {
  const engine = await opened(SEED);
  await engine.reminders.check(later(0), LONDON);
  await engine.reminders.check(later(5), LONDON);
  await engine.reminders.again('check#start-10', later(15));
  expect((await engine.reminders.check(later(6), LONDON)).shown).toEqual([]);
  const { shown, fresh } = await engine.reminders.check(later(15), LONDON);
  expect(fresh).toEqual(['check#start-10', 'round@2026-11-24T10:45:00#start-5']);
  expect(ids(shown)).toEqual(fresh);
});

test('a reminder goes with its event, comes back with it, and is no change to undo', async () => {
  const engine = await opened(SEED);
  await engine.reminders.check(later(0), LONDON);
  await engine.reminders.check(later(5), LONDON);
  expect(engine.status().undo).toBeNull();
  await done(engine, { kind: 'removeEvents', ids: ['check'] });
  expect((await engine.reminders.check(later(6), LONDON)).shown).toEqual([]);
  await engine.commands.step('undo');
  expect(ids((await engine.reminders.check(later(7), LONDON)).shown)).toEqual(['check#start-10']);
});

test('a store that takes nothing is no reason to stay silent, nor to tell twice', async () => {
  const store = new MemoryStore();
  const engine = await opened(SEED, { store });
  await engine.reminders.check(later(0), LONDON);
  store.setMany = () => Promise.reject(new Error('The disk is full.'));
  expect((await engine.reminders.check(later(5), LONDON)).fresh).toEqual(['check#start-10']);
  const next = await engine.reminders.check(later(6), LONDON);
  expect([ids(next.shown), next.fresh]).toEqual([['check#start-10'], []]);
  await engine.reminders.done(['check#start-10']);
  expect((await engine.reminders.check(later(7), LONDON)).shown).toEqual([]);
});

test('a backup holds no reminders that wait: another browser has told its own', async () => {
  const engine = await opened(SEED);
  await engine.reminders.check(later(0), LONDON);
  const { file } = await engine.files.backup(NOW);
  expect(await file.text()).not.toContain('toldUntil');
});

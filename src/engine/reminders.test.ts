import type { CalendarEvent } from '@/core/model/event';
import type { RemindingSettings } from '@/core/model/others';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import type { TypedRecord } from '@/core/model/records';
import type { Message } from '@/core/reminders/reminding';
import { newTask } from '@/core/model/task';
import { MINUTE } from '@/core/time/civil';
import { MemoryStore } from './testing/memoryStore';
import { calendar, done, event, NOW, opened, zoned } from './testing/opened';
import { outside } from './testing/outside';
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

/** Settings with what is said of reminders. */
const settings = (reminding: Partial<RemindingSettings>): TypedRecord => ({
  type: 'settings',
  record: {
    ...DEFAULT_SETTINGS,
    reminding: { ...DEFAULT_SETTINGS.reminding, ...reminding },
  },
});

/** An outside whose outbox takes messages, or does not answer. */
function outboxed() {
  const box = { sent: [] as Message[], isAway: false };
  const sendMessage = (message: Message) => {
    if (box.isAway) return Promise.reject(new Error('away'));
    box.sent.push(message);
    return Promise.resolve();
  };
  return { box, around: { ...outside(), sendMessage } };
}

const CALL = event('call', {
  title: 'Crate call',
  place: 'Quay 3',
  start: zoned('2026-11-24T11:00:00'),
  end: zoned('2026-11-24T12:00:00'),
  travelBefore: 10,
  reminders: [
    { minutes: -20, from: 'start', how: 'mail' },
    { minutes: -20, from: 'start', how: 'text' },
  ],
});

test('mails and text messages go to the outbox once, when it answers', async () => {
  const { box, around } = outboxed();
  const to = { mail: 'office@quay.example', phone: '+44 1632 960018' };
  const engine = await opened([calendar('work'), settings(to), CALL], { around });
  await engine.reminders.check(later(0), LONDON);
  expect((await engine.reminders.check(later(14), LONDON)).toSend).toBe(0);
  box.isAway = true;
  expect((await engine.reminders.check(later(15), LONDON)).toSend).toBe(2);
  await engine.reminders.send();
  expect(engine.reminders.unsent()).toHaveLength(2);
  box.isAway = false;
  await Promise.all([engine.reminders.send(), engine.reminders.send()]);
  expect(box.sent).toEqual([
    {
      id: 'call#start-20mail',
      how: 'mail',
      to: 'office@quay.example',
      at: later(15),
      subject: 'Crate call, in 20 min',
      text: expect.stringMatching(
        /^Crate call\nTue,? 24 Nov, 11:00 – 12:00\nQuay 3\nleave by 10:50\n$/,
      ),
    },
    {
      id: 'call#start-20text',
      how: 'text',
      to: '+44 1632 960018',
      at: later(15),
      subject: '',
      text: expect.stringMatching(
        /^Crate call, in 20 min: Tue,? 24 Nov, 11:00 – 12:00\. Quay 3\. leave by 10:50$/,
      ),
    },
  ]);
  expect((await engine.reminders.check(later(16), LONDON)).toSend).toBe(0);
});

test('without an address, or once it is over, what would be sent is shown instead', async () => {
  const engine = await opened([calendar('work'), CALL]);
  await engine.reminders.check(later(0), LONDON);
  const { shown, toSend } = await engine.reminders.check(later(15), LONDON);
  expect([ids(shown), toSend]).toEqual([['call#start-20text'], 0]);
  const { box, around } = outboxed();
  const store = new MemoryStore();
  const mail = settings({ mail: 'office@quay.example', phone: '016329600' });
  const before = await opened([calendar('work'), mail, CALL], { around, store });
  await before.reminders.check(later(0), LONDON);
  const after = await opened([], { around, store });
  const late = await after.reminders.check(later(600), LONDON);
  expect(late.shown.map(({ isMissed }) => isMissed)).toEqual([true]);
  await after.reminders.send();
  expect(box.sent).toEqual([]);
});

test('the morning letter is written once a day, from the day after it was asked for', async () => {
  const { box, around } = outboxed();
  const seed = [
    calendar('work'),
    settings({ mail: 'office@quay.example', letterAt: 7 * 60 + 30 }),
    event('call', {
      title: '<b>Crate</b> call',
      start: zoned('2026-11-24T11:00:00'),
      end: zoned('2026-11-24T12:00:00'),
      rule: 'FREQ=DAILY',
      travelBefore: 25,
    }),
    event('visit', {
      title: 'Visit',
      start: zoned('2026-11-25T11:30:00'),
      end: zoned('2026-11-25T12:30:00'),
    }),
  ];
  const engine = await opened(seed, { around });
  const lookAt = async (minutes: number) => {
    await engine.reminders.check(later(minutes), LONDON);
    await engine.reminders.send();
    return box.sent.length;
  };
  // 10:25 is now, and the letter of today would have been written at 7:30.
  expect(await lookAt(0)).toBe(0);
  expect(await lookAt(1)).toBe(0);
  const morning = 21 * 60 + 5;
  expect(await lookAt(morning - 1)).toBe(0);
  expect(await lookAt(morning)).toBe(1);
  expect(await lookAt(morning + 1)).toBe(1);
  const [letter] = box.sent;
  expect(letter!.subject).toMatch(/^Wednesday,? 25 November 2026: 1 h 55 min booked$/);
  expect(letter!.text.split('\n').slice(1)).toEqual([
    '1 h 55 min booked',
    '',
    '2 events',
    '11:00 – 12:00  <b>Crate</b> call, leave by 10:35',
    '11:30 – 12:30  Visit',
    '',
    'At the same time',
    '11:30  <b>Crate</b> call and Visit',
    '',
    'Clear: 6 h 35 min',
    '08:30 – 10:35',
    '12:30 – 17:00',
    '',
  ]);
  expect(letter!.html).toContain('&lt;b&gt;Crate&lt;/b&gt; call');
  expect(letter!.html).not.toContain('<b>');
  // Closed for two days: yesterday’s is not written any more.
  expect(await lookAt(morning + 2 * 24 * 60 + 90)).toBe(2);
  await engine.reminders.writeLetter(later(morning + 2 * 24 * 60 + 95), LONDON);
  expect(await lookAt(morning + 2 * 24 * 60 + 95)).toBe(3);
});

test('while it is quiet reminders wait, but for important ones and the quiet event’s own', async () => {
  const meeting = event('meeting', {
    title: 'Board',
    isQuiet: true,
    start: zoned('2026-11-24T10:25:00'),
    end: zoned('2026-11-24T11:25:00'),
    reminders: [{ minutes: -5, from: 'end' }],
  });
  const high = event('high', {
    title: 'Gale warning',
    importance: 2,
    start: zoned('2026-11-24T10:50:00'),
    end: zoned('2026-11-24T11:00:00'),
    reminders: [{ minutes: -20, from: 'start' }],
  });
  const engine = await opened([...SEED, meeting, high]);
  await engine.reminders.check(later(0), LONDON);
  const during = await engine.reminders.check(later(16), LONDON);
  expect([ids(during.shown), during.held]).toEqual([['high#start-20'], 2]);
  expect(during.quiet).toMatchObject({ why: 'event', title: 'Board', until: later(60) });
  const own = await engine.reminders.check(later(55), LONDON);
  expect(own.fresh).toEqual(['meeting#end-5']);
  const after = await engine.reminders.check(later(60), LONDON);
  expect(after.fresh).toEqual(['check#start-10', 'round@2026-11-24T10:45:00#start-5']);
  expect(after.held).toBe(0);
});

test('it is quiet outside of working hours and until a time where that was asked for', async () => {
  const evening = event('evening', {
    start: zoned('2026-11-24T19:00:00'),
    end: zoned('2026-11-24T20:00:00'),
    reminders: [{ minutes: -10, from: 'start' }],
  });
  const engine = await opened([calendar('work'), settings({ isQuietOutsideWork: true }), evening]);
  await engine.reminders.check(later(0), LONDON);
  // 18:50, when nobody works any more.
  const night = await engine.reminders.check(later(505), LONDON);
  expect([night.held, night.quiet?.why]).toEqual([1, 'work']);
  await engine.reminders.release();
  expect(ids((await engine.reminders.check(later(506), LONDON)).shown)).toEqual([
    'evening#start-10',
  ]);
  const other = await opened([...SEED, settings({ quietUntil: later(30) })]);
  await other.reminders.check(later(0), LONDON);
  expect((await other.reminders.check(later(29), LONDON)).held).toBe(2);
  const back = await other.reminders.check(later(30), LONDON);
  expect([back.held, back.fresh.length]).toEqual([0, 2]);
});

test('events follow their calendar’s reminders until they have their own, or keep what they had', async () => {
  const reminders = [{ minutes: -10, from: 'start' as const }];
  const seed = [
    calendar('work', { defaultReminders: reminders }),
    event('one', { start: zoned('2026-11-24T11:00:00'), end: zoned('2026-11-24T12:00:00') }),
    event('none', {
      start: zoned('2026-11-24T11:00:00'),
      end: zoned('2026-11-24T12:00:00'),
      reminders: [],
    }),
  ];
  const engine = await opened(seed);
  const [work] = engine.queries.calendars();
  expect(engine.queries.followers('work')).toBe(1);
  expect(engine.reminders.next(NOW, LONDON.clock)).toBe(later(25));
  const fields = { ...work!, defaultReminders: [{ minutes: -20, from: 'start' as const }] };
  await done(engine, { kind: 'editCalendar', before: work!, fields });
  expect(engine.reminders.next(NOW, LONDON.clock)).toBe(later(15));
  await engine.commands.step('undo');
  expect(engine.reminders.next(NOW, LONDON.clock)).toBe(later(25));
  const label = await done(engine, {
    kind: 'editCalendar',
    before: work!,
    fields,
    isForNewOnly: true,
  });
  expect(label).toBe('Changed work; 1 event keep their reminders');
  expect(engine.queries.event('one')!.reminders).toEqual(reminders);
  expect(engine.queries.event('none')!.reminders).toEqual([]);
  expect(engine.reminders.next(NOW, LONDON.clock)).toBe(later(25));
  await engine.commands.step('undo');
  expect(engine.queries.event('one')!.reminders).toBeNull();
});

test('an event that is put into the past is not told of, and a clock that is set back tells nothing twice', async () => {
  const engine = await opened(SEED);
  await engine.reminders.check(later(0), LONDON);
  await engine.reminders.check(later(60), LONDON);
  const past = {
    start: zoned('2026-11-24T11:00:00'),
    end: zoned('2026-11-24T11:10:00'),
    reminders: [{ minutes: 0, from: 'start' as const }],
  };
  await done(engine, { kind: 'addEvent', event: event('past', past).record as CalendarEvent });
  expect((await engine.reminders.check(later(61), LONDON)).fresh).toEqual([]);
  const all = (await engine.reminders.check(later(62), LONDON)).shown;
  await engine.reminders.done(ids(all));
  expect((await engine.reminders.check(later(3), LONDON)).shown).toEqual([]);
  expect((await engine.reminders.check(later(20), LONDON)).fresh).toEqual([]);
});

test('nothing is read or written while nothing is due', async () => {
  const store = new MemoryStore();
  const engine = await opened(SEED, { store });
  await engine.reminders.check(later(0), LONDON);
  await engine.reminders.check(later(1), LONDON);
  const { getMany, setMany } = store;
  let touched = 0;
  store.getMany = (keys) => (touched++, getMany.call(store, keys));
  store.setMany = (...args) => (touched++, setMany.apply(store, args));
  await engine.reminders.check(later(2), LONDON);
  await engine.reminders.check(later(4), LONDON);
  expect(touched).toBe(0);
  expect((await engine.reminders.check(later(5), LONDON)).fresh).toHaveLength(1);
  expect(touched).toBeGreaterThan(0);
});

test('a task reminds of itself from when it is due, until it is done', async () => {
  const order: TypedRecord = {
    type: 'task',
    record: newTask(
      {
        id: 'order',
        title: 'Order shellac',
        due: zoned('2026-11-24T10:40:00'),
        rule: 'FREQ=WEEKLY',
        reminders: [{ minutes: -10, from: 'end' }],
      },
      1,
    ),
  };
  const engine = await opened([...SEED.slice(0, 1), order]);
  await engine.reminders.check(later(0), LONDON);
  expect(engine.reminders.next(later(0), LONDON.clock)).toBe(later(5));
  const { shown, fresh } = await engine.reminders.check(later(5), LONDON);
  expect(fresh).toEqual(['order#end-10']);
  expect(shown).toMatchObject([
    { taskId: 'order', occurrence: { title: 'Order shellac', endMs: later(15) } },
  ]);
  await done(engine, { kind: 'tickTasks', ids: ['order'], isDone: true, clock: LONDON.clock });
  expect((await engine.reminders.check(later(6), LONDON)).shown).toEqual([]);
  // The next one of those that repeat is due a week later.
  expect(engine.reminders.next(later(6), LONDON.clock)).toBe(later(5 + 7 * 24 * 60));
});

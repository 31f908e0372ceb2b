import type { Share } from '@/core/model/share';
import { newPerson } from '@/core/model/person';
import { tokenFor } from '@/core/people/shareToken';
import type { SharedChange } from '@/core/people/sharedChange';
import { calendar, done, event, NOW, opened, zoned } from './testing/opened';

const ZONE = 'Europe/London';
const SHARE: Share = {
  id: 's',
  of: { kind: 'calendar', id: 'work' },
  level: 'change',
  personId: 'ida',
  token: tokenFor('k'.repeat(24)),
  key: 'k'.repeat(24),
  expires: null,
  made: NOW,
};
const SEED = [
  calendar('work'),
  calendar('home', { order: 1 }),
  event('visit', { title: 'Pilot visit', place: 'Pier' }),
  event('walk', { calendarId: 'home', title: 'Walk' }),
  event('dentist', { title: 'Dentist', visibility: 'private' }),
  event('rounds', { title: 'Rounds', rule: 'FREQ=DAILY;COUNT=3' }),
  {
    type: 'person' as const,
    record: newPerson({ id: 'ida', name: 'Ida Solberg', zone: 'Europe/London' }),
  },
  { type: 'share' as const, record: SHARE },
];
const BASE = {
  title: 'Pilot visit',
  place: 'Pier',
  start: '2026-11-25T09:00:00',
  end: '2026-11-25T10:00:00',
};
const VISIT = { eventId: 'visit', key: null };

type Fields = Partial<typeof BASE>;
const change = (to: Fields, more: object = {}): SharedChange =>
  ({
    ...{ id: 'c1', by: 'Ida Solberg', zone: ZONE, kind: 'change', of: VISIT },
    ...{ base: BASE, to: { ...BASE, ...to } },
    ...more,
  }) as SharedChange;

async function office(level: Share['level'] = 'change') {
  const engine = await opened(
    SEED.map((one) => (one.type === 'share' ? { ...one, record: { ...SHARE, level } } : one)),
  );
  const take = (one: SharedChange) =>
    done(engine, { kind: 'takeShared', shareId: 's', change: one });
  const manner = { clock: ZONE, wording: { locale: 'en-GB', hourCycle: '24' } as const, now: NOW };
  return { engine, take, manner, get: (id: string) => engine.queries.event(id)! };
}

test('what somebody changes comes in as theirs, marked, and is taken back by Undo', async () => {
  const { engine, take, get, manner } = await office();
  const before = get('visit');
  const moved = { start: '2026-11-25T11:30:00', end: '2026-11-25T12:30:00' };
  expect(await take(change(moved))).toBe(
    'Ida Solberg changed “Pilot visit”: Wed 25 Nov, 09:00 → 11:30',
  );
  expect(get('visit')).toMatchObject({
    start: zoned(moved.start),
    end: zoned(moved.end),
    place: 'Pier',
    changedBy: { name: 'Ida Solberg', at: NOW, key: null },
  });
  expect(engine.sharing.byOthers(manner)).toMatchObject([{ by: 'Ida Solberg', theirs: '' }]);
  // The same a second time is nothing.
  expect(await take(change(moved))).toBeNull();
  await engine.commands.step('undo');
  expect(get('visit')).toEqual(before);
});

test('where both changed the same field, the person’s stays, and theirs is told and can be taken', async () => {
  const { engine, take, get, manner } = await office();
  const mine = get('visit');
  await done(engine, { kind: 'editEvent', before: mine, after: { ...mine, place: 'Quay 3' } });
  expect(await take(change({ title: 'Pilot and mate', place: 'Quay 4' }))).toBe(
    'Ida Solberg changed “Pilot visit”; its place stays as you have it',
  );
  expect(get('visit')).toMatchObject({ title: 'Pilot and mate', place: 'Quay 3' });
  expect(engine.sharing.byOthers(manner)[0]!.theirs).toBe('place “Quay 4”');
  await done(engine, { kind: 'settleShared', id: 'visit', takes: true });
  expect(get('visit')).toMatchObject({ title: 'Pilot and mate', place: 'Quay 4' });
  expect(get('visit').changedBy).toBeUndefined();
  expect(engine.sharing.byOthers(manner)).toEqual([]);
});

test('one date of a series is changed or removed by itself', async () => {
  const { take, get, engine, manner } = await office();
  const key = '2026-11-26T09:00:00';
  const of = { eventId: 'rounds', key };
  const base = { title: 'Rounds', place: '', start: key, end: '2026-11-26T10:00:00' };
  await take(change({}, { of, base, to: { ...base, place: 'Bench 2' } }));
  expect(get('rounds').changedDates[key]).toEqual({ place: 'Bench 2', revision: 1 });
  expect(engine.sharing.byOthers(manner)[0]!.occurrenceId).toBe(`rounds@${key}`);
  const gone = { ...base, place: 'Bench 2' };
  await take({ id: 'c2', by: 'Ida', zone: ZONE, kind: 'remove', of, base: gone });
  expect(get('rounds').skippedDates).toEqual([key]);
});

test('what the person changed is not removed by somebody who saw it otherwise', async () => {
  const { engine, take, get } = await office();
  const mine = get('visit');
  await done(engine, { kind: 'editEvent', before: mine, after: { ...mine, title: 'Two pilots' } });
  const gone: SharedChange = {
    ...{ id: 'c3', by: 'Ida', zone: ZONE, kind: 'remove', of: VISIT, base: BASE },
  };
  expect(await take(gone)).toBe(
    'Ida Solberg wanted “Two pilots” removed, which you had changed: it stays',
  );
  expect(get('visit').removedAt).toBeUndefined();
  await done(engine, { kind: 'settleShared', id: 'visit', takes: true });
  expect(get('visit').removedAt).toBe(NOW);
});

test('an event that is added goes to what is shared, once', async () => {
  const { take, get } = await office();
  const to = { title: 'Fair', place: '', start: '2026-11-27T00:00:00', end: '2026-11-29T00:00:00' };
  const add: SharedChange = { id: 'new1', by: 'Ida', zone: ZONE, kind: 'add', to };
  expect(await take(add)).toBe('Ida Solberg added “Fair” to work: Fri 27 Nov');
  expect(get('new1')).toMatchObject({
    calendarId: 'work',
    start: { kind: 'date', date: '2026-11-27' },
    end: { kind: 'date', date: '2026-11-29' },
  });
  expect(await take(add)).toBeNull();
});

test('nobody changes what was never theirs to change', async () => {
  const { take } = await office();
  const of = (eventId: string) => change({}, { of: { eventId, key: null } });
  await expect(take(of('walk'))).rejects.toThrow('may not change “Walk”');
  await expect(take(of('dentist'))).rejects.toThrow('may not change “Dentist”');
  await expect(take(of('nothing'))).rejects.toThrow('is not here any more');
  const answer = { id: 'a', by: 'Ida', zone: ZONE, kind: 'answer', uid: 'u', key: null } as const;
  await expect(take({ ...answer, answer: 'accepted' })).rejects.toThrow('may not answer for you');
  const reading = await office('all');
  await expect(reading.take(change({ title: 'X' }))).rejects.toThrow(
    'may not change this any more',
  );
});

test('the copy of a share says what of it can be changed, and by whose clock', async () => {
  const { engine, manner } = await office();
  const copy = engine.sharing.copyOf(SHARE, manner)!;
  expect(copy.changing).toEqual({
    zone: ZONE,
    who: { name: 'Ida Solberg', address: '' },
    made: NOW,
    invitations: [],
  });
  const lines = copy.days.flatMap((day) => day.lines);
  expect(lines.find(({ title }) => title === 'Pilot visit')!.change).toEqual({
    of: VISIT,
    base: BASE,
  });
  expect(lines.find(({ title }) => title === 'Private')!.change).toBeUndefined();
  const read = engine.sharing.copyOf({ ...SHARE, level: 'all' }, manner)!;
  expect(read.changing).toBeNull();
  expect(JSON.stringify(read)).not.toContain('"change":');
});

test.each<[string, { eventId: string; key: string | null }, string]>([
  ['a whole series', { eventId: 'rounds', key: null }, 'single dates of “Rounds”'],
  ['a date that is none', { eventId: 'rounds', key: '2026-11-29T09:00:00' }, 'does not have'],
  ['another hour of a date', { eventId: 'rounds', key: '2026-11-26T09:30:00' }, 'does not have'],
  ['a date of what has none', { eventId: 'visit', key: '2026-11-25T09:00:00' }, 'does not have'],
])('nobody changes or removes %s', async (_, of, why) => {
  const { take, get } = await office('act');
  const before = get(of.eventId);
  const who = { id: 'c9', by: 'Ida', zone: ZONE, of, base: BASE };
  await expect(take({ ...who, kind: 'remove' })).rejects.toThrow(why);
  await expect(take({ ...who, kind: 'change', to: BASE })).rejects.toThrow(why);
  expect(get(of.eventId)).toEqual(before);
});

test('who has the address and no name here is told as who they say to be; a person by their own name', async () => {
  const engine = await opened(
    SEED.map((one) =>
      one.type === 'share' ? { ...one, record: { ...SHARE, personId: null } } : one,
    ),
  );
  const label = await done(engine, {
    ...{ kind: 'takeShared', shareId: 's' },
    change: change({ place: 'Hall' }),
  });
  expect(label).toContain('Ida Solberg (name not checked) changed “Pilot visit”');
  const { take } = await office();
  expect(await take({ ...change({ place: 'Hall' }), by: 'Robin' })).toContain(
    'Ida Solberg changed “Pilot visit”',
  );
});

test('who acts for somebody sees and answers what is on that calendar, private ones covered', async () => {
  const asked = {
    invited: 'unanswered' as const,
    organizer: { name: 'Mei', address: 'mei@q.example' },
  };
  const engine = await opened([
    ...SEED.map((one) =>
      one.type === 'share' ? { ...one, record: { ...SHARE, level: 'act' as const } } : one,
    ),
    event('fitting', { title: 'Fitting', ...asked }),
    event('scan', { title: 'Scan', visibility: 'private', ...asked }),
    event('elsewhere', { title: 'Elsewhere', calendarId: 'home', ...asked }),
  ]);
  const manner = { clock: ZONE, wording: { locale: 'en-GB', hourCycle: '24' } as const, now: NOW };
  const { invitations } = engine.sharing.copyOf({ ...SHARE, level: 'act' }, manner)!.changing!;
  expect(invitations.map(({ title, who }) => [title, who])).toEqual([
    ['Fitting', 'Mei'],
    ['Private', ''],
  ]);
  const answer = { id: 'a', by: 'Ida', zone: ZONE, kind: 'answer', key: null } as const;
  const uid = engine.queries.event('elsewhere')!.uid;
  await expect(
    done(engine, {
      ...{ kind: 'takeShared', shareId: 's' },
      change: { ...answer, uid, answer: 'accepted' },
    }),
  ).rejects.toThrow('only what is on what you share');
});

test('a share of a backup comes back paused', async () => {
  const { engine } = await office();
  const { file } = await engine.files.backup(NOW);
  const there = await opened([]);
  await there.files.previewRestore(file);
  await there.files.restore(NOW);
  expect(there.sharing.all()).toEqual([{ ...SHARE, isPaused: true }]);
});

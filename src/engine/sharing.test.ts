import { readFreeBusy } from '@/core/files/ics/freeBusy';
import type { Share } from '@/core/model/share';
import { DEFAULT_VIEW } from '@/core/model/view';
import { lensOf } from '@/core/view/lenses';
import { calendar, done, event, NOW, opened, zoned } from './testing/opened';

const MANNER = {
  clock: 'Europe/London',
  wording: { locale: 'en-GB', hourCycle: '24' } as const,
  now: NOW,
};
const share = (fields: Partial<Share> = {}): Share => ({
  id: 's',
  of: { kind: 'calendar', id: 'work' },
  level: 'titles',
  personId: null,
  token: 't'.repeat(24),
  key: 'k'.repeat(24),
  expires: null,
  made: NOW,
  ...fields,
});
const SEED = [
  calendar('work'),
  calendar('home', { order: 1, shown: false }),
  event('visit', { title: 'Pilot visit', place: 'Pier', notes: 'Bring lamps' }),
  event('dentist', {
    title: 'Dentist',
    visibility: 'private',
    start: zoned('2026-11-26T15:00:00'),
    end: zoned('2026-11-26T16:00:00'),
  }),
  event('free', {
    title: 'Market day',
    availability: 'free',
    start: zoned('2026-11-27T08:00:00'),
    end: zoned('2026-11-27T09:00:00'),
  }),
  event('walk', { calendarId: 'home', title: 'Walk' }),
  {
    type: 'lens' as const,
    record: lensOf(
      { id: 'visits', name: 'Visits', icon: '', order: 0 },
      { ...DEFAULT_VIEW, filter: { ...DEFAULT_VIEW.filter, text: 'visit' } },
      null,
    ),
  },
];

test('a copy holds what its level shows, and of private events never a word', async () => {
  const { sharing } = await opened(SEED);
  const titles = sharing.copyOf(share(), MANNER)!;
  expect(titles).toMatchObject({ name: 'work', zone: 'London', expires: null });
  expect(titles.calendar).toContain('SUMMARY:Pilot visit');
  expect(titles.calendar).not.toMatch(/Pier|lamps|Dentist|Walk/);
  expect(JSON.stringify(titles)).not.toContain('Dentist');
  expect(titles.days.map(({ lines }) => lines.map(({ title }) => title))).toEqual([
    ['Pilot visit'],
    ['Private'],
    ['Market day'],
  ]);
  const all = sharing.copyOf(share({ level: 'all' }), MANNER)!;
  expect(all.calendar).toContain('LOCATION:Pier');
  expect(JSON.stringify(all)).not.toContain('Dentist');
  const open = sharing.copyOf(share({ level: 'open' }), MANNER)!;
  expect(open.days).toHaveLength(2);
});

test('where only taken time is seen, there are no titles and no calendar, and free time is none', async () => {
  const { sharing } = await opened(SEED);
  const copy = sharing.copyOf(share({ level: 'booked' }), MANNER)!;
  expect(copy.calendar).toBeNull();
  expect(copy.days.map(({ lines }) => lines.map(({ title }) => title))).toEqual([
    ['Booked'],
    ['Booked'],
  ]);
  expect(readFreeBusy(copy.freeBusy)).toEqual([
    { start: Date.UTC(2026, 10, 25, 9), end: Date.UTC(2026, 10, 25, 10), taken: 'busy' },
    { start: Date.UTC(2026, 10, 26, 15), end: Date.UTC(2026, 10, 26, 16), taken: 'busy' },
  ]);
  expect(sharing.file({ kind: 'calendar', id: 'work' }, 'booked', NOW)).not.toMatch(
    /Pilot|Dentist|Market/,
  );
});

test('a lens is shared as it filters, and what is gone is shared no more', async () => {
  const engine = await opened(SEED);
  const { sharing } = engine;
  const copy = sharing.copyOf(share({ of: { kind: 'lens', id: 'visits' } }), MANNER)!;
  expect(copy.name).toBe('Visits');
  expect(copy.days.map(({ lines }) => lines.map(({ title }) => title))).toEqual([['Pilot visit']]);
  await done(engine, { kind: 'removeCalendar', id: 'work' });
  expect(sharing.copyOf(share(), MANNER)).toBeNull();
  expect(sharing.copyOf(share({ of: { kind: 'lens', id: 'gone' } }), MANNER)).toBeNull();
});

test('sharing, changing and ending it are changes that are told and taken back', async () => {
  const engine = await opened(SEED);
  const begun = share();
  expect(await done(engine, { kind: 'keepShare', before: null, share: begun })).toBe(
    'Shared work by an address',
  );
  expect(
    await done(engine, { kind: 'keepShare', before: begun, share: { ...begun, level: 'all' } }),
  ).toBe('Changed what is seen of work');
  expect(engine.sharing.all().map(({ level }) => level)).toEqual(['all']);
  expect(await done(engine, { kind: 'endShare', id: 's' })).toBe(
    'Ended sharing work by an address',
  );
  expect(await done(engine, { kind: 'endShare', id: 's' })).toBeNull();
  expect(engine.sharing.all()).toEqual([]);
  await engine.commands.step('undo');
  expect(engine.sharing.all()).toHaveLength(1);
});

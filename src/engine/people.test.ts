import { writeFreeBusy } from '@/core/files/ics/freeBusy';
import { FileError } from '@/core/files/ics/scan';
import { writeCalendarFile } from '@/core/files/ics/writeFile';
import { newEvent } from '@/core/model/event';
import type { Person } from '@/core/model/person';
import { newPerson, personCalendarId } from '@/core/model/person';
import type { TypedRecord } from '@/core/model/records';
import { EVERYTHING } from '@/core/query/eventQuery';
import { ME } from '@/core/people/hindrances';
import { MINUTE, parseDate } from '@/core/time/civil';
import { calendar, done, event, NOW, opened, zoned } from './testing/opened';
import { outside } from './testing/outside';

const ZONE = 'Europe/London';
const DAY = parseDate('2026-11-25');
const WINDOW = { fromDay: DAY, toDay: DAY + 1, zone: ZONE };
const at = (time: string) => Date.parse(`2026-11-25T${time}:00Z`);

const freeBusy = writeFreeBusy({
  uid: 'ida',
  organizer: '',
  from: at('00:00'),
  to: at('23:00'),
  stretches: [{ start: at('11:00'), end: at('12:00'), taken: 'busy' }],
  now: 0,
});
const titled = writeCalendarFile({
  name: 'Nell',
  events: [
    newEvent(
      {
        id: 'board',
        calendarId: 'x',
        title: 'Pilot board',
        start: { kind: 'zoned', local: '2026-11-25T09:00:00', zone: 'America/Halifax' },
        end: { kind: 'zoned', local: '2026-11-25T10:00:00', zone: 'America/Halifax' },
      },
      0,
    ),
    newEvent(
      {
        id: 'away',
        calendarId: 'x',
        title: 'Away',
        availability: 'away',
        start: { kind: 'date', date: '2026-11-26' },
        end: { kind: 'date', date: '2026-11-27' },
      },
      0,
    ),
  ],
  tasks: [],
  passthrough: [],
  now: 0,
});

const FILES: Record<string, string> = { '/ida': freeBusy, '/nell': titled };

/** An office that counts how often it was asked, and may be away. */
function office() {
  const asked: string[] = [];
  const state = { isAway: false };
  const around = {
    ...outside(),
    askFeed: (address: string) => {
      asked.push(address);
      if (state.isAway) return Promise.reject(new FileError('The office is closed.'));
      return Promise.resolve({
        isSame: false as const,
        bytes: new TextEncoder().encode(FILES[address]),
      });
    },
  };
  return { asked, around, state };
}

const person = (id: string, more: Partial<Person> = {}): TypedRecord => ({
  type: 'person',
  record: newPerson({ id, name: id, zone: ZONE, calendarAddress: `/${id}`, ...more }),
});
const PEOPLE = [
  person('ida'),
  person('nell', { zone: 'America/Halifax' }),
  person('mo', { calendarAddress: '' }),
];

test('time of others is told as they let it be seen, by the clock that looks', async () => {
  const { around } = office();
  const { people } = await opened([calendar('work'), ...PEOPLE], { around });
  const [ida, nell, mo] = await people.timeOf(['ida', 'nell', 'mo'], WINDOW, NOW);
  const told = (time: typeof ida) =>
    time!.occurrences.map((o) => [o.title, o.startMs, o.endMs, o.availability, o.calendarId]);
  expect(ida!.seeing).toBe('booked');
  expect(told(ida)).toEqual([
    ['Booked', at('11:00'), at('12:00'), 'busy', personCalendarId('ida')],
  ]);
  expect(nell!.seeing).toBe('titles');
  expect(told(nell)).toEqual([
    ['Pilot board', at('13:00'), at('14:00'), 'busy', personCalendarId('nell')],
  ]);
  expect(mo).toEqual({
    personId: 'mo',
    seeing: null,
    pages: new Map(),
    occurrences: [],
    problem: 'Where their time is read is not known.',
  });
});

test('a whole day of another zone is hours of two days here', async () => {
  const { around } = office();
  const { people } = await opened([calendar('work'), ...PEOPLE], { around });
  const [nell] = await people.timeOf(
    ['nell'],
    { ...WINDOW, fromDay: DAY + 1, toDay: DAY + 3 },
    NOW,
  );
  expect(nell!.occurrences.map((o) => [o.wholeDay, o.start, o.end])).toEqual([
    [false, Date.UTC(2026, 10, 26, 4), Date.UTC(2026, 10, 27, 4)],
  ]);
});

test('it is asked for once in five minutes, again where it failed, and stored nowhere', async () => {
  const { asked, around, state } = office();
  const engine = await opened([calendar('work'), ...PEOPLE], { around });
  const { people } = engine;
  state.isAway = true;
  const [closed] = await people.timeOf(['ida'], WINDOW, NOW);
  expect(closed!.problem).toBe('The office is closed.');
  state.isAway = false;
  await people.timeOf(['ida'], WINDOW, NOW);
  await people.openings({ ...REQUEST, guests: [{ id: 'ida', isRequired: true }] });
  expect(asked).toEqual(['/ida', '/ida']);
  await people.timeOf(['ida'], WINDOW, NOW + 5 * MINUTE);
  expect(asked).toHaveLength(3);
  expect(engine.queries.occurrences(WINDOW, EVERYTHING).occurrences).toEqual([]);
});

const REQUEST = {
  guests: [] as { id: string; isRequired: boolean }[],
  fromDay: DAY,
  toDay: DAY + 1,
  minutes: 60,
  slot: 60,
  travel: 0,
  place: '',
  clock: ZONE,
  now: NOW,
  eventId: null as string | null,
  hasPrivate: true,
};

test('openings go by the own events too, but for the one that a time is looked for', async () => {
  const { around } = office();
  const { people } = await opened(
    [
      calendar('work'),
      calendar('tides', { isFacts: true, kind: 'followed', order: 1 }),
      event('call', { start: zoned('2026-11-25T14:00:00'), end: zoned('2026-11-25T15:00:00') }),
      event('low', {
        calendarId: 'tides',
        start: zoned('2026-11-25T09:00:00'),
        end: zoned('2026-11-25T17:00:00'),
      }),
      ...PEOPLE,
    ],
    { around },
  );
  const guests = [
    { id: 'ida', isRequired: true },
    { id: 'mo', isRequired: false },
  ];
  const clear = async (eventId: string | null) => {
    const { runs, days, unknown } = await people.openings({ ...REQUEST, guests, eventId });
    expect(unknown).toEqual([{ id: 'mo', why: 'Where their time is read is not known.' }]);
    expect(days).toEqual([[DAY, 'all']]);
    return runs.filter(({ weight }) => weight === 0).map(({ first, end }) => [first, end]);
  };
  expect(await clear(null)).toEqual([
    [at('09:00'), at('11:00')],
    [at('12:00'), at('14:00')],
    [at('15:00'), at('17:00')],
  ]);
  expect(await clear('call')).toEqual([
    [at('09:00'), at('11:00')],
    [at('12:00'), at('17:00')],
  ]);
  const { runs } = await people.openings({ ...REQUEST, guests });
  expect(runs.at(-1)!.inTheWay.map(({ id }) => id)).toEqual([ME, 'ida', 'mo']);
});

test('one time is judged for each, and each is told when they are next clear', async () => {
  const { around, state } = office();
  const { people } = await opened([calendar('work'), ...PEOPLE], { around });
  expect(
    await people.suits(['ida', 'nell', 'mo'], { start: at('11:30'), end: at('11:45'), now: NOW }),
  ).toEqual([
    { id: 'ida', why: 'busy', isKnown: true },
    { id: 'nell', why: 'outside', isKnown: true },
    { id: 'mo', why: null, isKnown: false },
  ]);
  const next = (now: number) => people.nextClear(['ida', 'mo'], { now, clock: ZONE, slot: 15 });
  expect(await next(at('10:30'))).toEqual([
    { id: 'ida', start: at('12:00') },
    { id: 'mo', start: null },
  ]);
  state.isAway = true;
  expect(await next(at('10:36'))).toEqual([
    { id: 'ida', start: null },
    { id: 'mo', start: null },
  ]);
});

test('people are added, put on the sheet and removed, each as one change', async () => {
  const engine = await opened([calendar('work'), ...PEOPLE]);
  const added = newPerson({ id: 'new', name: 'Wren Amble', zone: ZONE });
  expect(await done(engine, { kind: 'keepPerson', before: null, person: added })).toBe(
    'Added Wren Amble to people',
  );
  expect(await done(engine, { kind: 'showPerson', id: 'new', shown: true })).toBe(
    'Put Wren Amble’s time on the sheet',
  );
  expect(await done(engine, { kind: 'showPerson', id: 'ida', shown: true })).not.toBeNull();
  expect(await done(engine, { kind: 'showPerson', id: null, shown: false })).toBe(
    'Took time of others off the sheet',
  );
  expect(await done(engine, { kind: 'showPerson', id: null, shown: false })).toBeNull();
  expect(await done(engine, { kind: 'removePerson', id: 'new' })).toBe(
    'Removed Wren Amble from people',
  );
  expect(engine.people.all().map(({ id }) => id)).toEqual(['ida', 'mo', 'nell']);
});

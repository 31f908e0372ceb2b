import { newPerson } from '../model/person';
import { timed } from '../testing/occurrences';
import { parseDate } from '../time/civil';
import { busyOf, mergedBusy } from './busy';
import { directory } from './directory';
import { findPeople } from './findPeople';
import { attendeesOf, guestsOf, isSamePerson, meetingTitle, roomOf } from './guests';
import type { OpeningRun } from './openings';
import { bestFirst, dayStandings, hindranceAt, openings, runsOf } from './openings';
import { describeOffer, spreadStarts } from './describeOffer';
import type { OpeningWording } from './sayOpenings';
import { sayOpening, sayRun } from './sayOpenings';
import { sharedCopy, sharedDays } from './shared';
import { sayStanding, sayTheirTime, standingOf } from './standing';

const DAY = parseDate('2026-11-24');
/** 24 November 2026 at a time in London, which is UTC then. */
const at = (time: string) => Date.parse(`2026-11-24T${time}:00Z`);
const UTC = 'Etc/UTC';
const WORDING = { locale: 'en-GB', hourCycle: '24' } as const;

const homeWeek = (workplace: string) => ({
  days: Array.from({ length: 7 }, (_, i) => ({
    hours: i < 5 ? { from: 9 * 60, to: 17 * 60 } : null,
    workplace,
  })),
  exceptions: {},
});
const ida = newPerson({
  id: 'ida',
  name: 'Ida Solberg',
  zone: UTC,
  address: 'ida@quay.example',
  groups: ['Workshop'],
});
const nell = newPerson({ id: 'nell', name: 'Nell Macrae', zone: 'America/Halifax' });
const oskar = newPerson({
  id: 'oskar',
  name: 'Oskar Brandt',
  zone: UTC,
  workweek: homeWeek('home'),
});
const loft = newPerson({ id: 'loft', name: 'Net Loft', zone: UTC, kind: 'room' });
const people = [ida, nell, oskar, loft];

test('what takes time is all but what is free, with its ways; kinds are joined by themselves', () => {
  const busy = busyOf([
    timed('a', DAY, 540, 600, { travelBefore: 15 }),
    timed('b', DAY, 600, 660),
    timed('c', DAY, 590, 610, { availability: 'tentative' }),
    timed('d', DAY, 700, 760, { availability: 'free' }),
    timed('e', DAY, 800, 800),
  ]);
  expect(mergedBusy(busy)).toEqual([
    { start: at('08:45'), end: at('11:00'), taken: 'busy' },
    { start: at('09:50'), end: at('10:10'), taken: 'tentative' },
  ]);
});

const WISHES = {
  from: at('08:00'),
  to: at('18:00'),
  minutes: 60,
  slot: 30,
  clock: UTC,
  travel: 0,
  place: '',
};
const asked = (person: typeof ida, more: object = {}) => ({
  id: person.id,
  isRequired: true,
  zone: person.zone,
  workweek: person.workweek,
  busy: [],
  ...more,
});

test('openings that suit the same people are one run; the least in the way comes first', () => {
  const booked = { busy: [{ start: at('10:00'), end: at('12:00'), taken: 'busy' as const }] };
  const found = openings([asked(ida, booked), asked(oskar, { isRequired: false })], WISHES);
  const runs = runsOf(found, WISHES);
  const said = bestFirst(runs).map(({ first, last, weight }) => [
    new Date(first).toISOString().slice(11, 16),
    new Date(last).toISOString().slice(11, 16),
    weight,
  ]);
  expect(said).toEqual([
    ['09:00', '09:00', 0],
    ['12:00', '16:00', 0],
    // Both are off work: one of them is not required.
    ['08:00', '08:30', 20],
    ['16:30', '17:00', 20],
    ['09:30', '11:30', 32],
  ]);
  expect([...dayStandings(runs, 2)]).toEqual([[DAY, 'all']]);
  const without = runs.filter(({ weight }) => weight > 0);
  expect([...dayStandings(without, 2)]).toEqual([[DAY, 'none']]);
  expect([...dayStandings(without, 3)]).toEqual([[DAY, 'some']]);
});

test('who works elsewhere needs time for the way there and back too', () => {
  const busy = [{ start: at('11:00'), end: at('12:00'), taken: 'busy' as const }];
  const wishes = { ...WISHES, place: 'workshop', travel: 45 };
  const why = (time: string) =>
    openings([asked(oskar, { busy })], wishes).find(({ start }) => start === at(time))!.inTheWay;
  expect(why('09:00')).toEqual([{ id: 'oskar', why: 'elsewhere' }]);
  // It is over at 10:30, and the way takes until a quarter past eleven.
  expect(why('09:30')).toEqual([{ id: 'oskar', why: 'busy' }]);
  expect(why('12:30')).toEqual([{ id: 'oskar', why: 'busy' }]);
  expect(why('13:00')).toEqual([{ id: 'oskar', why: 'elsewhere' }]);
});

test('one time is judged as it is, slot or not', () => {
  const busy = [{ start: at('10:07'), end: at('10:09'), taken: 'tentative' as const }];
  const one = asked(ida, { busy });
  expect(hindranceAt(one, { start: at('10:08'), end: at('10:30') })).toBe('tentative');
  expect(hindranceAt(one, { start: at('10:09'), end: at('10:30') })).toBeNull();
  expect(hindranceAt(one, { start: at('16:50'), end: at('17:10') })).toBe('outside');
});

test('nothing lasts no time', () => {
  expect(() => openings([], { ...WISHES, minutes: 0 })).toThrow('It has to last');
});

test('a time is told with what speaks against it, and by the clocks of others', () => {
  const around: OpeningWording = {
    clock: UTC,
    wording: WORDING,
    workweek: homeWeek('workshop'),
    me: 'me',
    personOf: (id) => people.find((one) => one.id === id),
  };
  const run = (inTheWay: OpeningRun['inTheWay']) => ({
    first: at('14:00'),
    last: at('15:00'),
    end: at('16:00'),
    inTheWay,
  });
  expect(sayOpening(run([]), [ida, nell, loft], around)).toBe('All clear, 10:00 in Halifax');
  expect(
    sayOpening(
      run([
        { id: 'me', why: 'busy' },
        { id: 'oskar', why: 'elsewhere' },
        { id: 'loft', why: 'busy' },
      ]),
      [oskar, loft],
      around,
    ),
  ).toBe('You are booked, Oskar would have to come from home and Net Loft is booked');
  expect(sayRun(run([]), around)).toBe('Tue 24 Nov, anywhere in 14:00 – 16:00');
  expect(sayRun({ ...run([]), last: at('14:00'), end: at('15:00') }, around)).toBe(
    'Tue 24 Nov, 14:00 – 15:00',
  );
});

test('how it stands with somebody: clear, taken through what follows at once, or off work', () => {
  const theirs = [timed('Bench', DAY, 600, 630), timed('Ledger', DAY, 630, 660)];
  const said = (time: string, of = ida) =>
    sayStanding(standingOf(of, theirs, at(time)), at(time), UTC, WORDING);
  expect(said('09:15')).toBe('clear until 10:00');
  expect(said('10:00')).toBe('booked until 11:00: Bench');
  expect(said('11:00')).toBe('clear until 17:00');
  expect(said('17:00')).toBe('not at work until Wed 25 Nov, 09:00');
  expect(said('12:30', nell)).toBe('not at work until 13:00');
  expect(sayTheirTime(nell, at('12:30'), UTC, WORDING)).toBe('08:30 in Halifax');
  expect(sayTheirTime(ida, at('12:30'), UTC, WORDING)).toBe('');
});

test('people are found by beginnings of words of their name, address or groups', () => {
  const found = (typed: string) => findPeople(people, typed).map(({ id }) => id);
  expect(found('sol')).toEqual(['ida']);
  expect(found('work id')).toEqual(['ida']);
  expect(found('QUAY')).toEqual(['ida']);
  expect(found('olberg')).toEqual([]);
  expect(found(' ')).toHaveLength(4);
});

test('who is asked becomes a guest, and is known again by address or name', () => {
  const guests = [
    { id: 'ida', isRequired: true },
    { id: 'loft', isRequired: false },
  ];
  const attendees = attendeesOf(guests, people);
  expect(attendees).toEqual([
    { name: 'Ida Solberg', address: 'ida@quay.example', role: 'required', answer: 'none' },
    { name: 'Net Loft', address: '', role: 'optional', answer: 'none' },
  ]);
  expect(guestsOf(attendees, people)).toEqual(guests);
  expect(isSamePerson({ name: 'I. S.', address: 'IDA@quay.example' }, ida)).toBe(true);
  expect(isSamePerson({ name: 'Ida Solberg', address: 'other@quay.example' }, ida)).toBe(false);
  expect(meetingTitle(guests, people)).toBe('Meeting with Ida');
  expect(meetingTitle([], people)).toBe('Meeting');
  expect(roomOf(guests, people)).toBe('Net Loft');
});

test('an offer is told by the clock of each zone, with its day where that is another', () => {
  const text = describeOffer(
    {
      title: 'Lens order',
      minutes: 45,
      starts: [at('23:00'), at('10:00')],
      zones: [UTC, 'Asia/Tokyo'],
      isHeld: true,
    },
    WORDING,
  );
  expect(text.split('\n')).toEqual([
    'Lens order, 45 min',
    '',
    'Would one of these times suit you?',
    '',
    '1. Tue, 24 Nov 2026',
    '   10:00 – 10:45 in UTC',
    '   19:00 – 19:45 in Tokyo',
    '2. Tue, 24 Nov 2026',
    '   23:00 – 23:45 in UTC',
    '   08:00 – 08:45 in Tokyo (Wednesday)',
    '',
    'They are held for you until one is taken.',
  ]);
  expect(
    describeOffer({ title: '', minutes: 60, starts: [at('09:00')], zones: [UTC] }, WORDING),
  ).toBe('1 h\n\nWould this time suit you?\n\n1. Tue, 24 Nov 2026\n   09:00 – 10:00 in UTC');
});

test('offered times lie on different days while there are such, the best first', () => {
  const run = (day: number, first: number, weight: number) => ({ day, first, weight });
  const runs = [run(1, 100, 0), run(1, 150, 0), run(2, 200, 0), run(3, 300, 8)];
  expect(spreadStarts(runs, 3)).toEqual([100, 200, 300]);
  expect(spreadStarts(runs, 4)).toEqual([100, 150, 200, 300]);
  expect(spreadStarts(runs, 9)).toHaveLength(4);
});

test('somebody is away, or may be booked; what ends before something follows is not joined to it', () => {
  const said = (more: object, title = 'Booked') =>
    sayStanding(
      standingOf(
        ida,
        [timed(title, DAY, 600, 630, more), timed('Ledger', DAY, 640, 660)],
        at('10:00'),
      ),
      at('10:00'),
      UTC,
      WORDING,
    );
  expect(said({ availability: 'away' })).toBe('away until 10:30');
  expect(said({ availability: 'tentative' }, 'Visit')).toBe('maybe booked until 10:30: Visit');
  expect(said({ availability: 'free' })).toBe('clear until 10:40');
});

test('the room is the one that is asked, and none where only people are', () => {
  const store = newPerson({ id: 'store', name: 'Upper Store', zone: UTC, kind: 'room' });
  const all = [...people, store];
  expect(roomOf([{ id: 'store', isRequired: false }], all)).toBe('Upper Store');
  expect(roomOf([{ id: 'ida', isRequired: true }], all)).toBe('');
  expect(roomOf([], all)).toBe('');
});

test('a time that ends at midnight says so, in each clock', () => {
  const run = { first: at('22:00'), last: at('22:00'), end: at('22:00') + 2 * 3_600_000 };
  expect(sayRun(run, { clock: UTC, wording: WORDING })).toBe('Tue 24 Nov, 22:00 – 00:00');
  expect(
    sayRun(
      { ...run, last: at('22:30') },
      { clock: UTC, wording: { locale: 'en-US', hourCycle: '12' } },
    ),
  ).toBe('Tue, Nov 24, anywhere in 10:00 pm – 12:00 am');
});

test('a shared day tells hours up to midnight, and no more days than are asked for', () => {
  const late = { ...timed('Late', DAY, 1320, 1440), place: 'Pier' };
  const over = timed('Over', DAY, 1380, 1440 + 60);
  const days = sharedDays([late, over], { fromDay: DAY, toDay: DAY + 1 }, WORDING);
  expect(days).toEqual([
    {
      name: 'Tuesday, 24 November 2026',
      lines: [
        { when: '22:00 – 00:00', title: 'Late', place: 'Pier' },
        { when: '23:00 – …', title: 'Over', place: over.place },
      ],
    },
  ]);
  const next = sharedDays([over], { fromDay: DAY + 1, toDay: DAY + 3 }, WORDING);
  expect(next.map(({ lines }) => lines[0]!.when)).toEqual(['… – 01:00']);
});

test('what a shared page tells is bounded', () => {
  const line = { when: '9', title: 't'.repeat(1000), place: '' };
  const copy = (lines: object[]) => ({
    ...{ name: 'Workshop', zone: 'London', expires: null, calendar: null, freeBusy: '' },
    days: [{ name: 'Tuesday', lines }],
    changing: null,
  });
  const fits = (lines: object[]) => sharedCopy.safeParse(copy(lines)).success;
  expect(fits([line])).toBe(true);
  expect(fits([{ ...line, title: `${line.title}t` }])).toBe(false);
  expect(fits(Array.from({ length: 500 }, () => line))).toBe(true);
  expect(fits(Array.from({ length: 501 }, () => line))).toBe(false);
});

test('a directory tells of somebody what concerns others, and nothing else', () => {
  const { workweek, ...told } = ida;
  const [entry] = directory.parse([{ ...told, workweek, notes: 'own' }]);
  expect(entry).toEqual({
    ...{ id: 'ida', name: 'Ida Solberg', kind: 'person', zone: UTC, workweek },
    ...{ address: 'ida@quay.example', ink: ida.ink, mark: ida.mark },
    ...('calendarAddress' in ida && { calendarAddress: ida.calendarAddress }),
  });
});

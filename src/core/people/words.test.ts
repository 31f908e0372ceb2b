import type { Person } from '../model/person';
import { newPerson } from '../model/person';
import { DEFAULT_SETTINGS } from '../model/others';
import { HOUR, MINUTE } from '../time/civil';
import { describeOffer, spreadStarts } from './describeOffer';
import { sayOpening, sayRun } from './sayOpenings';

const wording = { locale: 'en-GB', hourCycle: '24' } as const;
const person = (id: string, name: string, zone: string, fields: Partial<Person> = {}): Person => ({
  ...newPerson({ id, name, zone }),
  ...fields,
});
const OSKAR = person('oskar', 'Oskar Brandt', 'Asia/Tokyo');
const JUNIA = person('junia', 'Junia Pace', 'America/Los_Angeles');
const ROOM = person('room', 'Harbour office', 'Asia/Tokyo', { kind: 'room' });
const around = {
  clock: 'Europe/London',
  wording,
  workweek: DEFAULT_SETTINGS.workweek,
  me: 'me',
  personOf: (id: string) => [OSKAR, JUNIA, ROOM].find((one) => one.id === id),
};
/** Tuesday 24 November 2026, 16:00 in London: 1:00 the day after in Tokyo, 8:00 in Los Angeles. */
const AT = Date.parse('2026-11-24T16:00:00Z');

test('an opening says who is in the way, and what time it is where the people are', () => {
  expect(sayOpening({ first: AT, inTheWay: [] }, [OSKAR, JUNIA, ROOM], around)).toBe(
    'All clear, 01:00 the day after in Tokyo, 08:00 in Los Angeles',
  );
  const early = AT - 14 * HOUR;
  expect(sayOpening({ first: early, inTheWay: [] }, [JUNIA], around)).toBe(
    'All clear, 18:00 the day before in Los Angeles',
  );
  const inTheWay = [
    { id: 'me', why: 'busy' as const },
    { id: 'oskar', why: 'outside' as const },
    { id: 'room', why: 'away' as const },
    { id: 'gone', why: 'tentative' as const },
  ];
  expect(sayOpening({ first: AT, inTheWay } as never, [], around)).toBe(
    'You are booked, Oskar is not at work, Harbour office is away and Somebody may be booked',
  );
  const elsewhere = [{ id: 'me', why: 'elsewhere' as const }];
  expect(sayOpening({ first: AT, inTheWay: elsewhere } as never, [], around)).toBe(
    'You would have to come from elsewhere',
  );
});

test('a run is one time, or anywhere in a stretch; midnight is its end', () => {
  const run = { first: AT, last: AT, end: AT + HOUR };
  expect(sayRun(run, around)).toBe('Tue 24 Nov, 16:00 – 17:00');
  expect(sayRun({ ...run, last: AT + 30 * MINUTE, end: AT + 90 * MINUTE }, around)).toBe(
    'Tue 24 Nov, anywhere in 16:00 – 17:30',
  );
  expect(sayRun({ ...run, end: AT + 8 * HOUR }, around)).toBe('Tue 24 Nov, 16:00 – 00:00');
  const us = { ...around, wording: { locale: 'en-US', hourCycle: '12' as const } };
  expect(sayRun({ ...run, end: AT + 8 * HOUR }, us)).toBe('Tue, Nov 24, 4:00 pm – 12:00 am');
});

test('an offer of one time and of several; only what is held says so', () => {
  const one = { title: 'Lens trial', minutes: 45, starts: [AT], zones: ['Europe/London'] };
  expect(describeOffer(one, wording)).toBe(
    [
      'Lens trial, 45 min',
      '',
      'Would this time suit you?',
      '',
      '1. Tue, 24 Nov 2026',
      '   16:00 – 16:45 in London',
    ].join('\n'),
  );
  const two = {
    ...one,
    ...{ title: '', starts: [AT + 24 * HOUR, AT], isHeld: true, minutes: 8 * 60 },
    zones: ['Europe/London', 'Asia/Tokyo'],
  };
  expect(describeOffer(two, wording)).toBe(
    [
      '8 h',
      '',
      'Would one of these times suit you?',
      '',
      '1. Tue, 24 Nov 2026',
      '   16:00 – 00:00 in London',
      '   01:00 – 09:00 in Tokyo (Wednesday)',
      '2. Wed, 25 Nov 2026',
      '   16:00 – 00:00 in London',
      '   01:00 – 09:00 in Tokyo (Thursday)',
      '',
      'They are held for you until one is taken.',
    ].join('\n'),
  );
  expect(describeOffer({ ...one, isHeld: true }, wording)).toMatch(
    /It is held for you until you answer\.$/,
  );
});

test('offered starts lie on different days as far as there are such', () => {
  const runs = [
    { day: 1, first: 10, weight: 0 },
    { day: 1, first: 11, weight: 1 },
    { day: 2, first: 20, weight: 2 },
    { day: 3, first: 30, weight: 3 },
  ];
  expect(spreadStarts(runs, 2)).toEqual([10, 20]);
  expect(spreadStarts(runs, 4)).toEqual([10, 11, 20, 30]);
  expect(spreadStarts(runs, 0)).toEqual([]);
});

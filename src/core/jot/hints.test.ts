import { formatLocal, parseDate } from '../time/civil';
import type { WallMs } from '../time/units';
import { readJot } from './jot';
import { TUESDAY } from './testing/context';

const at = (wall: WallMs, wholeDay: boolean) => formatLocal(wall).slice(0, wholeDay ? 10 : 16);

describe('what a line may mean instead', () => {
  test.each([
    ['drinks at 6', '2026-11-24T18:00', '2026-11-25T06:00'],
    // What is over today is not meant.
    ['call at 8', '2026-11-24T20:00', '2026-11-25T08:00'],
    ['call at 8 today', '2026-11-24T08:00', '2026-11-24T20:00'],
    ['budget 3/12', '2026-12-03', '2027-03-12'],
    ['call next friday', '2026-12-04', '2026-11-27'],
    ['next weekend regatta', '2026-12-05', '2026-11-28'],
  ])('“%s” is %s, or %s', (line, first, second) => {
    const jot = readJot(line, TUESDAY);
    expect([at(jot.start, jot.wholeDay), at(jot.other!.start, jot.wholeDay)]).toEqual([
      first,
      second,
    ]);
    expect(jot.other!.title).toBe(jot.title);
  });

  test('a short weekday may be a word of the title', () => {
    const { title, other } = readJot('sun cream', TUESDAY);
    expect([title, other?.title]).toEqual(['cream', 'sun cream']);
  });

  test.each([
    ['flight 13:00 halifax fri', 'flight halifax', 'flight', 'America/Halifax'],
    ['call 15:00 new york', 'call new york', 'call', 'America/New_York'],
    ['call 15:00 osaka about lenses', 'call osaka about lenses', 'call about lenses', 'Asia/Tokyo'],
  ])('“%s” may be on the clock of that city', (line, title, otherTitle, zone) => {
    const jot = readJot(line, TUESDAY);
    expect([jot.title, jot.zone]).toEqual([title, null]);
    expect(jot.other).toMatchObject({ title: otherTitle, zone, start: jot.start });
  });

  test.each([
    'call 15:00 Osaka time',
    'call Osaka 15:00',
    'call 15:00 at Halifax',
    'call 15:00 nice lamps',
    'call 15:00',
    'call 9:30 pm',
    'tonight 7 supper',
    'call fri',
    'Order lamps',
    'call at 10',
    'call at 3',
  ])('“%s” is plain', (line) => expect(readJot(line, TUESDAY).other).toBeNull());

  test('the month comes first where the settings have it so', () => {
    const months = readJot('budget 3/12', { ...TUESDAY, isMonthFirst: true });
    expect(at(months.start, true)).toBe('2027-03-12');
    // What has only one order is read in it.
    expect(at(readJot('budget 15/12', { ...TUESDAY, isMonthFirst: true }).start, true)).toBe(
      '2026-12-15',
    );
  });
});

test.each([
  ['party 31 Feb', 'February has no day 31.'],
  ['party Feb 30 19:00', 'February has no day 30.'],
  ['meeting 25:00', '25:00 is no time of the day.'],
  ['meeting fri 9:75', '9:75 is no time of the day.'],
  ['fitting 31/9', 'There is no day 31/9.'],
])('“%s” is told: %s', (line, problem) => {
  const jot = readJot(line, TUESDAY);
  expect(jot.problems).toEqual([problem]);
  // It stays in the title.
  expect(jot.title).toContain(line.split(' ').find((word) => /\d/.test(word)));
});

test.each(['29 Feb 2028 check', 'ratio 16:9 screen', 'order 1/2 dozen', '24/7 support'])(
  '“%s” has nothing impossible in it',
  (line) => expect(readJot(line, TUESDAY).problems).toEqual([]),
);

test.each([
  ['wensday stock', '2026-11-25'],
  ['stock tomorow', '2026-11-25'],
  ['stock thrusday', '2026-11-26'],
  ['stock 3 decmber', '2026-12-03'],
])('small slips are forgiven: %s', (line, date) => {
  const { title, start } = readJot(line, TUESDAY);
  expect([title, at(start, true)]).toEqual(['stock', date]);
});

test.each(['Sundry items', 'Sundae bar', 'Marsh walk', 'Match day plans', 'Monkey bars'])(
  'words that are near to others are left: %s',
  (line) => expect(readJot(line, TUESDAY).title).toBe(line),
);

test('days of closures are named as they are, the next one of each', () => {
  const namedDays = [
    { name: 'St Piran’s Day', day: parseDate('2026-03-05') },
    { name: 'St Piran’s Day', day: parseDate('2027-03-05') },
    { name: 'Tide-gate service', day: parseDate('2026-12-11') },
  ];
  const context = { ...TUESDAY, namedDays };
  const said = (line: string) => {
    const { title, start } = readJot(line, context);
    return [title, at(start, true)];
  };
  expect(said("St Piran's Day closed")).toEqual(['closed', '2027-03-05']);
  expect(said('Sweep on tide-gate service')).toEqual(['Sweep', '2026-12-11']);
});

test.each([
  ['call fri 9:00 for two hours and a half', 150],
  ['call fri 9:00 for an hour and a half', 90],
  ['call fri 9:00 2 hours and a half', 150],
  ['call fri 9:00 half an hour', 30],
  ['call fri 9:00 for three-quarters of an hour', 45],
  ['call fri 9:00 1h 30', 90],
])('“%s” lasts %i minutes', (line, minutes) => {
  const { title, length } = readJot(line, TUESDAY);
  expect([title, length]).toEqual(['call', minutes]);
});

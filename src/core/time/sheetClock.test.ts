import fc from 'fast-check';
import { formatLocal, HOUR, parseDate, parseLocal } from './civil';
import { axisHours, clockElsewhere, runsOf } from './elsewhere';
import { isTravelClock, sheetClock, travelProblem, zoneOnDay } from './sheetClock';
import { MORE_PLACES } from './morePlaces';
import { searchZones } from './searchZones';
import { describeZone } from './zoneEntries';
import { zonesToChoose } from './zoneNames';
import { instantFromWall, isKnownZone, wallFromInstant } from './zones';

const HOME = 'Europe/London';
const TRIP = { from: '2026-12-08', to: '2026-12-10', zone: 'Asia/Tokyo' };
const clock = sheetClock(HOME, [TRIP]);
const shown = (utc: string, on = clock) => formatLocal(wallFromInstant(Date.parse(utc), on));

test('without travel, or with travel at home, the clock is the home zone', () => {
  expect(sheetClock(HOME, [])).toBe(HOME);
  expect(sheetClock(HOME, [{ ...TRIP, zone: HOME }])).toBe(HOME);
  expect([isTravelClock(HOME), isTravelClock(clock), isKnownZone(clock)]).toEqual([
    false,
    true,
    false,
  ]);
});

test('on the days of a stay its zone counts, before and after that of home', () => {
  expect(
    ['2026-12-07', '2026-12-08', '2026-12-10', '2026-12-11'].map((day) =>
      zoneOnDay(clock, parseDate(day)),
    ),
  ).toEqual([HOME, 'Asia/Tokyo', 'Asia/Tokyo', HOME]);
  expect(shown('2026-12-07T14:59:00Z')).toBe('2026-12-07T14:59:00');
  // Midnight in Tokyo: the stay begins.
  expect(shown('2026-12-07T15:00:00Z')).toBe('2026-12-08T00:00:00');
  expect(shown('2026-12-10T14:59:00Z')).toBe('2026-12-10T23:59:00');
  expect(shown('2026-12-11T09:00:00Z')).toBe('2026-12-11T09:00:00');
});

test('a time put on the sheet is an instant of that day’s zone, and shows there again', () => {
  expect(instantFromWall(parseLocal('2026-12-09T09:00:00'), clock)).toBe(
    Date.parse('2026-12-09T00:00:00Z'),
  );
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 12 * 24 * 4 }),
      fc.constantFrom('Asia/Tokyo', 'America/Halifax', 'Europe/Lisbon'),
      (quarter, zone) => {
        const travelling = sheetClock(HOME, [{ ...TRIP, zone }]);
        const wall = parseLocal('2026-12-03T00:00:00') + quarter * (HOUR / 4);
        const back = wallFromInstant(instantFromWall(wall, travelling), travelling);
        // Only hours that the journey leaves out, or that come twice, show otherwise.
        const isNearEdge = ['2026-12-07', '2026-12-08', '2026-12-10', '2026-12-11'].includes(
          formatLocal(wall).slice(0, 10),
        );
        if (!isNearEdge) expect(back).toBe(wall);
        expect(Math.abs(back - wall)).toBeLessThanOrEqual(9 * HOUR);
      },
    ),
  );
});

test('a stay that ends before it begins is told', () => {
  expect(travelProblem({ from: '2026-12-08', to: '2026-12-07' })).toMatch('before');
  expect(travelProblem(TRIP)).toBeNull();
});

test('the clock elsewhere: date, distance, and whether people are at work', () => {
  const at = Date.parse('2026-11-24T10:25:00Z');
  expect(clockElsewhere(at, 'Asia/Tokyo', HOME)).toMatchObject({
    dayShift: 0,
    ahead: 540,
    isOfficeTime: false,
  });
  expect(clockElsewhere(at, 'Europe/Lisbon', HOME)).toMatchObject({ ahead: 0, isOfficeTime: true });
  expect(clockElsewhere(Date.parse('2026-11-27T20:00:00Z'), 'Asia/Tokyo', HOME)).toMatchObject({
    dayShift: 1,
    isOfficeTime: false,
  });
});

test('an axis is parted where one of the clocks changes', () => {
  const [from, to] = [parseDate('2026-10-26'), parseDate('2026-11-02')];
  const at = (zone: string, on: string) =>
    axisHours(zone, from, to, (wall) => instantFromWall(wall, on)).map(({ ahead, days }) => [
      ahead,
      runsOf(days).map((run) => run.map((day) => day - from)),
    ]);
  // Britain has changed on 25 October; Halifax changes on 1 November.
  expect(at('America/Halifax', HOME)).toEqual([
    [-180, [[0, 5]]],
    [-240, [[6, 6]]],
  ]);
  expect(at('Asia/Tokyo', HOME)).toEqual([[540, [[0, 6]]]]);
  const away = sheetClock(HOME, [{ from: '2026-10-27', to: '2026-10-28', zone: 'Asia/Tokyo' }]);
  expect(at('Asia/Tokyo', away)).toEqual([
    [
      540,
      [
        [0, 0],
        [3, 6],
      ],
    ],
    [0, [[1, 2]]],
  ]);
});

describe('finding a zone', () => {
  const now = Date.parse('2026-11-24T10:00:00Z');
  const zones = zonesToChoose(Intl.supportedValuesOf('timeZone'));
  const entries = zones.map((zone) => describeZone(zone, now));
  const found = (query: string) =>
    searchZones(entries, query, 5).map(({ entry, place }) => `${place} ${entry.zone}`);

  test.each([
    ['osak', 'Osaka Asia/Tokyo'],
    ['JST', 'Tokyo Asia/Tokyo'],
    ['halifax', 'Halifax America/Halifax'],
    ['são p', 'Sao Paulo America/Sao_Paulo'],
    ['+9', 'Tokyo Asia/Tokyo'],
    ['UTC+5:45', 'Kathmandu Asia/Kathmandu'],
    ['kathmandu', 'Kathmandu Asia/Kathmandu'],
    ['katmandu', 'Katmandu Asia/Kathmandu'],
    ['kolkata', 'Kolkata Asia/Kolkata'],
    ['calcutta', 'Calcutta Asia/Kolkata'],
    ['mumbai', 'Mumbai Asia/Kolkata'],
    ['kyiv', 'Kyiv Europe/Kyiv'],
    ['kiev', 'Kiev Europe/Kyiv'],
    ['tel aviv', 'Tel Aviv Asia/Jerusalem'],
    ['nuuk', 'Nuuk America/Nuuk'],
    ['utc', 'UTC UTC'],
    ['BST', 'London Europe/London'],
    ['EDT', 'New York America/New_York'],
    ['CEST', 'Berlin Europe/Berlin'],
    ['nz', /Auckland|Chatham|Antarctica|McMurdo/],
  ])('“%s” finds %s', (query, expected) => {
    const all = searchZones(entries, query, 40).map(({ entry, place }) => `${place} ${entry.zone}`);
    expect(all).toContainEqual(
      typeof expected === 'string' ? expected : expect.stringMatching(expected),
    );
  });

  test('each of the places that are known besides is found by its name, in a zone that is offered', () => {
    for (const [zone, places] of Object.entries(MORE_PLACES))
      for (const place of places.split(', ')) expect(found(place)).toContain(`${place} ${zone}`);
  });

  test('the nearest match comes first, and nothing matches nonsense', () => {
    expect(found('tokyo')[0]).toBe('Tokyo Asia/Tokyo');
    expect(found('quayside')).toEqual([]);
    expect(found('  ')).toEqual([]);
  });

  test('a zone says its abbreviation and offset as they are now', () => {
    expect(describeZone('Europe/London', now)).toMatchObject({
      abbreviation: 'GMT',
      offset: 'UTC',
    });
    expect(describeZone('Europe/London', Date.parse('2026-07-01T00:00:00Z'))).toMatchObject({
      abbreviation: 'BST',
      offset: 'UTC+1',
    });
    expect(describeZone('America/Argentina/Ushuaia', now)).toMatchObject({
      city: 'Ushuaia',
      region: 'America / Argentina',
    });
  });
});

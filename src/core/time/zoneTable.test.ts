import fc from 'fast-check';
import { Temporal } from 'temporal-polyfill';
import { DAY, formatLocal, HOUR, parseLocal } from './civil';
import {
  describeOffset,
  instantFromWall,
  instantOf,
  isKnownZone,
  offsetAt,
  offsetChanges,
  wallFromInstant,
} from './zones';

const ZONES = [
  'UTC',
  'Europe/London',
  'America/Halifax',
  'America/St_Johns',
  'Asia/Tokyo',
  'Asia/Kathmandu',
  'Australia/Lord_Howe',
  'Africa/Casablanca',
  'Pacific/Apia',
  'America/Sao_Paulo',
];
const anyZone = fc.constantFrom(...ZONES);
const anyInstant = fc
  .integer({ min: Date.parse('1975-01-01') / 1000, max: Date.parse('2035-01-01') / 1000 })
  .map((seconds) => seconds * 1000);

test('the table says what Temporal says, at any instant', () => {
  fc.assert(
    fc.property(anyZone, anyInstant, (zone, at) => {
      const zoned = Temporal.Instant.fromEpochMilliseconds(at).toZonedDateTimeISO(zone);
      expect(offsetAt(at, zone)).toBe(Math.round(zoned.offsetNanoseconds / 1e6));
    }),
    { numRuns: 300 },
  );
});

test('any wall time means the instant that Temporal gives it, in gaps and overlaps too', () => {
  fc.assert(
    fc.property(anyZone, anyInstant, (zone, wall) => {
      const plain = Temporal.PlainDateTime.from(formatLocal(wall));
      const expected = plain.toZonedDateTime(zone, {
        disambiguation: 'compatible',
      }).epochMilliseconds;
      expect(instantFromWall(wall, zone)).toBe(expected);
    }),
    { numRuns: 300 },
  );
});

test('an instant’s wall time leads back to an instant that shows the same wall time', () => {
  fc.assert(
    fc.property(anyZone, anyInstant, (zone, at) => {
      const wall = wallFromInstant(at, zone);
      expect(wallFromInstant(instantFromWall(wall, zone), zone)).toBe(wall);
    }),
  );
});

test('a time in a gap is moved later by the gap’s length, one that occurs twice is the first', () => {
  const gap = parseLocal('2026-03-29T01:30:00');
  expect(wallFromInstant(instantFromWall(gap, 'Europe/London'), 'Europe/London')).toBe(gap + HOUR);
  const twice = parseLocal('2026-10-25T01:30:00');
  expect(offsetAt(instantFromWall(twice, 'Europe/London'), 'Europe/London')).toBe(HOUR);
});

test('a floating time takes the zone that looks at it', () => {
  const wall = parseLocal('2026-07-01T09:00:00');
  expect(instantOf(wall, null, 'Asia/Tokyo')).toBe(wall - 9 * HOUR);
  expect(instantOf(wall, 'UTC', 'Asia/Tokyo')).toBe(wall);
});

test('every change of a year is listed with the offsets around it', () => {
  expect(offsetChanges('Europe/London', 2026, 2026)).toEqual([
    { at: Date.parse('2026-03-29T01:00:00Z'), before: 0, after: HOUR },
    { at: Date.parse('2026-10-25T01:00:00Z'), before: HOUR, after: 0 },
  ]);
  expect(offsetChanges('Asia/Tokyo', 2000, 2030)).toEqual([]);
});

test('a zone that skipped a whole day is no trouble', () => {
  const [change] = offsetChanges('Pacific/Apia', 2011, 2011).filter(
    ({ before, after }) => after - before === DAY,
  );
  expect(formatLocal(change!.at + change!.after).slice(0, 10)).toBe('2011-12-31');
});

test.each([
  ['Europe/London', true],
  ['UTC', true],
  ['Saltmarsh/Quay', false],
  ['', false],
])('“%s” is a known zone: %s', (zone, isKnown) => {
  expect(isKnownZone(zone)).toBe(isKnown);
});

test.each([
  [0, 'UTC'],
  [HOUR, 'UTC+1'],
  [-3.5 * HOUR, 'UTC−3:30'],
  [5.75 * HOUR, 'UTC+5:45'],
])('an offset of %i ms is said as %s', (offset, said) => {
  expect(describeOffset(offset)).toBe(said);
});

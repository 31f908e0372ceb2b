import { parseLocal } from './civil';
import { describeOffset, instantFromWall, isKnownZone, offsetAt, wallFromInstant } from './zones';
import cases from './testdata/timezones.json';
import type { EpochMs } from './units';

const iso = (epochMs: EpochMs) => new Date(epochMs).toISOString().replace('.000Z', 'Z');

test.each(cases.map((c) => [`${c.tzid} ${c.local} ${c.about}`, c] as const))('%s', (_id, c) => {
  expect(iso(instantFromWall(parseLocal(c.local), c.tzid))).toBe(c.utc);
});

test('an instant gives back the wall time that named it, away from gaps', () => {
  const wall = parseLocal('2026-07-01T09:15');
  for (const zone of ['Asia/Osaka', 'Asia/Tokyo', 'America/Halifax', 'Europe/Lisbon'].filter(
    isKnownZone,
  )) {
    expect(wallFromInstant(instantFromWall(wall, zone), zone)).toBe(wall);
  }
});

test('offsets are said as people write them', () => {
  const at = Date.UTC(2026, 0, 15);
  expect(describeOffset(offsetAt(at, 'Europe/London'))).toBe('UTC');
  expect(describeOffset(offsetAt(at, 'America/St_Johns'))).toBe('UTC−3:30');
  expect(describeOffset(offsetAt(at, 'Asia/Kolkata'))).toBe('UTC+5:30');
});

test('names that are no zones are told apart', () => {
  expect(isKnownZone('Europe/London')).toBe(true);
  expect(isKnownZone('Saltmarsh/Quay')).toBe(false);
  expect(isKnownZone('+01:00')).toBe(false);
});

import { zoneDescribed, zoneKnownAs } from './describedZones';
import { zoneNamed } from './namedZones';

test.each([
  ['Osaka', 'Asia/Tokyo'],
  ['São Paulo', 'America/Sao_Paulo'],
  ['JST', 'Asia/Tokyo'],
  ['Eastern', 'America/New_York'],
  ['Central European', 'Europe/Berlin'],
  ['UTC+2', 'Etc/GMT-2'],
  ['GMT -05:00', 'Etc/GMT+5'],
  ['UTC+0', 'UTC'],
  ['UTC+05:30', null],
  ['the harbour', null],
])('“%s” is meant as %s', (name, zone) => expect(zoneNamed(name)).toBe(zone));

test.each([
  ['(UTC+01:00) Amsterdam, Berlin, Bern, Rome', 'Europe/Amsterdam'],
  ['(GMT+09:00) Osaka, Sapporo, Tokyo', 'Asia/Tokyo'],
  ['(UTC) Dublin, Edinburgh, Lisbon, London', 'Europe/Dublin'],
  ['(UTC-05:00) Eastern Time (US & Canada)', 'America/New_York'],
  ['(UTC-07:00) Arizona', 'America/Phoenix'],
  ['(UTC-03:30) Newfoundland', 'America/St_Johns'],
  ['(UTC+05:30) Chennai, Kolkata, Mumbai, New Delhi', 'Asia/Kolkata'],
  ['(utc+10:00) Canberra, Melbourne, Sydney', /^Australia\/(Canberra|Melbourne|Sydney)$/],
  // A place that is not known, then one that is; one whose clocks say otherwise.
  ['(UTC+01:00) Lantern Quay, Madrid', 'Europe/Madrid'],
  ['(UTC+03:00) Lisbon', null],
  ['Lisbon', null],
])('“%s” describes %s', (description, zone) => {
  const found = zoneDescribed(description);
  if (zone instanceof RegExp) expect(found).toMatch(zone);
  else expect(found).toBe(zone);
});

test.each([
  ['Asia/Tokyo', 'Asia/Tokyo'],
  ['Tokyo Standard Time', 'Asia/Tokyo'],
  ['Osaka', 'Asia/Tokyo'],
  ['(UTC+09:00) Osaka, Sapporo, Tokyo', 'Asia/Tokyo'],
  ['the harbour', null],
])('a file’s “%s” is %s', (name, zone) => expect(zoneKnownAs(name)).toBe(zone));

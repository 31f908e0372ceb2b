import fc from 'fast-check';
import { mendLines } from './mendLines';

const mended = (...texts: string[]) =>
  mendLines(texts.map((text, i) => ({ text, line: i + 1 }))).map(({ text }) => text);

test.each([
  ['DTSTART:2026-12-01T09:00:00Z', 'DTSTART:20261201T090000Z'],
  ['DTSTART;TZID=Europe/London:2026-12-01T09:00', 'DTSTART;TZID=Europe/London:20261201T090000'],
  ['DTSTART;VALUE=DATE:2026-12-01', 'DTSTART;VALUE=DATE:20261201'],
  ['DTEND:20261201T240000Z', 'DTEND:20261202T000000Z'],
  ['DTEND:20261231T2400Z', 'DTEND:20270101T000000Z'],
  ['DTSTART:20261201T090000+0100', 'DTSTART:20261201T080000Z'],
  ['DTSTART:2026-12-31T20:30:15.25-05:30', 'DTSTART:20270101T020015Z'],
  ['EXDATE:2026-12-01T09:00:00Z,20261202T090000Z', 'EXDATE:20261201T090000Z,20261202T090000Z'],
  ['RDATE;VALUE=PERIOD:2026-12-01T09:00:00Z/PT1H', 'RDATE;VALUE=PERIOD:20261201T090000Z/PT1H'],
  ['RRULE:FREQ=DAILY;UNTIL=2026-12-31;INTERVAL=2', 'RRULE:FREQ=DAILY;UNTIL=20261231;INTERVAL=2'],
  ['SUMMARY;ENCODING=QUOTED-PRINTABLE;CHARSET=UTF-8:Caf=C3=A9', 'SUMMARY:Café'],
  ['SUMMARY;CHARSET=ISO-8859-1;ENCODING=QUOTED-PRINTABLE:Caf=E9', 'SUMMARY:Café'],
  ['DESCRIPTION;ENCODING=QUOTED-PRINTABLE:One=0D=0ATwo: 3=', 'DESCRIPTION:One\\nTwo: 3='],
])('%s', (line, to) => expect(mended(line)).toEqual([to]));

test.each([
  'DTSTART:20261201T090000Z',
  'DTSTART;TZID="A: B":20261201T090000',
  'DTSTART:20269901T240000Z',
  'DTSTART:20261201T243000Z',
  'DTSTART:soon',
  'SUMMARY:2026-12-01T09:00:00Z',
  'DESCRIPTION:ENCODING=QUOTED-PRINTABLE: =C3=A9',
])('%s stays as it is', (line) => expect(mended(line)).toEqual([line]));

test('a text in numbers goes on in the lines behind it, up to one that ends it', () => {
  expect(
    mended('SUMMARY;ENCODING=QUOTED-PRINTABLE:A long =', 'title=21', 'LOCATION:Quay 3'),
  ).toEqual(['SUMMARY:A long title!', 'LOCATION:Quay 3']);
});

test('whatever stands in lines, they are mended once', () => {
  const line = fc.oneof(
    fc.string(),
    fc
      .constantFrom('DTSTART:', 'RRULE:UNTIL=', 'EXDATE:2026-12-01T')
      .chain((head) => fc.stringMatching(/^[\dTZ:+,=/-]{0,20}$/).map((rest) => head + rest)),
  );
  fc.assert(
    fc.property(fc.array(line, { maxLength: 4 }), (lines) => {
      const once = mended(...lines);
      expect(mended(...once)).toEqual(once);
    }),
  );
});

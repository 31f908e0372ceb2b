import fc from 'fast-check';
import { decodeText } from './decode';
import { componentLines, foldLine, parseComponent } from './jcal';
import { FileError, scanComponents } from './scan';
import { FileZones } from './zoneOfFile';
import { zoneLines } from './writeZone';

const lines = (...parts: string[]) => parts.join('\r\n');

test('components are found with their lines and their places in the file', () => {
  const [calendar] = scanComponents(
    lines('BEGIN:VCALENDAR', 'VERSION:2.0', 'BEGIN:VEVENT', 'UID:a', 'END:VEVENT', 'END:VCALENDAR'),
  );
  expect(calendar).toMatchObject({
    name: 'VCALENDAR',
    line: 1,
    lines: [{ text: 'VERSION:2.0', line: 2 }],
  });
  expect(calendar!.children).toMatchObject([
    { name: 'VEVENT', line: 3, lines: [{ text: 'UID:a', line: 4 }] },
  ]);
});

test.each(['\r\n', '\n', '\r'])('lines may end in %j, and folded ones are joined', (end) => {
  const text = ['begin:vcalendar', 'NAME:Har', ' bour', '\t office', 'end:vcalendar'].join(end);
  expect(scanComponents(text)[0]!.lines).toEqual([{ text: 'NAME:Harbour office', line: 2 }]);
});

test('what stands around the calendar is passed over', () => {
  const text = lines('Sent from the ferry', '', 'BEGIN:VCALENDAR', 'END:VCALENDAR', 'Kind regards');
  expect(scanComponents(text)).toMatchObject([{ name: 'VCALENDAR', line: 3 }]);
});

test.each([
  [lines('BEGIN:VCALENDAR', 'BEGIN:VEVENT'), 'VEVENT begins on line 2 and never ends'],
  [lines('END:VEVENT'), 'Line 1 ends VEVENT, which never began'],
  ['   ', 'The file is empty'],
  ['a,b\n1,2', 'This is not a calendar file'],
])('a file that does not hold together says where', (text, reason) => {
  expect(() => scanComponents(text)).toThrow(FileError);
  expect(() => scanComponents(text)).toThrow(reason);
});

test('an END of nothing that is open, or with letters too many, spoils no file', () => {
  const text = lines(
    'BEGIN:VCALENDAR',
    'BEGIN:VEVENT',
    'UID:a',
    'END:VALARM',
    'END:VEVENT',
    'END:VCALENDARS',
  );
  const [calendar] = scanComponents(text);
  const { jcal, bad } = parseComponent(calendar!.children[0]!);
  expect(bad.map(({ line }) => line)).toEqual([4]);
  expect(jcal[1]).toEqual([['uid', {}, 'text', 'a']]);
});

test('a bad line of an alarm leaves the event and the alarm’s other lines', () => {
  const text = lines(
    'BEGIN:VEVENT',
    'UID:a',
    'BEGIN:VALARM',
    'TRIGGER:-PT5M',
    'no colon here',
    'END:VALARM',
    'END:VEVENT',
  );
  const { jcal, bad } = parseComponent(scanComponents(text)[0]!);
  expect(bad).toEqual([{ text: 'no colon here', line: 5 }]);
  expect(jcal[2]).toEqual([['valarm', [['trigger', {}, 'duration', '-PT5M']], []]]);
});

test('repeat rules are kept as the file wrote them', () => {
  const text = lines(
    'BEGIN:VEVENT',
    'RRULE:FREQ=DAILY;SKIP=FORWARD;RSCALE=GREGORIAN',
    'END:VEVENT',
  );
  const { jcal, rules } = parseComponent(scanComponents(text)[0]!);
  expect(rules).toEqual(['FREQ=DAILY;SKIP=FORWARD;RSCALE=GREGORIAN']);
  expect(jcal[1]).toEqual([]);
});

test('no folded part is longer than 75 octets, and unfolding gives the line back', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: 400 }), (raw) => {
      const line = raw.replaceAll(/[\r\n]/g, '');
      const folded = foldLine(line);
      for (const part of folded.split('\r\n'))
        expect(Buffer.byteLength(part)).toBeLessThanOrEqual(75);
      expect(folded.replaceAll('\r\n ', '')).toBe(line);
    }),
  );
});

test('a component is written with everything inside it', () => {
  expect(
    componentLines([
      'vevent',
      [['x-lamp', { side: 'port' }, 'unknown', '14']],
      [['valarm', [], []]],
    ]),
  ).toEqual(['BEGIN:VEVENT', 'X-LAMP;SIDE=port:14', 'BEGIN:VALARM', 'END:VALARM', 'END:VEVENT']);
});

test.each([
  ['UTF-8', Buffer.from('Öl'), undefined],
  ['UTF-8 with a mark', Buffer.from('\ufeffÖl'), undefined],
  ['UTF-16, little end first', Buffer.from('\ufeffÖl', 'utf16le'), undefined],
  ['UTF-16, big end first', Buffer.from('\ufeffÖl', 'utf16le').swap16(), undefined],
  ['Windows-1252', Buffer.from('Öl', 'latin1'), /Western European/],
] as const)('%s is read', (_name, bytes, note) => {
  const decoded = decodeText(bytes);
  expect(decoded.text).toBe('Öl');
  if (note) expect(decoded.note).toMatch(note);
  else expect(decoded.note).toBeUndefined();
});

test('a file’s zone that has no known name is found by its behaviour, and that is said', () => {
  const [definition] = scanComponents(
    zoneLines('America/Halifax', 2020, 2030)
      .join('\r\n')
      .replace('TZID:America/Halifax', 'TZID:Ferry time'),
  );
  const zones = new FileZones([definition!]);
  expect(zones.zoneFor('Ferry time')).toBe('America/Halifax');
  expect(zones.notes).toEqual([
    'The time zone “Ferry time” is read as America/Halifax, whose clocks agree.',
  ]);
});

test.each([
  ['Europe/Lisbon', 'Europe/Lisbon'],
  ['GMT Standard Time', 'Europe/London'],
  ['Tokyo Standard Time', 'Asia/Tokyo'],
  ['/maker.example/20260101_1/America/Argentina/Ushuaia', 'America/Argentina/Ushuaia'],
  ['Nowhere in particular', null],
])('“%s” is the zone %s', (tzid, zone) => {
  expect(new FileZones([]).zoneFor(tzid)).toBe(zone);
});

test('a VTIMEZONE says yearly rules where a zone has them, and single changes where not', () => {
  const london = zoneLines('Europe/London', 2024, 2028);
  expect(london.filter((line) => line.startsWith('RRULE'))).toEqual([
    'RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU',
    'RRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU',
  ]);
  expect(zoneLines('Asia/Tokyo', 2024, 2028).filter((line) => line.startsWith('RRULE'))).toEqual(
    [],
  );
  expect(london.filter((line) => line === 'BEGIN:DAYLIGHT')).toHaveLength(1);
});

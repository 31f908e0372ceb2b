/** Files that are sound, to be broken: between them they hold each kind of what a calendar file has. */
const SEEDS: readonly string[] = [
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Quay//Made up//EN',
    'X-WR-CALNAME:Lamps',
    'BEGIN:VTIMEZONE',
    'TZID:Quay time',
    'BEGIN:STANDARD',
    'DTSTART:19961027T020000',
    'RRULE:FREQ=YEARLY;BYDAY=-1SU;BYMONTH=10',
    'TZOFFSETFROM:+0100',
    'TZOFFSETTO:+0000',
    'END:STANDARD',
    'BEGIN:DAYLIGHT',
    'DTSTART:19810329T010000',
    'RRULE:FREQ=YEARLY;BYDAY=-1SU;BYMONTH=3',
    'TZOFFSETFROM:+0000',
    'TZOFFSETTO:+0100',
    'END:DAYLIGHT',
    'END:VTIMEZONE',
    'BEGIN:VEVENT',
    'UID:round@quay.example',
    'SEQUENCE:2',
    'DTSTAMP:20261101T080000Z',
    'DTSTART;TZID=Quay time:20261102T083000',
    'DTEND;TZID=Quay time:20261102T090000',
    'RRULE:FREQ=WEEKLY;BYDAY=MO,WE,FR;UNTIL=20270301T000000Z',
    'EXDATE;TZID=Quay time:20261106T083000,20261109T083000',
    'RDATE;VALUE=PERIOD:20261107T083000Z/PT2H',
    'SUMMARY:Bench round\\, hall',
    'DESCRIPTION:Two lines\\nand a',
    '  folded one',
    'LOCATION:Bench hall',
    'CATEGORIES:Lamps,Money',
    'ATTENDEE;CN="Junia; Orr";PARTSTAT=ACCEPTED:mailto:junia@quay.example',
    'BEGIN:VALARM',
    'ACTION:DISPLAY',
    'TRIGGER:-PT15M',
    'DESCRIPTION:Soon',
    'END:VALARM',
    'END:VEVENT',
    'BEGIN:VEVENT',
    'UID:round@quay.example',
    'RECURRENCE-ID;TZID=Quay time:20261111T083000',
    'DTSTART;TZID=Quay time:20261111T100000',
    'DURATION:PT1H30M',
    'SUMMARY:Long round',
    'END:VEVENT',
    'END:VCALENDAR',
  ],
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'BEGIN:VEVENT',
    'UID:leave@quay.example',
    'DTSTART;VALUE=DATE:20261203',
    'DTEND;VALUE=DATE:20261205',
    'RRULE:FREQ=MONTHLY;BYMONTHDAY=-1;COUNT=12',
    'RDATE;VALUE=DATE:20261224',
    'TRANSP:TRANSPARENT',
    'CLASS:PRIVATE',
    'PRIORITY:1',
    'URL:http://quay.example/leave',
    'GEO:51.5;-0.1',
    'ATTACH;FMTTYPE=text/plain;ENCODING=BASE64;VALUE=BINARY:bGFtcHM=',
    'X-QUAY;X-A=1;X-B="two:":three',
    'END:VEVENT',
    'BEGIN:VTODO',
    'UID:shellac@quay.example',
    'DUE;VALUE=DATE:20261130',
    'STATUS:NEEDS-ACTION',
    'SUMMARY:Order shellac',
    'END:VTODO',
    'BEGIN:VJOURNAL',
    'UID:note@quay.example',
    'SUMMARY:Note',
    'END:VJOURNAL',
    'END:VCALENDAR',
  ],
].map((lines) => [...lines, ''].join('\r\n'));

/** What is put where it does not belong. */
const ODD = [
  ...['', ':', ';', ',', '=', '"', '\\', '\n', '\r', '\t', ' ', '\u0000', '\ufeff', '\ud800', '😀'],
  ...['-1', '0', '99999999999', '1e9', 'NaN', 'P', 'PT', '-P1W', '+9999', '00000000', '20260231'],
  ...['T000000', 'Z', '20261139T256199Z', 'BYDAY=53MO', 'COUNT=0', 'INTERVAL=0', 'UNTIL=x'],
  ...[
    'FREQ=SECONDLY',
    'FREQ=NEVER',
    'BYSETPOS=-1',
    'BYYEARDAY=366',
    'WKST=XX',
    'RRULE:',
    'EXRULE:',
  ],
  ...['constructor', '__proto__', 'toString', 'TZID=', 'TZID=../..', 'VALUE=DATE', 'VALUE=PERIOD'],
  ...['BEGIN:VEVENT', 'END:VEVENT', 'BEGIN:VALARM', 'END:VCALENDAR', 'BEGIN:VTIMEZONE', 'DTSTART:'],
  ...['RECURRENCE-ID:20261104T083000Z', 'RANGE=THISANDFUTURE', 'DURATION:P9999Y', 'SEQUENCE:-5'],
];

/** Numbers that come again for the same seed (mulberry32), from 0 to 1. */
function randomFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** A sound file with some of it broken, the same for the same number. */
export function mutated(seed: number): string {
  const random = randomFrom(seed);
  const below = (n: number) => Math.floor(random() * n);
  const one = <T>(list: readonly T[]): T => list[below(list.length)]!;
  const inLine = (line: string) => {
    const at = below(line.length + 1);
    return line.slice(0, at) + one(ODD) + line.slice(at + below(4));
  };
  const mutations: ((lines: string[]) => void)[] = [
    (lines) => lines.splice(below(lines.length), 1 + below(3)),
    (lines) => lines.splice(below(lines.length), 0, one(lines)),
    (lines) => lines.splice(below(lines.length), 0, one(ODD)),
    (lines) => lines.splice(below(lines.length), 0, ...Array<string>(below(30)).fill(one(lines))),
    (lines) => void lines.push(...lines.splice(below(lines.length), below(8))),
    (lines) => lines.splice(1 + below(lines.length)),
  ];
  const lines = one(SEEDS).split('\r\n');
  for (let n = 1 + below(5); n > 0 && lines.length > 0; n--) {
    if (random() < 0.55) {
      const at = below(lines.length);
      lines[at] = inLine(lines[at]!);
    } else one(mutations)(lines);
  }
  return lines.join(one(['\r\n', '\r\n', '\n', '\r']));
}

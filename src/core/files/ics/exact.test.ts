import type { CalendarEvent } from '../../model/event';
import { newEvent } from '../../model/event';
import { EventIndex } from '../../agenda/eventIndex';
import { formatLocal, parseDate } from '../../time/civil';
import type { Present } from './plan';
import { planImport } from './plan';
import { readCalendarFile } from './readFile';
import { writeCalendarFile } from './writeFile';

/** What a person would not forgive: an update that is not seen, a text or date that comes back as another. */

const NOW = Date.UTC(2026, 10, 24);

function read(text: string) {
  const reading = readCalendarFile(text, NOW);
  for (;;) {
    const step = reading.next();
    if (step.done) return step.value;
  }
}

const file = (...lines: string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', ...lines, 'END:VCALENDAR', ''].join('\r\n');
const entry = (...lines: string[]) => ['BEGIN:VEVENT', 'UID:a', ...lines, 'END:VEVENT'];
const holding = (...events: CalendarEvent[]): Present => ({
  eventsOf: () => events,
  taskOf: () => undefined,
});
const plan = (text: string, ...present: CalendarEvent[]) =>
  planImport(read(text), 'workshop', holding(...present), () => 'new').events;
const write = (event: CalendarEvent) =>
  writeCalendarFile({ name: '', events: [event], tasks: [], passthrough: [], now: NOW });

const zoned = (local: string) => ({ kind: 'zoned', local, zone: 'Europe/London' }) as const;
const HERE = newEvent(
  {
    id: 'a',
    uid: 'a',
    calendarId: 'workshop',
    title: 'Bench round',
    start: zoned('2026-11-24T09:00:00'),
    end: zoned('2026-11-24T10:00:00'),
    rule: 'FREQ=WEEKLY;COUNT=4',
    reminders: [{ minutes: -15, from: 'start' }],
    icon: 'anchor',
    inkOverride: '#1F5A4C',
    availability: 'away',
    changedDates: { '2026-12-01T09:00:00': { reminders: [], icon: null, revision: 1 } },
  },
  1000,
);

describe('a newer revision from this app', () => {
  test.each<[string, Partial<CalendarEvent>]>([
    ['reminders', { reminders: [{ minutes: -5, from: 'start' }] }],
    ['no reminders', { reminders: [], changedDates: {} }],
    ['an ink', { inkOverride: '#9A3A2C' }],
    ['no icon', { icon: undefined, changedDates: {} }],
    [
      'a date with an ink of its own',
      { changedDates: { '2026-12-01T09:00:00': { inkOverride: '#9A3A2C', revision: 2 } } },
    ],
  ])('that changes only %s is an update', (_what, change) => {
    const newer = { ...HERE, ...change, revision: 1 };
    const [planned] = plan(write(newer), HERE);
    expect(planned!.fate).toBe('updated');
    expect(planned!.after).toEqual({ ...newer, removedAt: undefined });
  });

  test('that changes nothing is none', () => {
    expect(plan(write(HERE), HERE)[0]!.fate).toBe('unchanged');
  });
});

test('another program’s update leaves what it has no words for', () => {
  const text = file(
    ...entry(
      'SUMMARY:Bench round moved',
      'DTSTART;TZID=Europe/London:20261124T090000',
      'DTEND;TZID=Europe/London:20261124T100000',
      'RRULE:FREQ=WEEKLY;COUNT=4',
      'SEQUENCE:2',
    ),
  );
  const [planned] = plan(text, HERE);
  expect(planned!.fate).toBe('updated');
  expect(planned!.after).toMatchObject({
    title: 'Bench round moved',
    reminders: HERE.reminders,
    icon: 'anchor',
    inkOverride: '#1F5A4C',
    availability: 'away',
    changedDates: { '2026-12-01T09:00:00': { reminders: [], icon: null } },
  });
});

test('malformed dates that pass through stay as they were, however often', () => {
  const odd = [
    'X-DATE;VALUE=DATE:2026-13-45',
    'COMPLETED:20261',
    'X-SPAN;VALUE=PERIOD:20260101T000000Z/XX',
    'X-OFFSET;VALUE=UTC-OFFSET:+1',
    'X-SOON;VALUE=DATE-TIME;X-NOTE="a:b":tomorrow\\, noon',
  ];
  const task = ['BEGIN:VTODO', 'UID:t', 'SUMMARY:Order shellac', 'DUE:soon', 'END:VTODO'];
  let text = file(...entry('DTSTART:20261124T090000', 'DTEND:20261124T100000', ...odd), ...task);
  for (let times = 0; times < 3; times++) {
    const { events, tasks } = read(text);
    const event = { ...events[0]!, id: 'a', calendarId: 'workshop' };
    const todo = { ...tasks[0]!, id: 't', calendarId: 'workshop' };
    text = writeCalendarFile({
      name: '',
      events: [event],
      tasks: [todo],
      passthrough: [],
      now: NOW,
    });
    const lines = text.replaceAll('\r\n ', '').split('\r\n');
    for (const line of ['DUE:soon', ...odd.slice(0, 4)]) expect(lines).toContain(line);
    expect(lines.some((line) => /^X-SOON;.*:tomorrow\\, noon$/.test(line))).toBe(true);
  }
});

test('a text with line breaks of any kind comes back with plain ones', () => {
  const event = { ...HERE, notes: 'one\r\ntwo\rthree\nfour', title: 'A\r\nB' };
  const text = write(event);
  expect(text.split('\r\n').every((line) => !/[\r\n]/.test(line))).toBe(true);
  expect(read(text).events[0]).toMatchObject({ notes: 'one\ntwo\nthree\nfour', title: 'A\nB' });
});

test('a length in days follows the clock, one in hours does not', () => {
  const lasting = (duration: string) =>
    file(
      ...entry(
        'DTSTART;TZID=Europe/London:20261018T120000',
        `DURATION:${duration}`,
        'RRULE:FREQ=WEEKLY;BYDAY=SA,SU;COUNT=4',
      ),
    );
  const ends = (text: string) => {
    const index = new EventIndex();
    const [event] = planImport(read(text), 'w', holding(), () => 'a').events;
    index.put(event!.after);
    const window = {
      fromDay: parseDate('2026-10-17'),
      toDay: parseDate('2026-11-02'),
      zone: 'Europe/London',
    };
    return index.query(window, null).occurrences.map(({ end }) => formatLocal(end).slice(5, 16));
  };
  // The clocks go back in the night to 25 October.
  expect(ends(lasting('P1D'))).toEqual([
    '10-19T12:00',
    '10-25T12:00',
    '10-26T12:00',
    '11-01T12:00',
  ]);
  expect(ends(lasting('PT24H'))).toEqual([
    '10-19T12:00',
    '10-25T11:00',
    '10-26T12:00',
    '11-01T12:00',
  ]);
  const [event] = read(lasting('P1DT2H')).events;
  const again = write({ ...event!, id: 'a', calendarId: 'w' });
  expect(again).toContain('DURATION:P1DT7200S');
  expect(ends(again)).toEqual(ends(lasting('P1DT2H')));
});

test('a changed date that reaches the later ones says so, and is read so', () => {
  const changed: CalendarEvent = {
    ...HERE,
    changedDates: { '2026-12-08T09:00:00': { title: 'Long round', andLater: true, revision: 1 } },
  };
  const text = write(changed);
  expect(text).toMatch(/^RECURRENCE-ID;RANGE=THISANDFUTURE;TZID=/m);
  expect(read(text).events[0]!.changedDates).toEqual(changed.changedDates);
});

test('the room is the first address of the web; numbers to ring and what is no address pass through', () => {
  const lines = [
    'CONFERENCE;VALUE=URI;FEATURE=PHONE:tel:+441632960018',
    'CONFERENCE;VALUE=URI;FEATURE=VIDEO:https://rooms.example/a',
    'CONFERENCE;VALUE=URI:javascript:alert(1)',
  ];
  const text = file(...entry('DTSTART:20261124T090000Z', ...lines));
  const [planned] = plan(text);
  expect(planned!.after.room).toBe('https://rooms.example/a');
  const again = write(planned!.after).replaceAll('\r\n ', '').split('\r\n');
  expect(again.filter((line) => line.startsWith('CONFERENCE')).sort()).toEqual(
    [
      'CONFERENCE;FEATURE=PHONE;VALUE=URI:tel:+441632960018',
      'CONFERENCE;FEATURE=VIDEO;VALUE=URI:https://rooms.example/a',
      'CONFERENCE;VALUE=URI:javascript:alert(1)',
    ].sort(),
  );
  const [none] = plan(file(...entry('DTSTART:20261124T090000Z', lines[2]!)));
  expect(none!.after.room).toBe('');
});

import { readCalendarFile } from './readFile';

/** The one event of a file with these lines. */
function eventWith(...lines: string[]) {
  const text = [
    'BEGIN:VCALENDAR',
    'BEGIN:VEVENT',
    'UID:a',
    ...lines,
    'END:VEVENT',
    'END:VCALENDAR',
    '',
  ].join('\r\n');
  const reader = readCalendarFile(text, 0);
  let step = reader.next();
  while (!step.done) step = reader.next();
  return step.value.events[0]!;
}
const endOf = (...lines: string[]) => {
  const { end } = eventWith(...lines);
  return end.kind === 'date' ? end.date : end.local;
};

// RFC 5545 §3.3.6
test.each([
  ['P1W', '2026-12-01'],
  ['P2W', '2026-12-08'],
  ['P3D', '2026-11-27'],
  ['P1W1D', '2026-12-02'],
  ['PT48H', '2026-11-26'],
  ['PT30H', '2026-11-26'],
  ['PT0S', '2026-11-25'],
  ['-P2D', '2026-11-25'],
])('whole days that last %s end on %s', (duration, end) => {
  expect(endOf('DTSTART;VALUE=DATE:20261124', `DURATION:${duration}`)).toBe(end);
});

test.each([
  ['PT1H30M', '2026-11-24T10:30:00'],
  ['PT90S', '2026-11-24T09:01:30'],
  ['P1DT2H', '2026-11-25T11:00:00'],
  ['P2W', '2026-12-08T09:00:00'],
  ['+PT15M', '2026-11-24T09:15:00'],
])('a time that lasts %s ends at %s', (duration, end) => {
  expect(endOf('DTSTART:20261124T090000', `DURATION:${duration}`)).toBe(end);
});

test('an end of the other kind is taken in the kind of the start', () => {
  expect(endOf('DTSTART;VALUE=DATE:20261124', 'DTEND:20261126T090000')).toBe('2026-11-26');
  expect(endOf('DTSTART:20261124T090000', 'DTEND;VALUE=DATE:20261126')).toBe('2026-11-26T00:00:00');
});

test('a date alone names that day’s date of a timed series', () => {
  const { skippedDates } = eventWith(
    'DTSTART:20261124T090000',
    'RRULE:FREQ=DAILY;COUNT=5',
    'EXDATE;VALUE=DATE:20261126',
  );
  expect(skippedDates).toEqual(['2026-11-26T09:00:00']);
});

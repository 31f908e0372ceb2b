import { newCalendar } from './calendar';
import { newEvent } from './event';
import { INKS, nextInkAndMark } from './inks';
import { readRecord, splitKey, writeRecord } from './records';
import { RecordError, unwrap } from './migrate';

const timed = newEvent(
  {
    id: 'lamp-14',
    calendarId: 'workshop',
    title: 'Lamp 14 strip-down',
    start: { kind: 'zoned', local: '2026-11-23T13:00:00', zone: 'Europe/London' },
    end: { kind: 'zoned', local: '2026-11-23T15:00:00', zone: 'Europe/London' },
  },
  1_000,
);

test('a record comes back from its text as it was', () => {
  expect(readRecord('event', writeRecord('event', timed))).toEqual(timed);
});

test('an older record is taken through every step to the current version', () => {
  const old = JSON.stringify({ version: 1, data: { id: 'tasks', label: 'Old name' } });
  const steps = {
    1: (_type: string, data: Record<string, unknown>) => ({ ...data, name: data['label'] }),
    2: (_type: string, data: Record<string, unknown>) => ({ ...data, ink: INKS.Moss }),
  };
  expect(unwrap('category', old, steps, 3)).toEqual({
    id: 'tasks',
    label: 'Old name',
    name: 'Old name',
    ink: INKS.Moss,
  });
  expect(() => unwrap('category', old, { 2: steps[2] }, 3)).toThrow("can't be read any more");
});

test.each([
  ['damaged text', '{"version":1,"data"', 'damaged'],
  ['another kind of text', '"hello"', 'not a record'],
  ['a newer version', JSON.stringify({ version: 99, data: {} }), 'newer version'],
  ['a missing field', JSON.stringify({ version: 1, data: { id: 'x' } }), 'name'],
])('%s is refused with its reason', (_what, text, reason) => {
  expect(() => readRecord('calendar', text)).toThrow(RecordError);
  expect(() => readRecord('calendar', text)).toThrow(reason);
});

test.each([
  ['an end before the start', { end: { ...timed.end, local: '2026-11-23T12:00:00' } }],
  ['a date that does not exist', { start: { kind: 'date', date: '2026-02-30' } }],
  ['an unknown zone', { start: { ...timed.start, zone: 'Saltmarsh/Quay' } }],
  ['a broken repeat', { rule: 'FREQ=NEVER' }],
])('an event with %s is not stored', (_what, fields) => {
  expect(() => writeRecord('event', { ...timed, ...fields } as typeof timed)).toThrow(RecordError);
});

test('keys name type and id; other keys name nothing', () => {
  expect(splitKey('event/abc')).toEqual({ type: 'event', id: 'abc' });
  expect(splitKey('change/12')).toBeNull();
  expect(splitKey('event')).toBeNull();
});

test('a new calendar gets an ink and a mark that no other has', () => {
  const first = newCalendar({ id: 'a', name: 'A', order: 0, ink: INKS.Kelp, mark: 'square' });
  expect(nextInkAndMark([first])).toEqual({ ink: INKS.Harbour, mark: 'circle' });
});

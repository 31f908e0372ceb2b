import { newCalendar } from '../model/calendar';
import { newEvent } from '../model/event';
import { DEFAULT_SETTINGS } from '../model/others';
import type { TypedRecord } from '../model/records';
import { readBackup, recordKey, writeBackup } from './backup';

const MADE = Date.parse('2026-11-24T10:25:00Z');
const calendar = newCalendar({
  id: 'workshop',
  name: 'Workshop',
  ink: '#1F5A4C',
  mark: 'square',
  order: 0,
});
const zoned = (local: string) => ({ kind: 'zoned', local, zone: 'Europe/London' }) as const;
const event = newEvent(
  {
    id: 'strip-down',
    calendarId: 'workshop',
    title: 'Lamp 14 “strip-down”',
    start: zoned('2026-11-23T13:00:00'),
    end: zoned('2026-11-23T15:00:00'),
  },
  MADE,
);
const records: TypedRecord[] = [
  { type: 'calendar', record: calendar },
  { type: 'event', record: event },
  { type: 'settings', record: { ...DEFAULT_SETTINGS, accent: 'heather', zoom: 1.5 } },
];

test('a backup gives back every record and the contents of files', () => {
  const text = writeBackup({ made: MADE, records, files: { f1: 'AAEC' } });
  const read = readBackup(text);
  expect(read.made).toBe(MADE);
  expect(read.records).toEqual(records);
  expect(read.files).toEqual({ f1: 'AAEC' });
  expect(read.bad).toEqual([]);
});

test('of two backups only the line of what changed differs', () => {
  const other = { ...event, title: 'Lamp 15' };
  const lines = (list: TypedRecord[]) =>
    writeBackup({ made: MADE, records: list, files: {} }).split('\n');
  const before = lines(records);
  const after = lines(
    records.map((one) => (one.type === 'event' ? { ...one, record: other } : one)),
  );
  expect(after).toHaveLength(before.length);
  expect(after.filter((line, i) => line !== before[i])).toHaveLength(1);
});

test('a record that does not fit is set aside by name with its reason, and the rest is read', () => {
  const whole = JSON.parse(writeBackup({ made: MADE, records, files: {} })) as {
    records: Record<string, unknown[]>;
  };
  whole.records['event']!.push({ ...event, id: 'bad', title: 'Broken', start: { kind: 'date' } });
  whole.records['voyage'] = [{ name: 'Ferry' }];
  const read = readBackup(JSON.stringify(whole));
  expect(read.records).toEqual(records);
  expect(read.bad.map(({ what }) => what)).toEqual([
    expect.stringMatching(/^event “Broken”: start/),
    'voyage “Ferry”: the app knows no such records',
  ]);
  expect(JSON.parse(read.bad[0]!.raw)).toMatchObject({ id: 'bad' });
});

test('settings of an older backup get the choices that it does not know', () => {
  const old = JSON.parse(writeBackup({ made: MADE, records, files: {} })) as {
    records: { settings: Record<string, unknown>[] };
  };
  for (const field of ['accent', 'zoom', 'hasWeekends', 'textSize', 'todayPicture'])
    delete old.records.settings[0]![field];
  const [settings] = readBackup(JSON.stringify(old)).records.filter(
    ({ type }) => type === 'settings',
  );
  expect(settings!.record).toEqual(DEFAULT_SETTINGS);
});

test.each([
  ['what is no JSON', 'BEGIN:VCALENDAR', /no backup, or a damaged one/],
  ['another JSON file', '{"format":"else"}', /not a backup of this app/],
  [
    'a backup of a newer version',
    '{"format":"orderly-week-backup","version":99,"made":"","records":{}}',
    /newer version/,
  ],
])('%s is refused in words', (_what, text, words) => {
  expect(() => readBackup(text)).toThrow(words);
});

test('records are named by their kind and id, settings by their owner', () => {
  expect(records.map(recordKey)).toEqual([
    'calendar/workshop',
    'event/strip-down',
    'settings/mine',
  ]);
});

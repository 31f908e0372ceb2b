import { newCalendar } from '../model/calendar';
import { newEvent } from '../model/event';
import { DEFAULT_SETTINGS } from '../model/others';
import type { TypedRecord } from '../model/records';
import type { Backup } from './backup';
import { BACKUP_TAIL, backupFile, backupHead, readBackup, recordKey } from './backup';

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
  { type: 'settings', record: { ...DEFAULT_SETTINGS, accent: 'heather', zoom: 1.5 } },
  { type: 'calendar', record: calendar },
  { type: 'event', record: event },
];

const FILES = { f1: 'AAEC', f2: 'AwQF' };

function writeBackup(
  { made, records, aside = [] }: Partial<Backup> & Pick<Backup, 'made' | 'records'>,
  files: Record<string, string> = {},
): string {
  const entries = Object.entries(files);
  return [
    backupHead({ made, records, aside }),
    ...entries.map(([id, data], i) => backupFile(id, data, i === entries.length - 1)),
    BACKUP_TAIL,
  ].join('');
}

const blobOf = (text: string) => new Blob([text]);

test.each([
  ['at once', undefined],
  ['line by line, where it is long', 0],
])(
  'a backup gives back every record, the contents of files and what is set aside, read %s',
  async (_how, longFrom) => {
    const aside = [{ key: 'event/torn', raw: '{ torn\n"', reason: 'the text is damaged' }];
    const text = writeBackup({ made: MADE, records, aside }, FILES);
    const files: Record<string, string> = {};
    const read = await readBackup(
      blobOf(text),
      (id, data) => void (files[id] = data),
      longFrom === undefined ? {} : { longFrom },
    );
    expect(read.made).toBe(MADE);
    expect(read.records).toEqual(records);
    expect(read.files).toEqual(['f1', 'f2']);
    expect(files).toEqual(FILES);
    expect(read.aside).toEqual(aside);
    expect(JSON.parse(text)).toMatchObject({ files: FILES });
    expect(read.bad).toEqual([]);
  },
);

test('a long backup on one line is read all the same, or refused with its size', async () => {
  const lines = writeBackup({ made: MADE, records }, FILES);
  const one = JSON.stringify(JSON.parse(lines));
  const files: Record<string, string> = {};
  const take = (id: string, data: string) => void (files[id] = data);
  const read = await readBackup(blobOf(one), take, { longFrom: 0 });
  expect([read.records, files]).toEqual([records, FILES]);
  const long = blobOf(one + ' '.repeat(3_000_000));
  await expect(readBackup(long, take, { longFrom: 0, longestWhole: 1000 })).rejects.toThrow(
    /^This file has 3 MB and is not in the lines .* Nothing was changed/,
  );
});

test('of two backups only the line of what changed differs', () => {
  const other = { ...event, title: 'Lamp 15' };
  const lines = (list: TypedRecord[]) => writeBackup({ made: MADE, records: list }).split('\n');
  const before = lines(records);
  const after = lines(
    records.map((one) => (one.type === 'event' ? { ...one, record: other } : one)),
  );
  expect(after).toHaveLength(before.length);
  expect(after.filter((line, i) => line !== before[i])).toHaveLength(1);
});

test('a record that does not fit is set aside by name with its reason, and the rest is read', async () => {
  const whole = JSON.parse(writeBackup({ made: MADE, records })) as {
    records: Record<string, unknown[]>;
  };
  whole.records['event']!.push({ ...event, id: 'bad', title: 'Broken', start: { kind: 'date' } });
  whole.records['voyage'] = [{ name: 'Ferry' }];
  const read = await readBackup(blobOf(JSON.stringify(whole)));
  expect(read.records).toEqual(records);
  expect(read.bad.map(({ what }) => what)).toEqual([
    expect.stringMatching(/^event “Broken”: start/),
    'voyage “Ferry”: the app knows no such records',
  ]);
  expect(read.bad[0]!.key).toBe('event/bad');
  expect(JSON.parse(read.bad[0]!.raw)).toMatchObject({ id: 'bad' });
});

test('settings of an older backup get the choices that it does not know', async () => {
  const old = JSON.parse(writeBackup({ made: MADE, records })) as {
    records: { settings: Record<string, unknown>[] };
  };
  for (const field of ['accent', 'zoom', 'hasWeekends', 'textSize', 'todayPicture'])
    delete old.records.settings[0]![field];
  const read = await readBackup(blobOf(JSON.stringify(old)));
  const [settings] = read.records.filter(({ type }) => type === 'settings');
  expect(settings!.record).toEqual(DEFAULT_SETTINGS);
});

test.each([
  ['what is no JSON', 'BEGIN:VCALENDAR', /no backup of this app, or a damaged one/],
  ['another JSON file', '{"format":"else"}', /not a backup of this app/],
  [
    'a backup of a newer version',
    '{"format":"orderly-week-backup","version":99,"made":"","records":{}}',
    /newer version/,
  ],
])('%s is refused in words', async (_what, text, words) => {
  await expect(readBackup(blobOf(text))).rejects.toThrow(words);
});

test('records are named by their kind and id, settings by their owner', () => {
  expect(records.map(recordKey)).toEqual([
    'settings/mine',
    'calendar/workshop',
    'event/strip-down',
  ]);
});

import { INKS } from '@/core/model/inks';
import { EMPTY_FILTER } from '@/core/model/filter';
import type { TypedRecord } from '@/core/model/records';
import { EVERYTHING } from '@/core/query/eventQuery';
import type { Engine } from './engine';
import { calendar, done, event, NOW, opened, zoned } from './testing/opened';

const LOOKING = {
  now: NOW,
  zone: 'Europe/London',
  wording: { locale: 'en-GB', hourCycle: '24' as const },
};
const on = (day: string) => ({ start: zoned(`${day}T09:00:00`), end: zoned(`${day}T10:00:00`) });

const SEED: TypedRecord[] = [
  calendar('work', { name: 'Workshop' }),
  calendar('clients', { name: 'Clients', ink: INKS.Brick }),
  event('one', { title: 'Gasket', notes: 'Door 3', ...on('2026-11-26') }),
  event('two', { title: 'Gasket', place: 'Quay', calendarId: 'clients', ...on('2026-11-26') }),
  event('bare', { title: '', notes: 'Check the gauge', ...on('2027-01-20') }),
  event('old', { title: 'Dentist', ...on('2024-11-26') }),
  event('ended', {
    title: 'Watch',
    rule: 'FREQ=DAILY;UNTIL=20241201T090000Z',
    ...on('2024-11-26'),
  }),
];

async function counts(engine: Engine): Promise<Record<string, number>> {
  const all = await engine.tidying.counts(LOOKING);
  return Object.fromEntries(
    all.filter(({ count }) => count > 0).map(({ check, count }) => [check, count]),
  );
}

test('a finding is mended and new events too by a rule, as one change', async () => {
  const engine = await opened(SEED);
  const [found] = await engine.tidying.findings('unguarded', LOOKING);
  const { check, key, ids, ways } = found!;
  const mends = [{ check, key, ids, how: ways[0]!.how }];
  const command = { kind: 'mendFindings', mends, zone: LOOKING.zone, rule: ways[0]!.rule } as const;
  expect(await done(engine, command)).toBe(
    'Tidied 1 finding: private-looking, and made a rule for "Dentist"',
  );
  expect(engine.queries.rules()).toMatchObject([
    { words: '"Dentist"', steps: [{ kind: 'visibility', visibility: 'private' }], isOn: true },
  ]);
  await engine.commands.step('undo');
  expect(engine.queries.rules()).toEqual([]);
  expect(engine.queries.event('old')?.visibility).toBe('public');
});

test('what a check finds can be asked for like anything else, and is gone once it is mended', async () => {
  const engine = await opened(SEED);
  const query = {
    ...EVERYTHING,
    now: NOW,
    filter: { ...EMPTY_FILTER, checks: ['untitled' as const, 'unguarded' as const] },
  };
  expect(engine.finding.matching(query, null, LOOKING.zone)).toEqual(['bare', 'old']);
  const [found] = await engine.tidying.findings('unguarded', LOOKING);
  const { check, key, ids, ways } = found!;
  const mends = [{ check, key, ids, how: ways[0]!.how }];
  await done(engine, { kind: 'mendFindings', mends, zone: LOOKING.zone });
  expect(engine.finding.matching(query, null, LOOKING.zone)).toEqual(['bare']);
});

test('checks follow every change, and all that one finds is mended as one change', async () => {
  const engine = await opened(SEED);
  expect(await counts(engine)).toEqual({ doubles: 1, untitled: 1, unguarded: 1 });
  const found = await engine.tidying.findings('doubles', LOOKING);
  const mends = found.map(({ check, key, ids, ways }) => ({ check, key, ids, how: ways[0]!.how }));
  const before = ['one', 'two'].map((id) => engine.queries.event(id));
  expect(await done(engine, { kind: 'mendFindings', mends, zone: LOOKING.zone })).toBe(
    'Tidied 1 finding: doubles',
  );
  expect(engine.queries.event('one')).toMatchObject({ notes: 'Door 3', place: 'Quay' });
  expect(engine.queries.event('two')?.removedAt).toBe(NOW);
  expect(await counts(engine)).toEqual({ untitled: 1, unguarded: 1, unused: 1 });
  await engine.commands.step('undo');
  expect(['one', 'two'].map((id) => engine.queries.event(id))).toEqual(before);
  expect(await counts(engine)).toMatchObject({ doubles: 1 });
});

test('doubles are joined by what the person chose', async () => {
  const engine = await opened(SEED);
  expect(engine.tidying.sideBySide(['one', 'two', 'gone']).fields).toEqual([
    { field: 'place', proposed: 'two' },
    { field: 'calendarId', proposed: 'one' },
  ]);
  const choices = { calendarId: 'two' };
  expect(await done(engine, { kind: 'joinInto', ids: ['one', 'two'], choices })).toBe(
    'Joined 2 into “Gasket”',
  );
  expect(engine.queries.event('one')).toMatchObject({ calendarId: 'clients', place: 'Quay' });
});

test('a finding that is left does not come back, until it is asked for', async () => {
  const engine = await opened(SEED);
  const found = await engine.tidying.findings('untitled', LOOKING);
  expect(await done(engine, { kind: 'leaveFindings', found })).toBe('Left 1 finding as it is');
  expect(await counts(engine)).not.toHaveProperty('untitled');
  expect(await engine.tidying.counts(LOOKING)).toContainEqual({
    check: 'untitled',
    count: 0,
    left: 1,
  });
  await done(engine, { kind: 'showLeft', check: 'untitled' });
  expect(await counts(engine)).toMatchObject({ untitled: 1 });
});

test('what concerns this week and the next is told of, at most three', async () => {
  const engine = await opened(SEED);
  const soon = await engine.tidying.soon(LOOKING);
  expect(soon.map(({ check, title }) => [check, title])).toEqual([['doubles', 'Gasket']]);
});

test('what is long over is written to a file, read back, and only then taken away', async () => {
  const engine = await opened(SEED);
  const ids = engine.tidying.overBefore(20_454, LOOKING);
  expect(ids).toEqual(['old', 'ended']);
  const file = await engine.files.archive(ids, NOW);
  expect(file.text).toContain('SUMMARY:Dentist');
  expect(await done(engine, { kind: 'archiveEvents', ids, file: 'archive.ics' })).toBe(
    'Archived 2 events to archive.ics',
  );
  expect(engine.tidying.overBefore(20_454, LOOKING)).toEqual([]);
  const blob = Object.assign(new Blob([file.text]), { name: 'archive.ics' });
  const preview = await engine.files.previewImport([blob], NOW, () => undefined);
  expect(preview.fates).toMatchObject({ updated: 2, new: 0 });
});

test('an archive that does not hold everything takes nothing away', async () => {
  const engine = await opened(SEED);
  await expect(engine.files.archive(['old', 'gone'], NOW)).rejects.toThrow(
    'Of 2 events, 1 came back from the file as they are.',
  );
});

test('an import is looked at, brought in tidied, and by the rules for new events', async () => {
  const engine = await opened([
    ...SEED,
    {
      type: 'tidyRule',
      record: {
        id: 'r',
        order: 0,
        words: 'rope',
        steps: [{ kind: 'calendar', calendarId: 'clients' }],
        isOn: true,
      },
    },
  ]);
  const entry = (uid: string, title: string, more: string) =>
    `BEGIN:VEVENT\r\nUID:${uid}\r\nDTSTAMP:20261101T000000Z\r\nSUMMARY:${title}\r\n${more}END:VEVENT\r\n`;
  const text = `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//x//EN\r\n${[
    entry(
      'a',
      'Gasket',
      'DTSTART:20261126T090000Z\r\nDTEND:20261126T100000Z\r\nDESCRIPTION:Bring wire\r\n',
    ),
    entry('b', 'Rope', 'DTSTART:20261127T090000Z\r\nDTEND:20261127T100000Z\r\n'),
    entry('c', 'Old', 'DTSTART:19991127T090000Z\r\nDTEND:19991127T100000Z\r\n'),
  ].join('')}END:VCALENDAR\r\n`;
  const file = Object.assign(new Blob([text]), { name: 'stores.ics' });
  await done(engine, {
    kind: 'setSettings',
    before: engine.queries.settings(),
    fields: { zone: 'Europe/London' },
    label: 'Set',
  } as never);
  const preview = await engine.files.previewImport([file], NOW, () => undefined);
  expect(preview.odd).toEqual({ doubles: ['Gasket'], oddZones: [], farYears: ['Old'], ruled: 1 });
  const { added, updated } = await engine.files.applyImport(
    { calendarId: 'work', isTidied: true },
    NOW,
  );
  expect([added, updated]).toEqual([2, 1]);
  const rope = engine.queries.lastLike('Rope');
  expect(rope?.calendarId).toBe('clients');
  const joined = ['one', 'two'].map((id) => engine.queries.event(id)?.notes);
  expect(joined.join(' ')).toContain('Bring wire');
});

test('accepting all is seen before it is done: a line each, with the clashes that it would make', async () => {
  const on = (from: string, to: string) => ({
    start: zoned(`2026-11-26T${from}:00`),
    end: zoned(`2026-11-26T${to}:00`),
  });
  const engine = await opened([
    ...SEED.slice(0, 2),
    event('survey', { title: 'Survey', ...on('09:00', '11:00') }),
    event('call', { title: 'Call', ...on('09:30', '10:00') }),
    event('talk', { title: 'Talk', availability: 'tentative', ...on('11:00', '12:00') }),
  ]);
  const [found] = await engine.tidying.findings('clashing', LOOKING);
  const way = found!.ways.find(({ how }) => how.startsWith('move'))!;
  const { check, key, ids, title } = found!;
  const manner = { now: NOW, wording: LOOKING.wording, clock: LOOKING.zone, home: LOOKING.zone };
  const mends = [{ check, key, ids, how: way.how, title, label: way.label }];
  const preview = engine.bulk.mendPreview(mends, [], manner);
  expect(preview).toEqual({
    lines: [
      {
        id: key,
        eventId: 'call',
        title: 'Call',
        calendarId: 'work',
        when: 'Thu 26 Nov, 09:30 – 10:00',
        scope: null,
        differences: [
          {
            name: 'When',
            before: 'Thu 26 Nov, 09:30 – 10:00',
            after: 'Thu 26 Nov, 12:00 – 12:30',
          },
        ],
        outcome: '',
        refusals: [],
        clashes: [],
        isChanged: true,
      },
    ],
    total: 1,
    changed: 1,
    refused: [],
    series: [],
    consequences: {
      clashesMade: 0,
      clashesSolved: 1,
      closuresMade: 0,
      closuresSolved: 0,
      otherClashes: [],
    },
  });
  expect(engine.bulk.mendPreview(mends, [key], manner)).toMatchObject({ total: 1, changed: 0 });
});

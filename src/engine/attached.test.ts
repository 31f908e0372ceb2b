import { EVERYTHING, havingWords } from '@/core/query/eventQuery';
import { MemoryFiles } from './testing/memoryFiles';
import { calendar, event, fileOf, NOW, opened } from './testing/opened';
import { outside } from './testing/outside';

const SEED = [calendar('work'), event('crate'), event('call')];

/** An engine whose event has two files, one of them large. */
async function withFiles() {
  const files = new MemoryFiles();
  const engine = await opened(SEED, { around: { ...outside(), files } });
  const small = await engine.files.keepFile(
    fileOf('Nine lamps, three wicks', 'list; of lamps.txt'),
    NOW,
  );
  const film = {
    ...(await engine.files.keepFile(fileOf('film', 'film.mov'), NOW)),
    bytes: 3 * 1024 * 1024,
  };
  const before = engine.queries.event('crate')!;
  const after = { ...before, attachments: [small, film] };
  await engine.commands.keep({
    label: 'Attached',
    at: NOW,
    edits: [{ type: 'event', before, after }],
  });
  return { engine, files, small, film };
}

test('an export says which files it leaves behind', async () => {
  const { engine } = await withFiles();
  const file = await engine.files.exportCalendars({ query: EVERYTHING });
  expect(file.filesLeft).toEqual(['list; of lamps.txt', 'film.mov']);
  expect(file.beside).toEqual([]);
  expect(file.text).not.toContain('ATTACH');
});

test('asked for, small files go inside it and large ones beside it', async () => {
  const { engine, film } = await withFiles();
  const file = await engine.files.exportCalendars({ query: EVERYTHING, withFiles: true });
  expect(file.filesLeft).toEqual([]);
  expect(file.beside).toEqual([film]);
  const unfolded = file.text.replaceAll('\r\n ', '');
  const data = Buffer.from('Nine lamps, three wicks').toString('base64');
  expect(unfolded).toMatch(
    new RegExp(
      `ATTACH;(?=[^:]*ENCODING=BASE64)(?=[^:]*VALUE=BINARY)(?=[^:]*FILENAME="list; of lamps.txt")[^:]*":?[^\r]*${data}`,
    ),
  );
});

test('a content that is not here any more is told as left behind', async () => {
  const { engine, files, small } = await withFiles();
  await files.remove([small.id]);
  const file = await engine.files.exportCalendars({ query: EVERYTHING, withFiles: true });
  expect(file.filesLeft).toEqual(['list; of lamps.txt']);
});

test('files inside an entry come in as attachments that open, once', async () => {
  const { engine } = await withFiles();
  const { text } = await engine.files.exportCalendars({
    query: { ...EVERYTHING, eventIds: ['crate'] },
    withFiles: true,
  });
  const other = await opened([calendar('work')]);
  const bringIn = async () => {
    await other.files.previewImport([fileOf(text, 'crate.ics')], NOW, () => undefined);
    return other.files.applyImport({ calendarId: 'work' }, NOW);
  };
  await bringIn();
  const [attached] = other.queries.attachments();
  expect(attached).toMatchObject({ name: 'list; of lamps.txt', bytes: 23, eventTitle: 'crate' });
  expect(await (await other.files.fileContent(attached!.id))!.text()).toBe(
    'Nine lamps, three wicks',
  );
  const [crate] = other.queries.findEvents(havingWords('crate'), 9);
  expect(crate!.passthrough?.properties ?? []).toEqual([]);
  // The same file again says nothing new.
  const again = await bringIn();
  expect(again).toMatchObject({ added: 0, updated: 0 });
  expect(other.queries.attachments()).toEqual([attached]);
});

test('a file of an entry that is no base64 stays as it came', async () => {
  const engine = await opened([calendar('work')]);
  const entry = [
    'BEGIN:VCALENDAR',
    'BEGIN:VEVENT',
    'UID:odd',
    'SUMMARY:Odd',
    'DTSTART:20261125T090000Z',
    'ATTACH;ENCODING=BASE64;VALUE=BINARY;FILENAME=odd.txt:not*base64',
    'END:VEVENT',
    'END:VCALENDAR',
    '',
  ].join('\r\n');
  await engine.files.previewImport([fileOf(entry, 'odd.ics')], NOW, () => undefined);
  await engine.files.applyImport({ calendarId: 'work' }, NOW);
  expect(engine.queries.attachments()).toEqual([]);
  const { text } = await engine.files.exportCalendars({ query: EVERYTHING });
  expect(text.replaceAll('\r\n ', '')).toMatch(/ATTACH;[^\r]*odd\.txt[^\r]*:not\*base64/);
});

import type { JcalProperty } from '../model/common';
import { bytesOf, filesNamedBy, inlineProperty, sayFilesLeft, takeInlineFiles } from './attached';

const named = (...properties: JcalProperty[]) =>
  filesNamedBy({ passthrough: { properties, components: [] } });

test.each<[string, JcalProperty, { name: string; link: string | null }]>([
  [
    'an address',
    ['attach', {}, 'uri', 'https://brassworks.example/plans/gate%20B.pdf?v=2'],
    { name: 'gate B.pdf', link: 'https://brassworks.example/plans/gate%20B.pdf?v=2' },
  ],
  [
    'one with a name of its own',
    ['attach', { filename: 'Gate.pdf' }, 'uri', 'https://brassworks.example/17'],
    { name: 'Gate.pdf', link: 'https://brassworks.example/17' },
  ],
  [
    'one that no browser should follow',
    ['attach', {}, 'uri', 'file:///home/ida/gate.pdf'],
    { name: 'gate.pdf', link: null },
  ],
  [
    'an odd one',
    ['attach', {}, 'uri', 'https://a.example/%E0%A4%A'],
    { name: '%E0%A4%A', link: 'https://a.example/%E0%A4%A' },
  ],
  [
    'what is inside',
    ['attach', { encoding: 'BASE64' }, 'binary', 'AAAA'],
    { name: 'A file inside the entry', link: null },
  ],
])('%s is told', (_what, property, expected) => {
  expect(named(['x-lamp', {}, 'text', 'port'], property)).toEqual([expected]);
});

test('an event that came with no file names none', () => {
  expect(filesNamedBy({})).toEqual([]);
  expect(named()).toEqual([]);
});

test('what an export leaves behind is named, the first of many', () => {
  expect(sayFilesLeft([])).toBe('');
  expect(sayFilesLeft(['a.pdf'])).toBe('. Not in it: a.pdf.');
  expect(sayFilesLeft(['a', 'b', 'c', 'd', 'e'])).toContain('a, b, c and 2 more');
});

const NOTE: JcalProperty = ['x-lamp', {}, 'text', 'port'];
const PHOTO: JcalProperty = ['x-photo', { encoding: 'BASE64' }, 'binary', 'AAAA'];
const PLAN: JcalProperty = [
  'attach',
  { encoding: 'BASE64', fmttype: 'text/plain' },
  'binary',
  'TGFt cA==',
];

test('files inside an entry are taken out of it, and nothing else is', () => {
  const passthrough = { properties: [NOTE, PLAN, PHOTO], components: [] };
  expect(takeInlineFiles({ passthrough })).toEqual({
    event: { passthrough: { properties: [NOTE, PHOTO], components: [] } },
    files: [{ name: 'Attached file', mediaType: 'text/plain', data: 'TGFtcA==' }],
  });
});

test('an entry that held nothing but files has nothing that passes through any more', () => {
  const bare = takeInlineFiles({ passthrough: { properties: [PLAN], components: [] } });
  expect(bare.event).toEqual({});
  const components = [['valarm', [], []]] as never[];
  const withAlarm = takeInlineFiles({ passthrough: { properties: [PLAN], components } });
  expect(withAlarm.event).toEqual({ passthrough: { properties: [], components } });
  const parameters = { summary: { language: 'en' } };
  const withParameters = { properties: [PLAN], components: [], parameters };
  expect(takeInlineFiles({ passthrough: withParameters }).event).toEqual({
    passthrough: { properties: [], components: [], parameters },
  });
});

test('an entry without files is left as it is', () => {
  for (const event of [{}, { passthrough: { properties: [NOTE, PHOTO], components: [] } }])
    expect(takeInlineFiles(event)).toEqual({ event, files: [] });
});

test.each([
  ['', 0],
  ['TGFtcA==', 4],
  ['TGFtcHM=', 5],
  ['TGFtcHMu', 6],
])('%j stands for %s bytes', (text, bytes) => {
  expect(bytesOf(text)).toBe(bytes);
});

test('what is put inside comes out again as it was', () => {
  const file = { name: 'list; of lamps.txt', mediaType: 'text/plain', data: 'TGFtcHMu' };
  const plain = { name: 'odd', mediaType: '', data: '' };
  const properties = [inlineProperty(file), inlineProperty(plain)];
  expect(takeInlineFiles({ passthrough: { properties, components: [] } }).files).toEqual([
    file,
    plain,
  ]);
});

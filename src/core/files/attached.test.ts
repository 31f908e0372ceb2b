import type { JcalProperty } from '../model/common';
import { filesNamedBy, sayFilesLeft } from './attached';

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
  expect(sayFilesLeft(['a.pdf'])).toBe('. Not in it: a.pdf. A backup takes attached files along.');
  expect(sayFilesLeft(['a', 'b', 'c', 'd', 'e'])).toContain('a, b, c and 2 more');
});

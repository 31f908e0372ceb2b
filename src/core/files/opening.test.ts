import { openingOf, sayBytes } from './opening';

test.each([
  ['image/png', 'a.png', 'image'],
  ['image/svg+xml', 'a.svg', 'download'],
  ['text/html', 'a.html', 'download'],
  ['application/xhtml+xml', 'a.txt', 'download'],
  ['application/pdf', 'a.pdf', 'download'],
  ['text/plain', 'a.html', 'text'],
  ['', 'notes.md', 'text'],
  ['', 'a.exe', 'download'],
])('%s (%s) is opened as: %s', (mediaType, name, opening) => {
  expect(openingOf({ mediaType, name })).toBe(opening);
});

test.each([
  [999, '999 bytes'],
  [26_400, '26 KB'],
  [3_449_000, '3.4 MB'],
  [10_737_000_000, '10.7 GB'],
])('%i bytes are said as %s', (bytes, said) => {
  expect(sayBytes(bytes)).toBe(said);
});

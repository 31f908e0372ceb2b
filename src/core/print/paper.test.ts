import { usualPaper } from './paper';

test.each([
  ['en-US', 'Letter'],
  ['en-CA', 'Letter'],
  ['es-MX', 'Letter'],
  // English alone is most likely American.
  ['en', 'Letter'],
  ['en-GB', 'A4'],
  ['de', 'A4'],
  ['fr-CH', 'A4'],
  ['ja', 'A4'],
])('%s prints on %s', (tag, paper) => expect(usualPaper(tag)).toBe(paper));

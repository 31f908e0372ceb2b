import { isOrderOpen } from './dateOrder';
import { readJot } from './jot';
import { TUESDAY } from './testing/context';

test.each([
  ['budget 3/12', true],
  ['call 5/6 at 15:00', true],
  ['budget 15/12', false],
  ['budget 4/4', false],
  ['drinks at 6', false],
  ['call next friday', false],
  ['sun cream', false],
])('“%s” has its date in two orders: %s', (line, isOpen) => {
  const read = readJot(line, TUESDAY);
  expect(isOrderOpen(read, read.other)).toBe(isOpen);
});

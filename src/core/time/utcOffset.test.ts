import { parseUtcOffset } from './utcOffset';

test.each([
  ['Z', 0],
  ['+0530', 330],
  ['-05:00', -300],
  [' +01:00 ', 60],
  ['-00:25:21', -25 - 21 / 60],
  ['+5', NaN],
  ['0530', NaN],
])('“%s” is %s minutes', (text, minutes) => expect(parseUtcOffset(text) / 60_000).toBe(minutes));

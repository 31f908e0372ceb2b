import { parseClock } from './clock';

test.each([
  ['9', 540],
  ['930', 570],
  ['1415', 855],
  ['9:05', 545],
  ['9.05', 545],
  ['2pm', 840],
  ['2:30 p.', 870],
  ['12 am', 0],
  ['14h', 840],
  ['24', null],
  ['13pm', null],
  ['9:75', null],
  ['soon', null],
  ['', null],
])('“%s” is %s', (text, minute) => {
  expect(parseClock(text)).toBe(minute);
});

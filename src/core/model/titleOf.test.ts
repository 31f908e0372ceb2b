import { isolated, quotedTitle } from './titleOf';

test('a title from right to left keeps its order within a sentence', () => {
  expect(quotedTitle({ title: 'اجتماع 15' })).toBe('“\u2068اجتماع 15\u2069”');
  expect(isolated('פגישה')).toBe('\u2068פגישה\u2069');
  expect(quotedTitle({ title: ' Lamp check ' })).toBe('“Lamp check”');
  expect(quotedTitle({ title: '' })).toBe('“Untitled”');
});

import { copiesToDrop, copyName } from './safeCopies';

const DAY = 86_400_000;

test('copies of a day take each other’s place, and the latest ten stay; what else is there is left alone', () => {
  const first = Date.UTC(2026, 10, 20, 10);
  expect(copyName(first)).toBe('Orderly Week copy 2026-11-20.json');
  expect(copyName(first + 3_600_000)).toBe(copyName(first));
  const names = Array.from({ length: 13 }, (_, i) => copyName(first + i * DAY));
  const all = ['letter.json', 'Orderly Week copy.json', ...names.toReversed()];
  expect(copiesToDrop(all)).toEqual(names.slice(0, 3));
  expect(copiesToDrop(names.slice(0, 10))).toEqual([]);
});

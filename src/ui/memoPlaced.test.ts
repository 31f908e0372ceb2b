import { isSameDrawing } from './memoPlaced';

const event = { title: 'Lamp check' };
const drawn = { event, at: { left: 1, top: 2 }, is: { today: false } };

test('places and states count by what they hold, everything else by itself', () => {
  expect(isSameDrawing(drawn, { ...drawn, at: { left: 1, top: 2 }, is: { today: false } })).toBe(
    true,
  );
  expect(isSameDrawing(drawn, { ...drawn, at: { left: 1, top: 3 } })).toBe(false);
  expect(isSameDrawing(drawn, { ...drawn, is: { today: true } })).toBe(false);
  expect(isSameDrawing(drawn, { ...drawn, at: { left: 1, top: 2, width: 3 } })).toBe(false);
  expect(isSameDrawing(drawn, { ...drawn, event: { ...event } })).toBe(false);
  expect(isSameDrawing(drawn, { ...drawn, more: 1 })).toBe(false);
  const row = (text: number) => ({ drawn: { text, hands: event } });
  expect(isSameDrawing(row(1), row(1))).toBe(true);
  expect(isSameDrawing(row(1), row(2))).toBe(false);
});

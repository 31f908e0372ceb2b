import { isJoinable, wantsRoom } from './rooms';

const ASKED = { name: 'Ida', address: '', role: 'required', answer: 'none' } as const;

test.each([
  ['none', undefined, [ASKED], false],
  ['asked', undefined, [], false],
  ['asked', undefined, [ASKED], true],
  ['all', undefined, [], true],
  ['none', 'all', [], true],
  ['all', 'none', [ASKED], false],
  ['none', 'asked', [ASKED], true],
] as const)('settings %s, calendar %s: %o', (settings, own, attendees, wanted) => {
  const calendar = own && { rooms: own };
  expect(wantsRoom({ attendees: [...attendees] }, calendar, { rooms: settings })).toBe(wanted);
});

test('a room is joined from a quarter of an hour before to a quarter after', () => {
  const minute = 60_000;
  const event = { startMs: 100 * minute, endMs: 130 * minute, room: 'https://rooms.example/a' };
  const at = (n: number) => isJoinable(event, n * minute);
  expect([84, 85, 100, 144, 145].map(at)).toEqual([false, true, true, true, false]);
  expect(isJoinable({ ...event, room: '' }, 110 * minute)).toBe(false);
});

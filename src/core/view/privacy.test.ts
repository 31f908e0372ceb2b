import { at, timed, TODAY } from '../testing/occurrences';
import { withoutPrivate } from './privacy';

test('a private event keeps its time and calendar, not its title and place', () => {
  const tea = timed('Tea with Mei', TODAY, at(12, 30), at(13), {
    place: 'Ferry steps',
    visibility: 'private',
  });
  const seen = withoutPrivate(tea);
  expect(JSON.stringify({ ...seen, id: '', eventId: '' })).not.toMatch(/Mei|Ferry/);
  expect(seen).toMatchObject({ start: tea.start, end: tea.end, calendarId: 'workshop' });
});

test('every other event is left as it is', () => {
  const call = timed('Osaka call', TODAY, at(9), at(10), { place: 'Small office' });
  expect(withoutPrivate(call)).toBe(call);
});

import { RefusedEdit } from './editing/series/fit';
import { parseDate } from './time/civil';
import { describeError, UserError, userErrorCode } from './userError';

const thrownBy = (work: () => unknown): unknown => {
  try {
    work();
  } catch (error) {
    return error;
  }
  throw new Error('Nothing was thrown.');
};

test('what was said for people is said, with its code, also after it came from a worker', () => {
  const gone = new UserError('gone', 'This task is not here any more.');
  expect([userErrorCode(gone), describeError(gone)]).toEqual([
    'gone',
    'This task is not here any more.',
  ]);
  // As a worker's errors arrive: plain, with their fields.
  const { message, name, code } = gone;
  const arrived = Object.assign(new Error(message), { name, code });
  expect([userErrorCode(arrived), describeError(arrived)]).toEqual(['gone', message]);
  expect(userErrorCode(new RefusedEdit('No date would be left.'))).toBe('refused');
});

test('words of a platform or of an assertion are never shown', () => {
  const zone = thrownBy(() => new Intl.DateTimeFormat('en', { timeZone: 'Moon/Base' }));
  const date = thrownBy(() => parseDate('0NaN-11-24'));
  for (const error of [zone, date, 'text', undefined])
    expect(describeError(error)).toMatch(/^Something in the app failed\. What you kept is safe/);
  const full = Object.assign(new Error('QuotaExceeded'), { name: 'QuotaExceededError' });
  expect(describeError(full)).toMatch(/^There is no room left/);
});

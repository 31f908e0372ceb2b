import { fireEvent, screen } from '@testing-library/react';
import { parseLocal } from '@/core/time/civil';
import type { Preferences } from '@/data/preferences';
import { inTheme } from '@/ui/testing/inTheme';
import { FreeTime } from './FreeTime';

let mockNow = 0;
let mockOccurrences: unknown[] = [];
jest.mock('@/data/now', () => ({ useWallNow: () => mockNow }));
jest.mock('@/data/queries', () => ({
  useOccurrences: () => ({ data: { occurrences: mockOccurrences } }),
}));

const at = (time: string) => parseLocal(`2026-11-26T${time}:00`);
const DAY_OFF = { hours: null, workplace: '' };
const WORKDAY = { hours: { from: 9 * 60, to: 17 * 60 }, workplace: '' };
const PREFERENCES = {
  clock: 'Europe/London',
  settings: {
    workweek: {
      days: Array.from({ length: 7 }, (_, i) => (i < 5 ? WORKDAY : DAY_OFF)),
      exceptions: {},
    },
  },
  wording: { locale: 'en-GB', hourCycle: '24' },
} as unknown as Preferences;

const taken = (from: string, to: string) => ({
  ...{ start: at(from), end: at(to), wholeDay: false, availability: 'busy', status: 'confirmed' },
  ...{ declined: false, travelBefore: 0, travelAfter: 0 },
});

function offered(start: string, onTake = jest.fn()) {
  const span = { start: at(start), end: at(start) + 7_200_000, wholeDay: false };
  inTheme(<FreeTime span={span} preferences={PREFERENCES} onTake={onTake} />);
  return onTake;
}

beforeEach(() => {
  mockNow = at('08:00');
  mockOccurrences = [];
});

test('the first time that is free for so long is offered, and taken', () => {
  mockOccurrences = [taken('09:00', '10:30'), taken('11:00', '13:00')];
  const onTake = offered('09:00');
  fireEvent.click(screen.getByRole('button', { name: 'First free at 13:00' }));
  expect(onTake).toHaveBeenCalledWith(
    expect.objectContaining({ start: at('13:00'), end: at('15:00'), lasts: true }),
  );
});

test('a day that has no room for it says so', () => {
  mockOccurrences = [taken('10:00', '16:00')];
  offered('09:00');
  expect(screen.getByText('Nothing is free for 2 h that day')).toBeTruthy();
});

test.each([
  ['the time that it has is free', '09:00', '08:00'],
  ['the hours of the day are over', '09:00', '18:00'],
])('shows nothing when %s', (_what, start, now) => {
  mockNow = at(now);
  offered(start);
  expect(screen.queryByText(/free/i)).toBeNull();
});

import { fireEvent, screen } from '@testing-library/react';
import { formatLocal, parseLocal } from '@/core/time/civil';
import type { Preferences } from '@/data/preferences';
import { readAhead } from '@/data/smallTexts';
import { inTheme } from '@/ui/testing/inTheme';
import { useJot } from './useJot';

jest.mock('@/data/now', () => ({ useNow: () => Date.parse('2026-11-24T10:25:00Z') }));
jest.mock('@/data/people', () => ({ usePeople: () => [] }));
jest.mock('@/data/queries', () => ({ useCategories: () => [], useNamedDays: () => [] }));

const SETTING = {
  day: parseLocal('2026-11-24T00:00:00') / 86_400_000,
  calendars: [],
  defaultCalendarId: '',
  preferences: {
    clock: 'Europe/London',
    workdays: [0, 1, 2, 3, 4],
    settings: { defaultLength: 30, workweek: { days: [], exceptions: {} } },
    wording: { locale: 'en-GB', hourCycle: '24' },
  } as unknown as Preferences,
};

jest.mock('@/core/model/workweek', () => ({ daytimeOf: () => ({ from: 540, to: 1020 }) }));

function Line({ line, notBefore }: { line: string; notBefore?: number }) {
  const { jot, guesses, takeOther } = useJot(line, { ...SETTING, notBefore });
  return (
    <>
      <button onClick={takeOther}>Other</button>
      <p role="status">{[formatLocal(jot.start).slice(0, 16), ...guesses].join(' ')}</p>
    </>
  );
}

const says = () => screen.getByRole('status').textContent;
const takeOther = () => fireEvent.click(screen.getByRole('button', { name: 'Other' }));

beforeEach(async () => {
  window.localStorage.clear();
  await readAhead();
});

test('the order of a date in figures that was chosen is that of the next one', () => {
  const { unmount } = inTheme(<Line line="budget 3/12" />);
  expect(says()).toBe('2026-12-03T00:00');
  takeOther();
  const learnt = 'The month comes first in figures, as you chose last time.';
  expect(says()).toBe(`2027-03-12T00:00 ${learnt}`);
  unmount();
  const next = inTheme(<Line line="stock 5/6" />);
  expect(says()).toBe(`2027-05-06T00:00 ${learnt}`);
  // What has one order is read in it, and says nothing.
  next.unmount();
  inTheme(<Line line="stock 15/6" />);
  expect(says()).toBe('2027-06-15T00:00');
});

test('chosen back, it is as the dates are shown', () => {
  inTheme(<Line line="budget 3/12" />);
  takeOther();
  takeOther();
  expect(says()).toBe('2026-12-03T00:00');
});

test.each([
  ['plan Friday', '2026-12-04T00:00'],
  ['plan every Friday', '2026-12-04T00:00'],
  ['plan in 2 weeks', '2026-12-08T00:00'],
  // What says no day is due on none.
  ['plan', '2026-11-24T00:00'],
])('“%s”, which can be begun on Monday, is due on %s', (line, due) => {
  inTheme(<Line line={line} notBefore={parseLocal('2026-11-30T00:00:00')} />);
  expect(says()).toBe(due);
});

test('the half of the day that was chosen for an hour is that of the next one', () => {
  const { unmount } = inTheme(<Line line="call fri at 8" />);
  expect(says()).toBe('2026-11-27T08:00');
  takeOther();
  expect(says()).toBe('2026-11-27T20:00');
  unmount();
  const next = inTheme(<Line line="lamp check at 8 on mon" />);
  expect(says()).toBe('2026-11-30T20:00');
  takeOther();
  expect(says()).toBe('2026-11-30T08:00');
  next.unmount();
  inTheme(<Line line="call fri at 8" />);
  expect(says()).toBe('2026-11-27T08:00');
});

test('what a line is about goes before what was chosen for another', () => {
  const { unmount } = inTheme(<Line line="dinner fri at 8" />);
  takeOther();
  expect(says()).toBe('2026-11-27T08:00');
  unmount();
  inTheme(<Line line="dinner fri at 8" />);
  expect(says()).toBe('2026-11-27T20:00');
});

test('a second reading of other words holds for its line alone', () => {
  const { unmount } = inTheme(<Line line="sun cream" />);
  expect(says()).toBe('2026-11-29T00:00');
  takeOther();
  expect(says()).toBe('2026-11-24T00:00');
  takeOther();
  expect(says()).toBe('2026-11-29T00:00');
  unmount();
  inTheme(<Line line="sun cream" />);
  expect(says()).toBe('2026-11-29T00:00');
});

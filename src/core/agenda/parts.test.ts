import { at, TODAY, timed, wholeDays } from '../testing/occurrences';
import { withoutWeekends } from '../view/spans';
import { countLeftOut } from './parts';

const MONDAY = TODAY - 1;
const WEEK = {
  from: MONDAY,
  to: MONDAY + 7,
  days: Array.from({ length: 7 }, (_, i) => MONDAY + i),
};

const EVENTS = [
  timed('Call', MONDAY, at(9), at(10)),
  timed('Market', MONDAY + 5, at(9), at(10)),
  wholeDays('Fair', MONDAY + 5, 2),
  wholeDays('Refit', MONDAY + 4, 2),
  wholeDays('Long leave', MONDAY - 3, 30),
  timed('Next week', MONDAY + 12, at(9), at(10)),
];

test('what lies on weekends alone is counted when they are left out', () => {
  expect(countLeftOut(EVENTS, WEEK)).toBe(0);
  expect(countLeftOut(EVENTS, withoutWeekends(WEEK))).toBe(2);
});

test('a span shorter than a week keeps the days that it names', () => {
  const friday = { from: MONDAY + 4, to: MONDAY + 7, days: [MONDAY + 4, MONDAY + 5, MONDAY + 6] };
  expect(withoutWeekends(friday)).toBe(friday);
});

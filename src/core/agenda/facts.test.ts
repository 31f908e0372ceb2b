import { at, timed, TODAY, wholeDays } from '../testing/occurrences';
import { factIcon, inFactOrder, sayFact } from './facts';

const RAIN = wholeDays('8° rain', TODAY, 1);
const TIDES = wholeDays('High water 04:12, 16:37', TODAY, 1);
const LOW = timed('Low water', TODAY, at(10, 20), at(10, 20));

test('short facts of the whole day come first, then those with a time', () => {
  expect(inFactOrder([LOW, TIDES, RAIN])).toEqual([RAIN, TIDES, LOW]);
});

test('a fact is said with its time where it has one, and by an icon that it asks for', () => {
  expect(sayFact(RAIN, { hourCycle: '24' })).toBe('8° rain');
  expect(sayFact(LOW, { hourCycle: '24' })).toBe('10:20 Low water');
  expect(
    [RAIN, TIDES, { title: 'Market' }, { title: 'Rain', icon: 'ferry' }].map(factIcon),
  ).toEqual(['weather-partly-cloudy', 'waves', 'lightbulb-outline', 'ferry']);
});

import { formatDate, weekdayOf } from './civil';
import { easterSunday } from './easter';

// From the tables of the churches; among them the earliest and the latest that there are.
test.each([
  '1818-03-22',
  '1943-04-25',
  '1954-04-18',
  '1961-04-02',
  '1981-04-19',
  '2000-04-23',
  '2008-03-23',
  '2011-04-24',
  '2024-03-31',
  '2025-04-20',
  '2026-04-05',
  '2027-03-28',
  '2038-04-25',
  '2049-04-18',
  '2076-04-19',
  '2285-03-22',
])('Easter on %s', (date) => expect(formatDate(easterSunday(Number(date.slice(0, 4))))).toBe(date));

test('it is a Sunday from 22 March to 25 April in each year', () => {
  for (let year = 1583; year < 4100; year++) {
    const day = easterSunday(year);
    expect(weekdayOf(day)).toBe(6);
    expect(formatDate(day).slice(5) >= '03-22' && formatDate(day).slice(5) <= '04-25').toBe(true);
  }
});

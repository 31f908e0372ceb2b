import { dayNumber } from './civil';
import type { DayNumber } from './units';

/**
 * Day number of Easter Sunday of a year of the Gregorian calendar, by the tables of the western
 * churches (the anonymous rule of 1876, also known as that of Meeus, Jones and Butcher).
 */
export function easterSunday(year: number): DayNumber {
  const golden = year % 19;
  const century = Math.floor(year / 100);
  const ofCentury = year % 100;
  const skipped = Math.floor((century + 8) / 25);
  const corrected = Math.floor((century - skipped + 1) / 3);
  const epact = (19 * golden + century - Math.floor(century / 4) - corrected + 15) % 30;
  const leaps = 2 * (century % 4) + 2 * Math.floor(ofCentury / 4);
  const toSunday = (32 + leaps - epact - (ofCentury % 4)) % 7;
  const late = Math.floor((golden + 11 * epact + 22 * toSunday) / 451);
  const days = epact + toSunday - 7 * late + 114;
  return dayNumber(year, Math.floor(days / 31), (days % 31) + 1);
}

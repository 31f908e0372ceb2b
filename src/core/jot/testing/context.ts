import { parseDate, parseLocal } from '../../time/civil';
import type { JotContext } from '../rule';

/** Tuesday 24 November 2026, 10:25; that day is meant. */
export const TUESDAY: JotContext = {
  now: parseLocal('2026-11-24T10:25:00'),
  day: parseDate('2026-11-24'),
  calendars: ['Workshop', 'Clients', 'Accounts', 'Training', 'Leave', 'Apprentices'].map(
    (name) => ({ id: name.toLowerCase(), name }),
  ),
  categories: [],
  defaultCalendarId: 'workshop',
  defaultLength: 30,
  workdays: [0, 1, 2, 3, 4],
  workHours: { from: 9 * 60, to: 17 * 60 },
  isMonthFirst: false,
  namedDays: [],
};

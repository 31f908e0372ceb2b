import type { CalendarEvent } from '@/core/model/event';
import { newEvent } from '@/core/model/event';
import { formatDate, startOfWeek } from '@/core/time/civil';

const LISBON = 'Europe/Lisbon';

/** Sailings that the freight partner in Lisbon publishes: weekday, from, to, title. */
const SAILINGS = [
  [0, '06:40', '09:10', 'Freight ferry Alvor, outbound'],
  [2, '06:40', '09:10', 'Freight ferry Alvor, outbound'],
  [3, '17:30', '20:00', 'Freight ferry Alvor, inbound'],
  [4, '06:40', '09:10', 'Freight ferry Tavira, outbound'],
] as const;

/** The partner's timetable, as a feed of its own: four weekly sailings. `today` is a day number. */
export function partnerTimetable(today: number): CalendarEvent[] {
  const monday = startOfWeek(today) - 8 * 7;
  return SAILINGS.map(([weekday, from, to, title], i) => {
    const date = formatDate(monday + weekday);
    return newEvent(
      {
        id: `sailing-${i}`,
        uid: `sailing-${i}@alvor-freight.example`,
        calendarId: 'ferry',
        title,
        place: 'Ferry quay 2',
        availability: 'free',
        start: { kind: 'zoned', local: `${date}T${from}:00`, zone: LISBON },
        end: { kind: 'zoned', local: `${date}T${to}:00`, zone: LISBON },
        rule: 'FREQ=WEEKLY',
      },
      0,
    );
  });
}

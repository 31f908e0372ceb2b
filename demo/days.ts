import type { CalendarEvent } from '@/core/model/event';
import { newEvent } from '@/core/model/event';
import { formatDate, MINUTE, DAY, formatLocal } from '@/core/time/civil';
import { dice } from './dice';

/** Days of weather that are known, and that are foretold. */
const BACK = 7;
const AHEAD = 9;
/** Days of tides to either side: those are known long before. */
const TIDES = 45;
/** From one high water to the next, in minutes. */
const BETWEEN_TIDES = 745;

const SKIES = ['bright', 'rain', 'fog', 'clouds', 'showers', 'wind', 'frost'] as const;

const date = (day: number) => ({ kind: 'date', date: formatDate(day) }) as const;

/** The weather of a day as it is told on another: the further ahead, the likelier it comes otherwise. */
function weather(day: number, today: number, isChanged: boolean): CalendarEvent {
  const ahead = Math.max(0, day - today);
  // Each day that passes may bring another forecast; what is over stands.
  const told = ahead === 0 ? 0 : Math.floor((today + (isChanged ? 1 : 0)) / Math.max(1, 4 - ahead));
  const sky = SKIES[Math.floor(dice(day, 1 + told) * SKIES.length)]!;
  const warmth = 5 + Math.round(dice(day, 2 + told) * 7);
  return newEvent(
    {
      id: `weather-${day}`,
      uid: `weather-${day}@saltmarsh-days.example`,
      calendarId: 'days',
      title: `${warmth}° ${sky}`,
      notes:
        ahead === 0
          ? 'As measured on the quay.'
          : ahead > 4
            ? 'A guess, so far ahead.'
            : 'Forecast of the harbour office.',
      icon: 'weather-partly-cloudy',
      availability: 'free',
      start: date(day),
      end: date(day + 1),
      revision: told,
    },
    0,
  );
}

/** High water of a day by the clock of Saltmarsh: "High water 04:12, 16:37". */
function tides(day: number): CalendarEvent {
  const first = Math.ceil((day * DAY) / (BETWEEN_TIDES * MINUTE));
  const times: string[] = [];
  for (let n = first; n * BETWEEN_TIDES * MINUTE < (day + 1) * DAY; n++)
    times.push(formatLocal(n * BETWEEN_TIDES * MINUTE).slice(11, 16));
  return newEvent(
    {
      id: `tides-${day}`,
      uid: `tides-${day}@saltmarsh-days.example`,
      calendarId: 'days',
      title: `High water ${times.join(', ')}`,
      icon: 'waves',
      availability: 'free',
      start: date(day),
      end: date(day + 1),
    },
    0,
  );
}

/** Tides and weather of Saltmarsh around a day (day number), as the harbour office publishes them. */
export function saltmarshDays(today: number, isChanged = false): CalendarEvent[] {
  const days = (from: number, to: number) =>
    Array.from({ length: to - from + 1 }, (_, i) => today + from + i);
  return [
    ...days(-BACK, AHEAD).map((day) => weather(day, today, isChanged)),
    ...days(-TIDES, TIDES).map(tides),
  ];
}

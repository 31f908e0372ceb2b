import type { CalendarEvent } from '@/core/model/event';
import { newEvent } from '@/core/model/event';
import {
  DAY,
  formatDate,
  formatLocal,
  MINUTE,
  parseLocal,
  startOfWeek,
  weekdayOf,
} from '@/core/time/civil';
import { dice } from './dice';
import type { Habit, Member } from './office';

/** Days around this week that the office has plans for. */
const BACK = 28;
const AHEAD = 91;

/** A number for a text, for dice. */
const numberOf = (text: string) =>
  [...text].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) % 997, 7);

function busyEvent(member: Member, habit: Habit, day: number): CalendarEvent {
  const start = parseLocal(`${formatDate(day)}T${habit.at}:00`);
  const time = (wall: number) =>
    ({ kind: 'zoned', local: formatLocal(wall), zone: member.zone }) as const;
  return newEvent(
    {
      id: `${member.id}-${habit.title.toLowerCase().replaceAll(' ', '-')}-${day}`,
      calendarId: member.id,
      title: habit.title,
      start: time(start),
      end: time(start + habit.minutes * MINUTE),
      place: habit.place ?? '',
      notes: habit.isPrivate ? '' : `${member.name.split(' ')[0]}’s own.`,
      visibility: habit.isPrivate ? 'private' : 'public',
      availability: habit.isTentative ? 'tentative' : 'busy',
    },
    0,
  );
}

/**
 * What a member of the office does around a day (day number): always the same for the same days from
 * the Monday of its week.
 */
export function officeEvents(member: Member, today: number): CalendarEvent[] {
  const monday = startOfWeek(today);
  const away = member.away.map(({ day, days, title }) =>
    newEvent(
      {
        id: `${member.id}-away-${day}`,
        calendarId: member.id,
        title,
        start: { kind: 'date', date: formatDate(monday + day) },
        end: { kind: 'date', date: formatDate(monday + day + days) },
        availability: 'away',
      },
      0,
    ),
  );
  const isAway = (day: number) =>
    member.away.some((one) => day >= monday + one.day && day < monday + one.day + one.days);
  const habits: CalendarEvent[] = [];
  for (let day = monday - BACK; day < monday + AHEAD; day++) {
    if (!member.workweek.days[weekdayOf(day)]!.hours || isAway(day)) continue;
    // Rooms and things are booked on workdays too.
    if (member.kind !== 'person' && weekdayOf(day) > 4) continue;
    for (const habit of member.habits)
      if (dice(day - monday, numberOf(member.id + habit.title)) * 10 < habit.of)
        habits.push(busyEvent(member, habit, day));
  }
  return [...away, ...habits];
}

/** The instants between which the office's plans are known, as whole days of UTC. */
export const officeSpan = (today: number) => ({
  from: (startOfWeek(today) - BACK) * DAY,
  to: (startOfWeek(today) + AHEAD) * DAY,
});

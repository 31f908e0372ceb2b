import ICAL from 'ical.js';
import { newEvent } from '../../model/event';
import { DAY, formatLocal, parseLocal } from '../../time/civil';
import { instantFromWall } from '../../time/zones';
import type { WallMs } from '../../time/units';
import { writeCalendarFile } from './writeFile';

/** Zones of all kinds of rules: both halves of the year, odd offsets, rules that changed, none at all. */
const ZONES = [
  'Europe/London', 'Europe/Dublin', 'Europe/Lisbon', 'Europe/Berlin', 'Europe/Kyiv', 'Europe/Moscow',
  'Europe/Istanbul', 'Europe/Chisinau', 'America/Halifax', 'America/St_Johns', 'America/New_York',
  'America/Chicago', 'America/Denver', 'America/Phoenix', 'America/Los_Angeles', 'America/Anchorage',
  'America/Mexico_City', 'America/Havana', 'America/Sao_Paulo', 'America/Santiago', 'America/Asuncion',
  'America/Nuuk', 'America/Caracas', 'Africa/Cairo', 'Africa/Casablanca', 'Africa/Johannesburg',
  'Asia/Jerusalem', 'Asia/Beirut', 'Asia/Gaza', 'Asia/Tehran', 'Asia/Kolkata', 'Asia/Kathmandu',
  'Asia/Tokyo', 'Asia/Pyongyang', 'Australia/Sydney', 'Australia/Lord_Howe', 'Australia/Perth',
  'Pacific/Auckland', 'Pacific/Chatham', 'Pacific/Apia', 'Pacific/Fiji', 'Atlantic/Azores',
]; // prettier-ignore

const NOW = Date.UTC(2026, 10, 26);

/** What a reader that knows only the text makes of a wall time in its zone. */
function readerOf(text: string): (local: string) => number {
  const calendar = new ICAL.Component(ICAL.parse(text) as never);
  const zone = new ICAL.Timezone(calendar.getFirstSubcomponent('vtimezone')!);
  return (local) => {
    const time = ICAL.Time.fromDateTimeString(local);
    time.zone = zone;
    return time.toUnixTime() * 1000;
  };
}

test.each(ZONES)(
  '%s: endless weekly series from 1992 to 2026 are right to 2037 by the text alone',
  (zone) => {
    for (const year of [1992, 2004, 2015, 2026]) {
      const start = parseLocal(`${year}-01-06T10:30:00`);
      const time = (wall: WallMs) => ({ kind: 'zoned' as const, local: formatLocal(wall), zone });
      const event = newEvent(
        {
          id: 'a',
          calendarId: 'c',
          start: time(start),
          end: time(start + DAY / 24),
          rule: 'FREQ=WEEKLY',
        },
        1,
      );
      const text = writeCalendarFile({
        name: '',
        events: [event],
        tasks: [],
        passthrough: [],
        now: NOW,
      });
      const read = readerOf(text);
      const wrong: string[] = [];
      for (let wall = start; wall < parseLocal('2037-12-31'); wall += 7 * DAY) {
        const local = formatLocal(wall);
        if (read(local) !== instantFromWall(wall, zone)) wrong.push(local);
      }
      expect(wrong).toEqual([]);
    }
  },
);

test('a series that ended long ago tells no more of its zone than it needs', () => {
  const event = newEvent(
    {
      id: 'a',
      calendarId: 'c',
      start: { kind: 'zoned', local: '2010-01-06T10:00:00', zone: 'Africa/Casablanca' },
      end: { kind: 'zoned', local: '2010-01-06T11:00:00', zone: 'Africa/Casablanca' },
      rule: 'FREQ=WEEKLY;COUNT=150',
    },
    1,
  );
  const text = writeCalendarFile({
    name: '',
    events: [event],
    tasks: [],
    passthrough: [],
    now: NOW,
  });
  const years = [...text.matchAll(/DTSTART:(\d{4})/g)].map(([, year]) => Number(year));
  expect(Math.max(...years)).toBe(2013);
});

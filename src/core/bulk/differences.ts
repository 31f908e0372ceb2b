import { inkName } from '../calendars/inks';
import { wallOnClock } from '../editing/times';
import type { CalendarEvent } from '../model/event';
import { durationOf, isWholeDay } from '../model/event';
import { zoneOf } from '../model/common';
import { importanceOf } from '../model/importance';
import type { CalendarReminders } from '../reminders/following';
import type { ReminderWording } from '../reminders/words';
import { sayReminders } from '../reminders/words';
import { MINUTE } from '../time/civil';
import { joinWords, sayLength, saySpan, withClocks } from '../time/words';
import { cityOf } from '../time/zoneNames';

/** One thing that is said of an event before, and otherwise after. */
export interface Difference {
  name: string;
  before: string;
  after: string;
}

/** By what an event is said: whose clock and words, and what calendars, categories and inks are called. */
export interface DifferenceWording extends ReminderWording {
  /** The home zone: on days on which the clock is another one's, that is said. */
  home: string;
  calendarOf(id: string): (CalendarReminders & { name: string }) | undefined;
  categoryName(id: string): string;
}

const NOTHING = '—';
const orNothing = (text: string) => text.trim() || NOTHING;

/** When an event is, on the clock of the sheet, which is named where it is not home's. */
export function sayTimes(
  event: Pick<CalendarEvent, 'start' | 'end'>,
  { clock, home, ...wording }: Pick<DifferenceWording, 'clock' | 'home' | 'locale' | 'hourCycle'>,
): string {
  const span = {
    start: wallOnClock(event.start, clock),
    end: wallOnClock(event.end, clock),
    wholeDay: isWholeDay(event),
  };
  return saySpan(span, withClocks(wording, clock, home));
}

const sayZone = (event: CalendarEvent) => {
  const zone = zoneOf(event.start);
  return isWholeDay(event) ? 'whole day' : zone === null ? 'any zone' : cityOf(zone);
};

function sayOwnReminders(event: CalendarEvent, wording: DifferenceWording): string {
  const calendar = wording.calendarOf(event.calendarId);
  if (event.reminders === null) return `as ${calendar?.name ?? 'its calendar'} has it`;
  return sayReminders(event.reminders, { wholeDay: isWholeDay(event) }, wording);
}

/** What is said of an event, by what it is called; of each, what differs is shown. */
const SAID: readonly [string, (event: CalendarEvent, wording: DifferenceWording) => string][] = [
  ['Title', ({ title }) => orNothing(title)],
  ['When', sayTimes],
  ['Length', (event) => (isWholeDay(event) ? 'whole day' : sayLength(durationOf(event) / MINUTE))],
  ['Zone', sayZone],
  [
    'Calendar',
    ({ calendarId }, { calendarOf }) => calendarOf(calendarId)?.name ?? 'a removed calendar',
  ],
  ['Place', ({ place }) => orNothing(place)],
  ['Link', ({ link }) => orNothing(link)],
  ['Room', ({ room }) => orNothing(room ?? '')],
  ['Notes', ({ notes }) => orNothing(notes)],
  [
    'Categories',
    ({ categoryIds }, { categoryName }) => joinWords(categoryIds.map(categoryName)) || NOTHING,
  ],
  ['Availability', ({ availability }) => availability],
  ['Seen by others', ({ visibility }) => visibility],
  ['Importance', ({ importance }) => importanceOf(importance)],
  [
    'Guests',
    ({ attendees }) => joinWords(attendees.map(({ name, address }) => name || address)) || NOTHING,
  ],
  ['Reminders', sayOwnReminders],
  ['Icon', ({ icon }) => icon ?? NOTHING],
  ['Ink', ({ inkOverride }) => (inkOverride ? inkName(inkOverride) : 'of its calendar')],
  [
    'Files',
    ({ attachments }) =>
      attachments.length ? attachments.map(({ name }) => name).join(', ') : NOTHING,
  ],
];

/** What differs between an event before and after, each said in words; the rest is left out. */
export function differencesOf(
  before: CalendarEvent,
  after: CalendarEvent,
  wording: DifferenceWording,
): Difference[] {
  return SAID.flatMap(([name, say]) => {
    const [was, is] = [say(before, wording), say(after, wording)];
    // A move says its length by its span: that is only told where it is another.
    return was === is ? [] : [{ name, before: was, after: is }];
  });
}

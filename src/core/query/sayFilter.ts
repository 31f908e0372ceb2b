import { CHECK_WORDS } from '../model/checks';
import type { Filter, FilterKind, FilterPart, TextField } from '../model/filter';
import type { Weekday } from '../time/civil';
import { dayOfWall, parseDate } from '../time/civil';
import type { Wording } from '../time/words';
import { DATED_DAY, sayDay, sayMinute, shortWeekday } from '../time/words';
import { cityOf } from '../time/zoneNames';
import { wallFromInstant } from '../time/zones';
import { partsSetOf } from './filterParts';
import { formatMinuteRange } from './minuteRange';
import { wordsOf } from './words';

/** What the fields that words stand in are called. */
export const FIELD_NAMES: Readonly<Record<TextField, string>> = {
  title: 'title',
  place: 'place',
  notes: 'notes',
  people: 'people',
  calendar: 'calendar',
  category: 'category',
  file: 'file name',
  agenda: 'points',
  link: 'link',
};

export const KIND_NAMES: Readonly<Record<FilterKind, string>> = {
  single: 'single',
  series: 'repeating',
  wholeDay: 'whole day',
  others: 'with others',
  reminder: 'has a reminder',
  attachment: 'has a file',
  notes: 'has notes',
  link: 'has a link',
  travel: 'has a way there',
  untitled: 'without a title',
};

/** What each part is called where it is chosen. */
export const PART_NAMES: Readonly<Record<FilterPart, string>> = {
  words: 'Words',
  place: 'Place',
  calendars: 'Calendars',
  categories: 'Categories',
  kinds: 'Kinds',
  availability: 'Availability',
  importance: 'Importance',
  visibility: 'Seen by others',
  people: 'People',
  zones: 'Zones',
  dates: 'Dates',
  weekdays: 'Weekdays',
  timeOfDay: 'Time of day',
  length: 'Length',
  changed: 'Changed since',
  broughtIn: 'Imported with',
  checks: 'Found by Tidy',
};

/** How a filter is said: whose words and clock, and what things are called. */
export interface FilterWording {
  wording: Wording;
  clock: string;
  calendarName(id: string): string;
  categoryName(id: string): string;
}

const either = (names: readonly string[]) => names.join(' or ');

function sayDates({ dates }: Filter, { wording }: FilterWording): string {
  const say = (date: string) => sayDay(parseDate(date), wording, DATED_DAY);
  const { from, to, period } = dates!;
  if (period) return period;
  if (from !== null && from === to) return say(from);
  if (from === null) return `until ${say(to!)}`;
  return to === null ? `from ${say(from)}` : `${say(from)} – ${say(to)}`;
}

const SAY: Readonly<Record<FilterPart, (filter: Filter, wording: FilterWording) => string>> = {
  words: ({ text, textIn }) => {
    const said = wordsOf(text)
      .map((word) => `“${word}”`)
      .join(' ');
    return textIn.length ? `${said} in ${either(textIn.map((f) => FIELD_NAMES[f]))}` : said;
  },
  place: ({ place }) => `at ${place.trim()}`,
  calendars: ({ calendarIds }, { calendarName }) => `on ${either(calendarIds.map(calendarName))}`,
  categories: ({ categoryIds }, { categoryName }) => either(categoryIds.map(categoryName)),
  kinds: ({ kinds }) => either(kinds.map((kind) => KIND_NAMES[kind])),
  availability: ({ availability }) => either(availability),
  importance: ({ importance }) => `${either(importance)} importance`,
  visibility: ({ visibility }) => either(visibility),
  people: ({ people }) => `with ${people.trim()}`,
  zones: ({ zones }) => `in ${either(zones.map(cityOf))}`,
  dates: sayDates,
  weekdays: ({ weekdays }) => `on ${either(weekdays.map((day) => shortWeekday(day as Weekday)))}`,
  timeOfDay: ({ timeOfDay }, { wording: { hourCycle } }) =>
    `from ${sayMinute(timeOfDay!.from, hourCycle)} until ${sayMinute(timeOfDay!.to, hourCycle)}`,
  length: ({ length }) => formatMinuteRange(length!),
  changed: ({ changedSince }, { wording, clock }) =>
    `changed since ${sayDay(dayOfWall(wallFromInstant(changedSince!, clock)), wording, DATED_DAY)}`,
  broughtIn: ({ broughtIn }) => `imported with ${broughtIn.trim()}`,
  checks: ({ checks }) =>
    `found by Tidy: ${either(checks.map((check) => CHECK_WORDS[check].name))}`,
};

/** A part of a filter in words: "on Clients or Workshop", "not at Quay 3". */
export function sayPart(filter: Filter, part: FilterPart, wording: FilterWording): string {
  const said = SAY[part](filter, wording);
  return filter.not.includes(part) ? `not ${said}` : said;
}

/** A whole filter in words; empty when nothing is asked for. */
export const sayFilter = (filter: Filter, wording: FilterWording): string =>
  [
    ...partsSetOf(filter).map((part) => sayPart(filter, part, wording)),
    ...(filter.isPastHidden ? ['not over'] : []),
  ].join(', ');

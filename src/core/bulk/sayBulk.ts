import { count, sayLength, sayMinute, joinWords } from '../time/words';
import type { HourCycle } from '../time/words';
import type { FilterWording } from '../query/sayFilter';
import type { BulkDeed } from './deeds';
import type { BulkStep, StepKind } from '../model/bulkSteps';

/** What each kind of step is called in a list to choose from. */
export const STEP_NAMES: Readonly<Record<StepKind, string>> = {
  shiftDays: 'Move by days',
  toDay: 'Move to a day',
  shiftMinutes: 'Earlier or later',
  setStart: 'Begin at',
  setLength: 'Last',
  round: 'Round to slots',
  wholeDay: 'Make whole days',
  hours: 'Give hours',
  zone: 'Zone',
  calendar: 'Calendar',
  categories: 'Categories',
  ink: 'Ink',
  icon: 'Icon',
  availability: 'Availability',
  visibility: 'Seen by others',
  importance: 'Importance',
  reminders: 'Reminders',
  text: 'Set place or link',
  replace: 'Find and replace',
  prefix: 'Put before the title',
  suffix: 'Put after the title',
  trim: 'Trim spaces',
  number: 'Number',
  removeFiles: 'Remove files',
};

const signed = (minutes: number) =>
  `${sayLength(Math.abs(minutes))} ${minutes < 0 ? 'earlier' : 'later'}`;

type Names = Pick<FilterWording, 'calendarName' | 'categoryName'>;

function sayCategories(
  { add, remove, isReplaced }: Extract<BulkStep, { kind: 'categories' }>,
  { categoryName }: Names,
): string {
  const parts = [
    add.length ? `with ${joinWords(add.map(categoryName))}` : '',
    isReplaced ? 'with no other category' : '',
    remove.length ? `without ${joinWords(remove.map(categoryName))}` : '',
  ];
  return parts.filter(Boolean).join(', ');
}

/** What a step does, in a few words, as within a sentence. */
function sayStep(step: BulkStep, hourCycle: HourCycle, names?: Names): string {
  switch (step.kind) {
    case 'shiftDays':
      return `${count(Math.abs(step.days), 'day')} ${step.days < 0 ? 'back' : 'on'}`;
    case 'toDay':
      return 'to a day';
    case 'shiftMinutes':
      return signed(step.minutes);
    case 'setStart':
      return `begin at ${sayMinute(step.minute, hourCycle)}`;
    case 'setLength':
      return `last ${sayLength(step.minutes)}`;
    case 'round':
      return `rounded to ${step.slot} min`;
    case 'wholeDay':
      return 'whole days';
    case 'hours':
      return 'hours';
    case 'text':
      return step.field;
    case 'replace':
      return 'words';
    case 'prefix':
    case 'suffix':
    case 'number':
      return 'title';
    case 'trim':
      return 'spaces';
    case 'removeFiles':
      return 'files';
    case 'visibility':
      return step.visibility;
    case 'availability':
      return step.availability;
    case 'importance':
      return `${step.importance} importance`;
    case 'calendar':
      return names ? `to ${names.calendarName(step.calendarId)}` : step.kind;
    case 'categories':
      return names ? sayCategories(step, names) : step.kind;
    default:
      return step.kind;
  }
}

/** What steps do, in a few words: "to Clients and private"; without names "calendar and private". */
export const sayRuleSteps = (
  steps: readonly BulkStep[],
  hourCycle: HourCycle,
  names?: Names,
): string => joinWords([...new Set(steps.map((step) => sayStep(step, hourCycle, names)))]);

/** What was done to so many events, as a change is called: "Changed 12 events: calendar, 7 days on". */
export function sayBulk(steps: readonly BulkStep[], events: number, hourCycle: HourCycle): string {
  return `Changed ${count(events, 'event')}: ${sayRuleSteps(steps, hourCycle)}`;
}

const DEEDS: Readonly<Record<BulkDeed['kind'], [string, string, string]>> = {
  remove: ['Removed', 'event', ''],
  skip: ['Skipped', 'date', ''],
  copy: ['Copied', 'event', ''],
  join: ['Joined', 'event', ' into one'],
  makeSeries: ['Made a series of', 'event', ''],
  makeSingles: ['Made single events of', 'event', ''],
};

/** What was done to events as wholes: "Joined 3 events into one". */
export function sayDeed({ kind }: BulkDeed, events: number): string {
  const [before, what, after] = DEEDS[kind];
  return `${before} ${count(events, what)}${after}`;
}

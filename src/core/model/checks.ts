/** Checks of Tidy that find events, in the order of the list: their findings can be asked for in a question. */
export const EVENT_CHECKS = [
  'doubles',
  'clashing',
  'overClosures',
  'untitled',
  'timeInTitle',
  'misplaced',
  'oddHours',
  'lengths',
  'outsideHours',
  'information',
  'scattered',
  'stale',
  'idleReminders',
  'unguarded',
  'files',
] as const;
export type EventCheck = (typeof EVENT_CHECKS)[number];

/** All of them: those at the end are about calendars and categories. */
export const CHECK_NAMES = [...EVENT_CHECKS, 'inks', 'spelledTwice', 'unused'] as const;
export type CheckName = (typeof CHECK_NAMES)[number];

export const isEventCheck = (check: CheckName): check is EventCheck =>
  (EVENT_CHECKS as readonly CheckName[]).includes(check);

/** What each check is called in the list, and what it looks for in a sentence. */
export const CHECK_WORDS: Readonly<Record<CheckName, { name: string; says: string }>> = {
  doubles: { name: 'Doubles', says: 'the same event twice or more, also nearly' },
  clashing: { name: 'Clashes', says: 'busy events at the same time, in the next two months' },
  overClosures: {
    name: 'Series over closures',
    says: 'dates of series in the next half year on which something is closed',
  },
  untitled: {
    name: 'Without a title',
    says: 'entries without a title, or with one that says nothing',
  },
  timeInTitle: { name: 'A time in the title', says: 'whole days whose title says a time' },
  misplaced: {
    name: 'Out of place',
    says: 'links and places that stand in the title or the notes',
  },
  oddHours: { name: 'Odd hours', says: 'events at night that fit another of your zones' },
  lengths: { name: 'Lengths', says: 'events of no length, or far too long' },
  outsideHours: {
    name: 'Outside of work',
    says: 'busy events of the next month outside of working hours',
  },
  information: {
    name: 'Only information',
    says: 'whole days marked busy that tell of something: a colleague’s leave, a holiday',
  },
  scattered: {
    name: 'On the wrong calendar',
    says: 'a title that is on one calendar mostly, and on others too',
  },
  stale: {
    name: 'Stale series',
    says: 'series without an end that nobody touched for a year, or whose dates are mostly skipped',
  },
  idleReminders: {
    name: 'Idle reminders',
    says: 'reminders of what is over, or of free whole days',
  },
  unguarded: {
    name: 'Private-looking',
    says: 'entries that look private, and are shown to whoever sees the calendar',
  },
  inks: { name: 'Look-alike inks', says: 'calendars whose inks can hardly be told apart' },
  spelledTwice: { name: 'Spelled twice', says: 'categories that are the same in two spellings' },
  unused: { name: 'Unused', says: 'calendars and categories that nothing is on' },
  files: { name: 'Files', says: 'files that are large, or attached twice' },
};

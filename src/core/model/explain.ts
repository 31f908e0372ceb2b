import type { z } from './zod';

/** What fields are called where their own names say little. */
const FIELD_WORDS: Readonly<Record<string, string>> = {
  id: 'its key',
  uid: 'its UID',
  calendarId: 'its calendar',
  categoryIds: 'its categories',
  inkOverride: 'its own ink',
  rule: 'how it repeats',
  extraDates: 'its added dates',
  skippedDates: 'its skipped dates',
  changedDates: 'its changed dates',
  passthrough: 'what came with its file',
  clockDays: 'its length in days',
  removedAt: 'when it was removed',
};

/** A field's name as people write it: `defaultLength` is “default length”. */
function wordsOf(field: PropertyKey): string {
  const name = String(field);
  return FIELD_WORDS[name] ?? name.replaceAll(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
}

const TYPE_WORDS: Readonly<Record<string, string>> = {
  string: 'a text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'yes or no',
  array: 'a list',
  object: 'made of parts',
  record: 'made of parts',
  date: 'a date',
};

function whatIsWrong(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'invalid_type':
      // The library gives what it received in its own words alone.
      return issue.message.endsWith('received undefined')
        ? 'is missing'
        : `is not ${TYPE_WORDS[issue.expected] ?? 'what it must be'}`;
    case 'too_small':
      return issue.origin === 'string' ? 'is empty' : 'is too small';
    case 'too_big':
      return issue.origin === 'string' ? 'is too long' : 'is too large';
    case 'custom':
      return issue.message;
    case 'unrecognized_keys':
      return 'has parts that the app does not know';
    default:
      return 'is not written as it must be';
  }
}

/** “dates” are, “title” is. */
const agreeing = (what: string, wrong: string) =>
  /[^s]s$/.test(what) ? wrong.replace(/^is /, 'are ').replace(/^has /, 'have ') : wrong;

/** Why something does not fit its schema, in words: a reason for each of the first three fields. */
export function explain(error: z.ZodError): string {
  const reasons = new Map<string, string>();
  for (const issue of error.issues) {
    const field = issue.path.find((part) => typeof part === 'string');
    const what = field === undefined ? 'it' : wordsOf(field);
    if (!reasons.has(what)) reasons.set(what, `${what} ${agreeing(what, whatIsWrong(issue))}`);
  }
  return [...reasons.values()].slice(0, 3).join('; ');
}

import { readFileSync } from 'node:fs';
import path from 'node:path';
import { writeRepeat } from '../recurrence/repeat';
import { DAY, formatDate, formatLocal, parseDate, parseLocal } from '../time/civil';
import { NO_EXTRAS } from './extras';
import type { ReadJot } from './jot';
import { readJot } from './jot';
import { TUESDAY } from './testing/context';

/**
 * Lines written down with their meaning before they were tried; how they are written is told in
 * `testdata/README.md`.
 */
const LINES = ['corpus.txt', 'tried.txt']
  .flatMap((file) => readFileSync(path.join(__dirname, 'testdata', file), 'utf8').split('\n'))
  .filter(Boolean)
  .map((row) => {
    const [main, more = ''] = row.split('||').map((part) => part.trim());
    const [line, title, when = '', rule = ''] = main!.split('|').map((part) => part.trim());
    const told: Record<string, string[]> = {};
    for (const fact of more.split(';').filter(Boolean)) {
      const [, name, value] = /^([^=]+)=?(.*)$/.exec(fact.trim())!;
      (told[name!] ??= []).push(value!);
    }
    return { line: line!, title: title!, when, rule, told };
  });

const EXTRAS = [...Object.keys(NO_EXTRAS), 'availability', 'visibility', 'notes'];

const whole = (date: string) => (/^\d\d-\d\d-\d\d/.test(date) ? `20${date}` : `2026-${date}`);
const any = (said: string) => said.split(' or ').map((one) => one.trim());

/** A rule without its week's start, in one order; "once" for none. */
const plainRule = (rule: string) =>
  rule
    .split(';')
    .filter((part) => part && !part.startsWith('WKST'))
    .map((part) => (part.startsWith('UNTIL') ? part.slice(0, 14) : part))
    .map((part) => {
      const [name, values] = part.split('=') as [string, string];
      return `${name}=${values.split(',').sort().join()}`;
    })
    .sort()
    .join(';') || 'once';

const ruleOf = (jot: ReadJot) =>
  plainRule(
    writeRepeat(jot.repeat, {
      zone: jot.zone ?? 'Europe/London',
      wholeDay: jot.wholeDay,
      workdays: TUESDAY.workdays,
    }) ?? '',
  );

function isAt(jot: ReadJot, said: string): boolean {
  if (said.includes('..')) {
    const [from, to] = said.split('..').map((date) => parseDate(whole(date)) * DAY);
    return jot.wholeDay && jot.start === from && jot.end === to! + DAY;
  }
  if (!said.includes('T'))
    return (
      jot.wholeDay && formatDate(jot.start / DAY) === whole(said) && jot.end === jot.start + DAY
    );
  const [from, to] = said.split('/').map((at) => parseLocal(`${whole(at)}:00`));
  return !jot.wholeDay && jot.start === from && (to === undefined || jot.end === to);
}

/** What of a line came out otherwise than it was meant. */
function wrongIn({ line, title, when, rule, told }: (typeof LINES)[number]): string[] {
  const jot = readJot(line, { ...TUESDAY, isMonthFirst: 'us' in told });
  const wrong: string[] = [];
  const check = (what: string, isRight: boolean, found: unknown) => {
    if (!isRight) wrong.push(`${what}: ${String(found)}`);
  };
  const isAny = (said: string) => said === '' || said === '*';
  check(
    'title',
    isAny(title) || any(title.toLowerCase()).includes(jot.title.toLowerCase()),
    jot.title,
  );
  const times = [jot.start, jot.end].map((at) => formatLocal(at).slice(5, 16)).join('/');
  check(
    'when',
    isAny(when) || any(when).some((one) => isAt(jot, one)),
    `${times}${jot.wholeDay ? ' whole' : ''}`,
  );
  check('rule', rule === '*' || any(rule).map(plainRule).includes(ruleOf(jot)), ruleOf(jot));
  const [place = '', calendar = 'workshop', zone = '', link = ''] = [
    'place',
    'cal',
    'zone',
    'link',
  ].map((name) => told[name]?.[0]);
  check('place', place === jot.place, jot.place);
  check('calendar', calendar === jot.calendarId, jot.calendarId);
  check('zone', (jot.zone ?? '').startsWith(zone), jot.zone);
  check('link', link === jot.link, jot.link);
  check('problem', !told['problem'] || jot.problems.length + jot.unread.length > 0, 'none');
  check('other', !told['other'] || jot.other !== null, 'none');
  const reminders = JSON.stringify(jot.reminders ?? []);
  check(
    'reminders',
    (told['rem'] ?? []).every((one) => reminders.includes(one)),
    reminders,
  );
  check('left out', (told['exdate'] ?? []).join() === jot.exceptDays.join(), jot.exceptDays);
  const also = jot.alsoAt.map((at) => formatLocal(at).slice(0, 16));
  check('also', (told['also'] ?? []).map(whole).join() === also.join(), also);
  const extras = Object.entries(jot.extras).map(([name, value]) => `${name}=${String(value)}`);
  const wanted = EXTRAS.flatMap((name) => (told[name] ?? []).map((value) => `${name}=${value}`));
  check('extras', wanted.sort().join() === extras.sort().join(), extras);
  return wrong;
}

test.each(LINES.map((one) => [one.line, one] as const))('%s', (_, one) => {
  expect(wrongIn(one)).toEqual([]);
});

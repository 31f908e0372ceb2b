import { dayOfWall, parseDate } from '../time/civil';
import type { Wording } from '../time/words';
import { joinWords, sayDay, SHORT_DAY } from '../time/words';
import type { Jot } from './jot';

/** The days that a line names besides the first, and those that it leaves out, in words; empty for none. */
export function formatNamedDays(
  { alsoAt, exceptDays }: Pick<Jot, 'alsoAt' | 'exceptDays'>,
  wording: Pick<Wording, 'locale'>,
): string {
  const days = (all: readonly number[]) =>
    joinWords(all.map((day) => sayDay(day, wording, SHORT_DAY)));
  return [
    alsoAt.length ? `also ${days(alsoAt.map(dayOfWall))}` : '',
    exceptDays.length ? `without ${days(exceptDays.map(parseDate))}` : '',
  ]
    .filter(Boolean)
    .join(' · ');
}

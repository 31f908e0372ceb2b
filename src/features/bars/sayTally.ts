import type { Occurrence } from '@/core/agenda/occurrence';

type Part = Pick<Occurrence, 'isUnanswered' | 'tally' | 'changedBy'>;

/** The first letters of a name: "IS" for Ida Solberg. */
const initials = (name: string) =>
  name
    .split(/\s+/)
    .map((word) => [...word][0] ?? '')
    .join('')
    .slice(0, 2)
    .toUpperCase();

/**
 * What stands before a title: that it waits for the person's answer, or how many guests come, and who
 * else changed it; empty for none of these.
 */
export const shortTally = ({ isUnanswered, tally, changedBy }: Part): string =>
  [
    isUnanswered ? '?' : tally ? `${tally.accepted}/${tally.guests}` : '',
    changedBy ? `by ${initials(changedBy)}` : '',
  ]
    .filter(Boolean)
    .join(' ');

/** The same in words. */
export const sayTally = ({ isUnanswered, tally, changedBy }: Part): string =>
  [
    isUnanswered
      ? 'not answered'
      : tally
        ? `${tally.accepted} of ${tally.guests} guests accepted`
        : '',
    changedBy ? `changed by ${changedBy}` : '',
  ]
    .filter(Boolean)
    .join(', ');

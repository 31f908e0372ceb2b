import type { Occurrence } from '@/core/agenda/occurrence';

type Part = Pick<Occurrence, 'isUnanswered' | 'tally'>;

/** What stands before a title: that it waits for the person's answer, or how many guests come; empty for neither. */
export const shortTally = ({ isUnanswered, tally }: Part): string =>
  isUnanswered ? '?' : tally ? `${tally.accepted}/${tally.guests}` : '';

/** The same in words. */
export const sayTally = ({ isUnanswered, tally }: Part): string =>
  isUnanswered
    ? 'not answered'
    : tally
      ? `${tally.accepted} of ${tally.guests} guests accepted`
      : '';

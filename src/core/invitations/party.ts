import type { Answer } from '../model/attendees';
import type { MailParty } from '../model/mail';
import { joinWords } from '../time/words';

/** Whether two mail addresses are the same. */
export const isSameAddress = (a: string, b: string): boolean =>
  a !== '' && a.trim().toLowerCase() === b.trim().toLowerCase();

/** What stands for a party on screen. */
export const sayParty = ({ name, address }: MailParty): string => name || address || 'Somebody';

/** Names that are told one by one. */
const MOST = 3;

/** Whom something goes to: "Ida, Tomas and 2 more". */
export function sayWhom(to: readonly MailParty[]): string {
  const names = to.map((one) => sayParty(one).split(' ')[0]!);
  return names.length > MOST
    ? `${names.slice(0, MOST - 1).join(', ')} and ${names.length - MOST + 1} more`
    : joinWords(names);
}

/** What an answer is called on its own, and of somebody: "Ida accepted". */
export const ANSWER_WORDS: Readonly<Record<Answer, string>> = {
  none: 'no answer yet',
  accepted: 'accepted',
  tentative: 'perhaps',
  declined: 'declined',
  delegated: 'passed on',
};

import type { Attendee } from '../model/attendees';
import type { MailParty } from '../model/mail';
import { isSameAddress } from './party';

/** Who passed it on to an attendee: one address or a list of them (DELEGATED-FROM, RFC 5545 §3.2.4). */
function passedFrom({ parameters }: Attendee): string[] {
  const said = parameters?.['delegated-from'];
  const all = Array.isArray(said) ? said : [said];
  return all
    .filter((one): one is string => typeof one === 'string')
    .map((one) => one.replace(/^mailto:/i, ''));
}

/** Whether somebody comes for another who passed it on. */
export const isPassedOn = (one: Attendee): boolean => passedFrom(one).length > 0;

/**
 * Both sides of passing an invitation on (RFC 5546 §3.2.2.3): who was asked, who comes for them
 * instead, each naming the other.
 */
export function passOn(mine: Attendee, to: MailParty): [Attendee, Attendee] {
  return [
    {
      ...mine,
      answer: 'delegated',
      parameters: { ...mine.parameters, 'delegated-to': `mailto:${to.address}` },
    },
    {
      name: to.name,
      address: to.address,
      role: mine.role,
      answer: 'none',
      parameters: { 'delegated-from': `mailto:${mine.address}`, rsvp: 'TRUE' },
    },
  ];
}

/** Attendees with both sides of what one of them passed on: who comes instead is among them, once. */
export function withPassedOn(
  attendees: readonly Attendee[],
  [mine, instead]: readonly [Attendee, Attendee],
): Attendee[] {
  const known = attendees.some(({ address }) => isSameAddress(address, instead.address));
  const passed = attendees.map((one) => (isSameAddress(one.address, mine.address) ? mine : one));
  return known ? passed : [...passed, instead];
}

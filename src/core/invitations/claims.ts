import type { HeldFor, MailParty } from '../model/mail';
import type { InviteMessage } from './messages';
import { isFromGuest, senderOf } from './messages';
import { isSameAddress } from './party';

/** A step of SEQUENCE that no organizer takes by editing; what claims it could block all true updates. */
export const MAX_SEQUENCE_STEP = 1000;

/** Whom a message's writer says to have let write for them (SENT-BY, RFC 5545 §3.2.18); empty for nobody. */
function sentByOf(message: InviteMessage): string {
  const { draft } = message;
  const writer = isFromGuest(message) ? draft.attendees[0] : draft.organizer;
  const said = writer?.parameters?.['sent-by'];
  return typeof said === 'string' ? said.replace(/^mailto:/i, '') : '';
}

/** A message that counts, and who really sent it; null where that is whom it names. */
export interface KnownMessage {
  message: InviteMessage;
  sender: MailParty | null;
  /** Whether the person said that its sender may. */
  isVouched: boolean;
}

/**
 * Who may write for somebody by what is known: whom they named in a message that they sent themselves,
 * and those of whom the person said so. What a message says of its own sender is no reason.
 */
function mayWriteFor(
  known: readonly KnownMessage[],
  { address: writer }: MailParty,
  { address: sender }: MailParty,
): boolean {
  return known.some(({ message, sender: real, isVouched }) => {
    if (!isSameAddress(senderOf(message).address, writer)) return false;
    return real === null
      ? isSameAddress(sentByOf(message), sender)
      : isVouched && isSameAddress(real.address, sender);
  });
}

/**
 * Why a message has to wait until the person says that it counts; null where nothing is doubtful.
 *
 * @param from whom its mail is from; null for a file, which the person opened themselves
 * @param known messages that came and count
 * @param highest the highest SEQUENCE known of its event; -1 for none
 */
export function doubtAbout(
  message: InviteMessage,
  {
    from,
    known,
    highest,
  }: { from: MailParty | null; known: readonly KnownMessage[]; highest: number },
): HeldFor | null {
  const writer = senderOf(message);
  const isKnown =
    from === null ||
    isSameAddress(writer.address, from.address) ||
    mayWriteFor(known, writer, from);
  if (!isKnown) return 'sender';
  return message.sequence > Math.max(0, highest) + MAX_SEQUENCE_STEP ? 'sequence' : null;
}

import type { KnownMessage } from '@/core/invitations/claims';
import { doubtAbout } from '@/core/invitations/claims';
import type { InviteMessage } from '@/core/invitations/messages';
import { isFromGuest, isSameMessage, senderOf } from '@/core/invitations/messages';
import { isSameAddress } from '@/core/invitations/party';
import { sayCame, sayHeld, sayUnchanged } from '@/core/invitations/say';
import type { HeldFor, Mail } from '@/core/model/mail';
import { quotedTitle } from '@/core/model/titleOf';
import type { Records } from '../commands/plan';
import { cameIn, eventOfUid, lastSequence, mailsOf, meIn, messagesOf } from './correspondence';
import type { Came, TakenIn, Setting } from './taking';
import { NotTaken, CameBefore, mailFor, newMail } from './taking';
import { takeAsked } from './takeAsked';
import { takeAnswer, takeProposal, takeTurnedDown, takeRefresh } from './takeAnswers';

const TAKERS = {
  request: takeAsked,
  add: takeAsked,
  cancel: takeAsked,
  reply: takeAnswer,
  counter: takeProposal,
  refresh: takeRefresh,
  declineCounter: takeTurnedDown,
} as const;

/** Messages that count, with who really sent them. */
const knownMessages = (mails: readonly Mail[]): KnownMessage[] =>
  cameIn(mails).flatMap((mail) =>
    messagesOf(mail).map((message) => ({
      message,
      sender: mail.sender ?? null,
      isVouched: mail.isVouched === true,
    })),
  );

/** The highest SEQUENCE known of an event; -1 for none. */
const highestOf = (mails: readonly Mail[]): number =>
  Math.max(lastSequence(mails), ...cameIn(mails).map(({ sequence }) => sequence));

/** What messages that wait for the person do: they are kept, and nothing else. */
function hold(messages: readonly InviteMessage[], setting: Setting, held: HeldFor): TakenIn {
  const mail = mailFor(messages, setting, { dateKey: null, held });
  return { edits: [newMail(mail)], did: sayHeld(mail, messages[0]!.draft), isNews: true };
}

/**
 * What messages of one text about one event (RFC 5546) do to what is here.
 *
 * @param messages of one UID, METHOD and writer
 * @param isVouched whether the person said that they count
 * @throws NotTaken for what came before, is about nothing that is here, or is of somebody who has no
 * part in it: it changes nothing.
 */
export function takeIn(
  records: Records,
  messages: readonly InviteMessage[],
  came: Came,
  isVouched = false,
): TakenIn {
  const [message] = messages as [InviteMessage];
  const mails = mailsOf(records, message.uid);
  const setting: Setting = { ...came, records, me: meIn(records), mails, isVouched };
  // What a stranger sent before keeps nobody from sending the same themselves.
  const isKnown = ({ isOut, held, sender }: Mail) =>
    !isOut && (!held || isSameAddress(sender?.address ?? '', came.from?.address ?? ''));
  const known = mails.filter(isKnown).flatMap(messagesOf);
  const fresh = withoutKnown(messages, known);
  if (!fresh.length)
    throw new CameBefore(`This message about ${quotedTitle(message.draft)} came before.`);
  if (!senderOf(message).address) throw new NotTaken('It does not say whom it is from.');
  const fromWriter = records
    .all('mail')
    .filter(({ isOut, from }) => !isOut && isSameAddress(from.address, senderOf(message).address));
  const isOther =
    came.from !== null && !isSameAddress(came.from.address, senderOf(message).address);
  const highest = Math.max(...messages.map(({ sequence }) => sequence));
  const doubt = doubtAbout(
    { ...message, sequence: highest },
    {
      from: came.from,
      known: isOther ? knownMessages(fromWriter) : [],
      highest: highestOf(mails),
    },
  );
  if (doubt && !isVouched) return hold(fresh, setting, doubt);
  const isNew = !eventOfUid(records, message.uid);
  const { edits, event, isNews, isOff } = TAKERS[message.method](fresh, setting);
  const isOfDate = messages.length === 1 && message.time !== null && !isNew;
  const did = isNews
    ? sayCame(
        {
          method: isOff ? 'cancel' : message.method,
          answer: message.draft.attendees[0]?.answer,
          isNew: isNew && !isFromGuest(message),
          isOfDate,
        },
        senderOf(message),
        event ?? message.draft,
      )
    : sayUnchanged(message.method, senderOf(message), event ?? message.draft);
  return { edits, did, isNews };
}

/** Messages that are not known yet, each once; found by what tells them apart, so that thousands take linear time. */
function withoutKnown(
  messages: readonly InviteMessage[],
  known: readonly InviteMessage[],
): InviteMessage[] {
  const seen = new Map<string, InviteMessage[]>();
  const nameOf = ({ method, sequence, stamp, time }: InviteMessage) =>
    JSON.stringify([method, sequence, stamp, time]);
  const isFresh = (message: InviteMessage) => {
    const name = nameOf(message);
    const same = seen.get(name);
    if (same?.some((other) => isSameMessage(other, message))) return false;
    if (same) same.push(message);
    else seen.set(name, [message]);
    return true;
  };
  known.forEach(isFresh);
  return messages.filter(isFresh);
}

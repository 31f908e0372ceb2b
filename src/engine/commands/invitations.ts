import { availabilityFor, partOf } from '@/core/invitations/invited';
import { isSameAddress, sayParty, sayWhom } from '@/core/invitations/party';
import {
  answerSubject,
  counterSubject,
  tellingSubject,
  turnedDownSubject,
} from '@/core/invitations/say';
import { standingOf } from '@/core/invitations/standing';
import { guestsToTell, outgoing, partiesOf } from '@/core/invitations/telling';
import { dateAsEvent } from '@/core/editing/series/dates';
import { sayMove } from '@/core/editing/sayMove';
import type { Answer, Attendee } from '@/core/model/attendees';
import type { EventTime } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { revised } from '@/core/model/event';
import { mailAddress } from '@/core/model/common';
import type { Mail, MailParty } from '@/core/model/mail';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import { quotedTitle } from '@/core/model/titleOf';
import { UserError } from '@/core/userError';
import type { Edit } from '../change';
import {
  askedOf,
  eventOfUid,
  lastSequence,
  mailsOf,
  meIn,
  messagesOf,
  toldOf,
} from '../invitations/correspondence';
import {
  askedAgain,
  mailOut,
  mailsTo,
  silentOf,
  tellingMails,
  untoldOf,
} from '../invitations/outgoing';
import { takeIn } from '../invitations/takeIn';
import type { Planner, Records, Situation } from './plan';

/** The person as mails name them. @throws UserError where no address is known. */
export function sender(records: Records): MailParty {
  const me = meIn(records);
  if (!mailAddress.safeParse(me.address).success)
    throw new UserError('refused', 'Say first under which mail address others know you.');
  return me;
}

export function knownEvent(records: Records, uid: string): CalendarEvent {
  const event = eventOfUid(records, uid);
  if (!event) throw new UserError('gone', 'This event is not here any more.');
  return event;
}

/** An event with what the person answered, to the whole or to one date of it. */
function withMyAnswer(
  event: CalendarEvent,
  key: string | null,
  mine: Attendee,
  { asked, removedAt }: { asked: CalendarEvent['availability']; removedAt: number | null },
): CalendarEvent {
  const date = key === null ? event : dateAsEvent(event, key);
  const isKnown = date.attendees.some(({ address }) => isSameAddress(address, mine.address));
  const attendees = isKnown
    ? date.attendees.map((one) => (isSameAddress(one.address, mine.address) ? mine : one))
    : [...date.attendees, mine];
  const availability = availabilityFor(mine.answer, asked);
  if (key !== null) {
    const change = { ...event.changedDates[key], attendees, availability };
    return { ...event, changedDates: { ...event.changedDates, [key]: change } };
  }
  const { removedAt: _removedAt, ...shown } = event;
  // A word on the whole is one on each of its dates.
  const changedDates = Object.fromEntries(
    Object.entries(event.changedDates).map(([name, date]) => {
      if (!date.attendees) return [name, date];
      const own = date.attendees.map((one) =>
        isSameAddress(one.address, mine.address) ? mine : one,
      );
      return [name, { ...date, attendees: own, availability }];
    }),
  );
  const answered = {
    ...shown,
    attendees,
    changedDates,
    availability,
    invited: 'answered' as const,
  };
  return removedAt === null ? answered : { ...answered, removedAt };
}

/** What an answer names: the SEQUENCE of the last word of who asks (RFC 5546 §2.1.4), and the date, where one is all that was asked to. */
export function answersTo(
  mails: readonly Mail[],
  event: CalendarEvent,
): { sequence: number; alone: EventTime | null } {
  const { sequence = event.revision, alone = null } = standingOf(askedOf(mails)) ?? {};
  return { sequence, alone };
}

/** How an event takes time by whoever asks to it. */
function askedAvailability(mails: readonly Mail[], uid: string): CalendarEvent['availability'] {
  const request = mails.filter(({ isOut, method }) => !isOut && method === 'request').at(-1);
  const draft = request && messagesOf(request).find((one) => one.uid === uid)?.draft;
  return draft?.availability ?? 'busy';
}

/** Answers an invitation, or one date of it, with a line of one's own; the answer goes to who asks. */
export const answerInvitation: Planner<{
  uid: string;
  key: string | null;
  answer: Exclude<Answer, 'none' | 'delegated'>;
  line: string;
}> = ({ records, now, newId }, { uid, key, answer, line }) => {
  const me = sender(records);
  const event = knownEvent(records, uid);
  const { organizer } = event;
  if (!organizer) throw new UserError('refused', 'Nobody else asks to this event.');
  const mails = mailsOf(records, uid);
  const settings = records.get('settings', 'mine') ?? DEFAULT_SETTINGS;
  const before = partOf(event, me.address);
  const { line: _line, ...part }: Attendee = before ?? { ...me, role: 'required', answer: 'none' };
  const mine: Attendee = { ...part, answer, answeredAt: now, ...(line && { line }) };
  const isAway = answer === 'declined' && key === null && !settings.hasDeclined;
  const after = withMyAnswer(event, key, mine, {
    asked: askedAvailability(mails, uid),
    removedAt: isAway ? now : null,
  });
  const proposed = mails.filter(
    ({ isOut, method, isDone }) => isOut && method === 'counter' && !isDone,
  );
  return {
    label: `${answerSubject(event, answer).split(':')[0]} ${quotedTitle(event)}`,
    about: event.id,
    edits: [
      { type: 'event', before: event, after },
      mailOut(
        {
          ...{
            method: 'reply',
            key,
            line,
            attendees: [mine],
            ...answersTo(mails, event),
          },
          event: outgoing(event, organizer),
          to: [{ name: organizer.name, address: organizer.address }],
          subject: answerSubject(event, answer),
        },
        { from: me, now, id: newId() },
      ),
      ...proposed.map((mail): Edit => ({
        type: 'mail',
        before: mail,
        after: { ...mail, isDone: true },
      })),
    ],
  };
};

/** Proposes another time to who asks; the event stays where it is until they take it. */
export const proposeTime: Planner<{
  uid: string;
  key: string | null;
  start: EventTime;
  end: EventTime;
  line: string;
}> = ({ records, now, newId, saying }, { uid, key, start, end, line }) => {
  const me = sender(records);
  const event = knownEvent(records, uid);
  const { organizer } = event;
  if (!organizer) throw new UserError('refused', 'Nobody else asks to this event.');
  const asked = dateAsEvent(event, key);
  const part = partOf(event, me.address) ?? { ...me, role: 'required' as const };
  const mine: Attendee = { ...part, answer: 'tentative', ...(line && { line }) };
  const told = outgoing(event, organizer);
  const moved =
    key === null
      ? { ...told, start, end }
      : { ...told, changedDates: { ...told.changedDates, [key]: { start, end } } };
  return {
    label: `Proposed another time for ${quotedTitle(event)}${sayMove(asked, { start, end }, saying)}`,
    about: event.id,
    edits: [
      mailOut(
        {
          ...{ method: 'counter', key, line, attendees: [mine], event: moved },
          ...answersTo(mailsOf(records, uid), event),
          to: [{ name: organizer.name, address: organizer.address }],
          subject: counterSubject(event),
        },
        { from: me, now, id: newId() },
      ),
    ],
  };
};

interface Tell {
  uid: string;
  line: string;
  /** Addresses of those who are told; null for everybody, none for nobody. */
  only: readonly string[] | null;
  /** How guests are asked from now on; as before where it is not said. */
  asking?: CalendarEvent['asking'];
}

/** The edits that tell guests of an event what they do not know, and settle that they were told. */
function toldEdits(
  { records, now, newId }: Situation,
  { uid, line, only, asking }: Tell,
): Edit[] | null {
  const isNobody = only !== null && only.length === 0;
  const me = isNobody ? meIn(records) : sender(records);
  const before = eventOfUid(records, uid);
  const mailsKnown = mailsOf(records, uid);
  const told = toldOf(mailsKnown);
  const untold = untoldOf(records, uid);
  if (!untold) return null;
  const edits: Edit[] = [];
  let { event } = untold;
  if (before && !untold.isGone && !isNobody) {
    const organizer = before.organizer ?? { ...me };
    const asked = askedAgain(before, told, mailsKnown);
    const after = { ...asked, organizer, ...(asking && { asking }) };
    edits.push({ type: 'event', before, after });
    event = outgoing(after, organizer);
  }
  const mails = tellingMails({ ...untold, event }, { me, line, only, now, newId });
  // One that says how things stand is enough where nobody is told.
  return [...edits, ...(isNobody ? mails.slice(-1) : mails)];
}

/** Tells guests what they have not been told, or settles that nobody is. */
export const tellGuests: Planner<Tell> = (situation, request) => {
  const untold = untoldOf(situation.records, request.uid);
  const edits = toldEdits(situation, request);
  if (!edits || !untold) return null;
  const { only } = request;
  const to = untold.all.flatMap((telling) => partiesOf(telling.to));
  const chosen = [...new Map(to.map((one) => [one.address, one])).values()].filter(
    ({ address }) => only === null || only.includes(address),
  );
  const what = quotedTitle(untold.event);
  return {
    label: chosen.length ? `Sent ${what} to ${sayWhom(chosen)}` : `Told nobody of ${what}`,
    about: untold.event.id,
    edits,
  };
};

/** Asks those who have not answered once more. */
export const remindSilent: Planner<{ uid: string; line: string }> = (
  { records, now, newId },
  { uid, line },
) => {
  const me = sender(records);
  const event = knownEvent(records, uid);
  const silent = silentOf(records, event);
  if (!silent.length) return null;
  const told = outgoing(event, event.organizer ?? { ...me });
  return {
    label: `Asked ${sayWhom(partiesOf(silent))} once more about ${quotedTitle(event)}`,
    about: event.id,
    edits: mailsTo(
      silent,
      {
        ...{ method: 'request', event: told, key: null, line, told },
        sequence: Math.max(lastSequence(mailsOf(records, uid)), told.revision),
        subject: `Once more: ${tellingSubject(event, { why: 'new' })}`,
      },
      { from: me, now, newId },
    ),
  };
};

function proposalOf(records: Records, mailId: string) {
  const mail = records.get('mail', mailId);
  const message = mail && messagesOf(mail).find(({ method }) => method === 'counter');
  if (!mail || !message || mail.isDone)
    throw new UserError('gone', 'This proposal is settled already.');
  return { mail, message, event: knownEvent(records, mail.uid) };
}

/** Takes a time that a guest proposes, and tells everybody. */
export const takeProposal: Planner<{ mailId: string }> = (situation, { mailId }) => {
  const { records, now, newId, saying } = situation;
  const { mail, message, event } = proposalOf(records, mailId);
  const me = sender(records);
  const mails = mailsOf(records, event.uid);
  const told = toldOf(mails);
  const { start, end } = message.draft;
  const key = mail.dateKey;
  const asked = dateAsEvent(event, key);
  const whole = revised(
    event,
    key === null
      ? { start, end }
      : {
          changedDates: {
            ...event.changedDates,
            [key]: { ...event.changedDates[key], start, end },
          },
        },
    now,
  );
  // Who proposed it comes then: their proposal is their answer to it.
  const after = askedAgain(whole, told, mails);
  const shown = outgoing(after, after.organizer ?? { ...me });
  return {
    label: `Took ${sayParty(mail.from)}’s time for ${quotedTitle(event)}${sayMove(asked, { start, end }, saying)}`,
    about: event.id,
    edits: [
      { type: 'event', before: event, after },
      { type: 'mail', before: mail, after: { ...mail, isDone: true } },
      ...mailsTo(
        guestsToTell(after, me.address),
        {
          ...{ method: 'request', event: shown, key, line: '', told: shown },
          sequence: Math.max(lastSequence(mails) + 1, shown.revision),
          subject: tellingSubject(event, { why: key === null ? 'changed' : 'date changed' }),
        },
        { from: me, now, newId },
      ),
    ],
  };
};

/** Keeps the time, and says so to who proposed another. */
export const turnDownProposal: Planner<{ mailId: string; line: string }> = (
  { records, now, newId },
  { mailId, line },
) => {
  const { mail, event } = proposalOf(records, mailId);
  const me = sender(records);
  const shown = outgoing(event, event.organizer ?? { ...me });
  return {
    label: `Turned down ${sayParty(mail.from)}’s time for ${quotedTitle(event)}`,
    about: event.id,
    edits: [
      { type: 'mail', before: mail, after: { ...mail, isDone: true } },
      mailOut(
        {
          ...{ method: 'declineCounter', event: shown, key: mail.dateKey, line },
          to: [mail.from],
          subject: turnedDownSubject(event),
        },
        { from: me, now, id: newId() },
      ),
    ],
  };
};

function heldMail(records: Records, mailId: string): Mail {
  const mail = records.get('mail', mailId);
  if (!mail?.held || mail.isDone) throw new UserError('gone', 'This message is settled already.');
  return mail;
}

/** Takes in a message that waited: the person says that its sender may, or that its version is right. */
export const acceptHeld: Planner<{ mailId: string }> = ({ records, now, newId }, { mailId }) => {
  const before = heldMail(records, mailId);
  const { calendar, subject, sender: from = null } = before;
  const others: Records = {
    get: records.get.bind(records),
    all: (type) => records.all(type).filter((one) => (one as object) !== before),
  };
  const messages = messagesOf(before).filter(({ method }) => method === before.method);
  const { edits, did } = takeIn(others, messages, { calendar, subject, from, now, newId }, true);
  return {
    label: did,
    edits: edits.map((edit) =>
      edit.before === null && edit.type === 'mail' && (edit.after as Mail).calendar === calendar
        ? { ...edit, before, after: { ...(edit.after as Mail), id: mailId } }
        : edit,
    ),
  };
};

/** Leaves a message that waited without effect. */
export const ignoreHeld: Planner<{ mailId: string }> = ({ records }, { mailId }) => {
  const before = heldMail(records, mailId);
  return {
    label: `Ignored a message about “${before.subject}”`,
    edits: [{ type: 'mail', before, after: { ...before, isDone: true } }],
  };
};

/** Lets go of what was called off: it is not listed any more. */
export const letGoInvitation: Planner<{ uid: string }> = ({ records }, { uid }) => {
  const edits = mailsOf(records, uid)
    .filter(({ isOut, isDone, held }) => !isOut && !isDone && !held)
    .map((before): Edit => ({ type: 'mail', before, after: { ...before, isDone: true } }));
  const [first] = edits;
  if (!first) return null;
  const title = (first.before as Mail).subject;
  return { label: `Let go of “${title}”`, edits };
};

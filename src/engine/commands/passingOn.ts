import { sayMove } from '@/core/editing/sayMove';
import { lets } from '@/core/invitations/asking';
import { partOf } from '@/core/invitations/invited';
import { isSameAddress, sayParty } from '@/core/invitations/party';
import { passOn, withPassedOn } from '@/core/invitations/passOn';
import { answerSubject, tellingSubject } from '@/core/invitations/say';
import { standingOf } from '@/core/invitations/standing';
import { outgoing } from '@/core/invitations/telling';
import { mailAddress } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import type { MailParty } from '@/core/model/mail';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import { quotedTitle } from '@/core/model/titleOf';
import { UserError } from '@/core/userError';
import { askedOf, mailsOf } from '../invitations/correspondence';
import { mailOut } from '../invitations/outgoing';
import { answersTo, knownEvent, sender } from './invitations';
import type { Planner } from './plan';

/** Passes an invitation on to somebody else, who is asked instead; who asks is told. */
export const passInvitationOn: Planner<{ uid: string; to: MailParty; line: string }> = (
  { records, now, newId },
  { uid, to, line },
) => {
  const me = sender(records);
  const event = knownEvent(records, uid);
  const { organizer } = event;
  if (!organizer) throw new UserError('refused', 'Nobody else asks to this event.');
  if (!mailAddress.safeParse(to.address).success)
    throw new UserError('refused', `No mail address of ${sayParty(to)} is known.`);
  if (event.attendees.some(({ address }) => isSameAddress(address, to.address)))
    throw new UserError('refused', `${sayParty(to)} is asked already.`);
  if (!lets(event, 'mayPassOn'))
    throw new UserError('refused', `${sayParty(organizer)} wants this not to be passed on.`);
  const { sequence, alone } = answersTo(mailsOf(records, uid), event);
  if (alone)
    throw new UserError(
      'refused',
      `You were asked to one date of ${quotedTitle(event)} only: that can’t be passed on.`,
    );
  const part = partOf(event, me.address) ?? {
    ...me,
    role: 'required' as const,
    answer: 'none' as const,
  };
  const { line: _line, ...mine } = { ...part, answeredAt: now };
  const both = passOn(mine, to);
  const settings = records.get('settings', 'mine') ?? DEFAULT_SETTINGS;
  const attendees = withPassedOn(event.attendees, both);
  const passed: CalendarEvent = {
    ...event,
    attendees,
    changedDates: Object.fromEntries(
      Object.entries(event.changedDates).map(([key, date]) => [
        key,
        date.attendees
          ? { ...date, attendees: withPassedOn(date.attendees, both), availability: 'free' }
          : date,
      ]),
    ),
    availability: 'free',
    invited: 'answered',
    ...(!settings.hasDeclined && { removedAt: now }),
  };
  const told = outgoing({ ...event, attendees }, organizer);
  const from = { from: me, now };

  return {
    label: `Passed ${quotedTitle(event)} on to ${sayParty(to)}`,
    about: event.id,
    edits: [
      { type: 'event', before: event, after: passed },
      mailOut(
        {
          ...{ method: 'reply', key: null, line, attendees: both, event: told, sequence },
          to: [{ name: organizer.name, address: organizer.address }],
          subject: answerSubject(event, 'delegated'),
        },
        { ...from, id: newId() },
      ),
      mailOut(
        {
          ...{ method: 'request', key: null, line, event: told, to: [to], sequence },
          subject: tellingSubject(event, { why: 'new' }),
        },
        { ...from, id: newId() },
      ),
    ],
  };
};

/** Puts an event that somebody else asks to back to when they ask for. */
export const backToAsked: Planner<{ uid: string }> = ({ records, now, saying }, { uid }) => {
  const event = knownEvent(records, uid);
  const asked = standingOf(askedOf(mailsOf(records, uid)))?.draft;
  if (!asked) return null;
  const { start, end } = asked;
  const after = { ...event, start, end, updated: now };
  return {
    label: `Put ${quotedTitle(event)} back${sayMove(event, after, saying)}`,
    about: event.id,
    edits: [{ type: 'event', before: event, after }],
  };
};

import { invitedEvent, partOf } from '@/core/invitations/invited';
import type { InviteMessage } from '@/core/invitations/messages';
import { senderOf } from '@/core/invitations/messages';
import { isSameAddress, sayParty } from '@/core/invitations/party';
import type { Standing } from '@/core/invitations/standing';
import { standingOf } from '@/core/invitations/standing';
import { calendarForNew } from '@/core/calendars/showing';
import type { CalendarEvent } from '@/core/model/event';
import { inOrder } from '@/core/model/order';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import { quotedTitle } from '@/core/model/titleOf';
import { askedOf, eventOfUid, isMine, versionsAnswered, writtenOf } from './correspondence';
import type { Setting, Taken } from './taking';
import { NotTaken, mailFor, newMail, dateKeyOf } from './taking';

/** @throws NotTaken where somebody else asks to the event than these messages say, or the person does. */
function assertOrganizer(
  message: InviteMessage,
  current: CalendarEvent | undefined,
  setting: Setting,
) {
  const { me, mails } = setting;
  const { organizer } = message.draft;
  const title = quotedTitle(current ?? message.draft);
  if (isSameAddress(organizer?.address ?? '', me.address) || (current && isMine(current, me)))
    throw new NotTaken(`${title} is your own: nobody else asks to it.`);
  const asks = current?.organizer ?? askedOf(mails)[0]?.draft.organizer;
  if (asks && !isSameAddress(asks.address, organizer?.address ?? ''))
    throw new NotTaken(
      `${sayParty(asks)} asks to ${title}, not ${sayParty(senderOf(message))}. Nothing was changed.`,
    );
}

/** Requests, additions and cancellations: what an invitation comes to on the person's own calendar. */
export function takeAsked(messages: readonly InviteMessage[], setting: Setting): Taken {
  const { records, me, mails, now, newId } = setting;
  const [message] = messages as [InviteMessage];
  const before = askedOf(mails);
  const current = eventOfUid(records, message.uid);
  assertOrganizer(message, current, setting);
  const asked = [...before, ...messages];
  const was = standingOf(before);
  const standing = standingOf(asked);
  // Called off before it was asked to: kept, and applied once that comes.
  if (!standing)
    return {
      event: null,
      isNews: false,
      edits: [newMail(mailFor(messages, setting, { dateKey: null }))],
    };
  const mail = mailFor(messages, setting, { dateKey: dateKeyOf(messages, standing.draft.start) });
  if (was && isSameStanding(was, standing))
    return { event: current ?? null, isNews: false, edits: [newMail(mail)] };
  const settings = records.get('settings', 'mine') ?? DEFAULT_SETTINGS;
  const calendar = calendarForNew(inOrder(records.all('calendar')), settings.defaultCalendarId);
  if (!calendar) throw new NotTaken('There is no calendar that it could go to.');
  const written = writtenOf(mails);
  const invited = invitedEvent(standing, current, {
    was: was?.draft ?? null,
    me: me.address,
    id: newId(),
    calendarId: calendar.id,
    now,
    written,
    versions: versionsAnswered(asked, written),
  });
  const answer = partOf(invited, me.address)?.answer;
  const isAway =
    standing.isCancelled ||
    ((answer === 'declined' || answer === 'delegated') && !settings.hasDeclined);
  const { removedAt: _removedAt, ...shown } = invited;
  const event: CalendarEvent = isAway ? { ...invited, removedAt: now } : shown;
  return {
    event,
    isNews: true,
    isOff: standing.isCancelled,
    edits: [newMail(mail), { type: 'event', before: current ?? null, after: event }],
  };
}

const isSameStanding = (a: Standing, b: Standing): boolean =>
  a.isCancelled === b.isCancelled &&
  a.sequence === b.sequence &&
  JSON.stringify(a.draft) === JSON.stringify(b.draft);

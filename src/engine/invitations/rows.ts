import type { Occurrence } from '@/core/agenda/occurrence';
import { isBooked } from '@/core/agenda/occurrence';
import { nextStarts } from '@/core/recurrence/walk';
import { keyOfWall, seriesOf } from '@/core/editing/series/dates';
import type { Saying } from '@/core/editing/sayMove';
import { wallOnClock } from '@/core/editing/times';
import { partOf } from '@/core/invitations/invited';
import type { Difference } from '@/core/invitations/say';
import { differences, sayRepeats, sayTheirTimes, sayTimes } from '@/core/invitations/say';
import { standingOf } from '@/core/invitations/standing';
import type { Answer, Attendee } from '@/core/model/attendees';
import { wallOf, zoneOf } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { isSeries, isWholeDay } from '@/core/model/event';
import type { HeldFor, Mail, MailMethod, MailParty } from '@/core/model/mail';
import { titleOf } from '@/core/model/titleOf';
import { DAY, dayOfWall, minuteOfDay } from '@/core/time/civil';
import type { DayNumber, EpochMs } from '@/core/time/units';
import { sayDay, sayMinute, SHORT_DAY } from '@/core/time/words';
import { instantOf, utcWall } from '@/core/time/zones';
import type { Asked } from '../queries/asked';
import type { Records } from '../commands/plan';
import { lets } from '@/core/invitations/asking';
import { askedOf, cameIn, followedIds, meIn, messagesOf } from './correspondence';

/** Something that somebody else asks the person to, as its card shows it. */
export interface InvitationRow {
  uid: string;
  /** The event on the person's own calendar. */
  eventId: string | null;
  title: string;
  from: MailParty;
  /** Who really sent its last word, where that is somebody who writes for them. */
  sentBy: MailParty | null;
  state: 'open' | 'answered' | 'cancelled';
  answer: Answer;
  /** What the person wrote with the answer. */
  line: string;
  when: string;
  /** By the clock of whoever asks, where that is another. */
  theirs: string;
  repeats: string;
  place: string;
  notes: string;
  guests: Attendee[];
  /** What is otherwise since the version before. */
  changes: Difference[];
  /** Dates that were called off, in words. */
  off: string[];
  /** What who asks lets the person do besides answering. */
  mayPropose: boolean;
  mayPassOn: boolean;
  /** The time that the person proposed and that is not settled; empty for none. */
  proposed: string;
  /** The coming dates of a series, to answer one alone. */
  dates: { key: string; said: string; answer: Answer }[];
  /** When it is, to look at the day around it. */
  day: DayNumber;
  start: EpochMs;
  end: EpochMs;
  isWholeDay: boolean;
  /** The rest of its day, and which of it is at the same time. */
  around: { id: string; title: string; when: string; isClash: boolean }[];
}

/** Dates of a series that a card offers to answer alone. */
const DATES = 6;

/** The mails of invitations that came, by their events. */
export function byUid(mails: readonly Mail[]): Map<string, Mail[]> {
  const all = new Map<string, Mail[]>();
  for (const mail of mails) {
    const same = all.get(mail.uid);
    if (same) same.push(mail);
    else all.set(mail.uid, [mail]);
  }
  return all;
}

/** The person's own events of some UIDs, found in one pass; of several the one that was not removed. */
export function eventsOf(
  records: Records,
  uids: ReadonlyMap<string, unknown>,
): Map<string, CalendarEvent> {
  const found = new Map<string, CalendarEvent>();
  if (!uids.size) return found;
  const followed = followedIds(records);
  for (const event of records.all('event')) {
    if (!uids.has(event.uid) || followed.has(event.calendarId)) continue;
    const known = found.get(event.uid);
    if (!known || known.removedAt !== undefined) found.set(event.uid, event);
  }
  return found;
}

/** What others ask the person to, the next first; what is over or let go of is not among it. */
export function invitationRows(asked: Asked, saying: Saying, now: EpochMs): InvitationRow[] {
  const came = byUid(asked.records.all('mail'));
  const events = eventsOf(asked.records, came);
  const rows = [...came].flatMap(
    ([uid, mails]) => rowOf(asked, { uid, mails, event: events.get(uid), saying, now }) ?? [],
  );
  return rows.sort((a, b) => a.start - b.start || (a.uid < b.uid ? -1 : 1));
}

interface Knowing {
  uid: string;
  mails: Mail[];
  event: CalendarEvent | undefined;
  saying: Saying;
  now: EpochMs;
}

function rowOf(
  { records, index }: Asked,
  { uid, mails, event, saying, now }: Knowing,
): InvitationRow | null {
  const came = cameIn(mails);
  const standing = standingOf(askedOf(came));
  if (!standing || came.every(({ isDone }) => isDone)) return null;
  const me = meIn(records);
  const { draft, before, isCancelled } = standing;
  const shown = event ?? draft;
  const coming = nextStarts(
    seriesOf({ ...draft, id: 'draft', calendarId: 'draft' }),
    utcWall(now) - DAY,
    DATES,
  );
  const zone = zoneOf(draft.start);
  const start = instantOf(wallOf(draft.start), zone, saying.clock);
  const end = instantOf(wallOf(draft.end), zoneOf(draft.end), saying.clock);
  const isOver = isSeries(draft) ? coming.length === 0 : end <= now;
  if (isOver) return null;
  const mine = event && partOf(event, me.address);
  const answer = mine?.answer ?? 'none';
  const counter = mails
    .filter(({ isOut, method, isDone }) => isOut && method === 'counter' && !isDone)
    .at(-1);
  const proposal = counter && messagesOf(counter)[0]?.draft;
  const day = dayOfWall(wallOnClock(draft.start, saying.clock));
  const others = index
    .query({ fromDay: day, toDay: day + 1, zone: saying.clock }, null)
    .occurrences.filter((o) => o.eventId !== event?.id);
  const isClash = (o: Occurrence) => isBooked(o) && o.startMs < end && o.endMs > start;
  const isWritten = answer !== 'none';
  return {
    uid,
    eventId: event && event.removedAt === undefined ? event.id : null,
    title: titleOf(shown),
    from: { name: draft.organizer?.name ?? '', address: draft.organizer?.address ?? '' },
    sentBy: came.at(-1)?.sender ?? null,
    state: isCancelled ? 'cancelled' : isWritten ? 'answered' : 'open',
    answer,
    line: mine?.line ?? '',
    when: sayTimes(draft, saying),
    theirs: sayTheirTimes(draft, saying),
    repeats: sayRepeats(draft, saying),
    place: draft.place,
    notes: draft.notes,
    guests: draft.attendees,
    changes: before && !isCancelled ? differences(before, draft, saying) : [],
    off: standing.cancelledDates.map((key) => sayKey(key, saying)),
    mayPropose: lets(draft, 'mayPropose') && !isWholeDay(draft),
    mayPassOn: lets(draft, 'mayPassOn'),
    proposed: proposal ? sayTimes(proposal, saying) : '',
    dates: isSeries(draft)
      ? coming.map((wall) => {
          const key = keyOfWall(draft, wall);
          const own = event?.changedDates[key]?.attendees;
          const part = own && partOf({ attendees: own }, me.address);
          return { key, said: sayKey(key, saying), answer: part?.answer ?? answer };
        })
      : [],
    day,
    start,
    end,
    isWholeDay: isWholeDay(draft),
    around: others.map((o) => ({
      id: o.id,
      title: titleOf(o),
      when: sayTimesOf(o, saying),
      isClash: !isWholeDay(draft) && isClash(o),
    })),
  };
}

const sayKey = (key: string, { wording }: Saying) =>
  sayDay(Math.floor(Date.parse(`${key.slice(0, 10)}T00:00:00Z`) / DAY), wording, SHORT_DAY);

function sayTimesOf({ start, end, wholeDay }: Occurrence, { wording }: Saying): string {
  const at = (wall: number) => sayMinute(minuteOfDay(wall), wording.hourCycle);
  return wholeDay ? 'whole day' : `${at(start)} – ${at(end)}`;
}

/** A message that waits until the person says whether it counts. */
export interface HeldRow {
  mailId: string;
  title: string;
  /** In whose name it is written, and who sent it; null where that is no question. */
  from: MailParty;
  sender: MailParty | null;
  held: HeldFor;
  method: MailMethod;
  when: string;
  at: EpochMs;
}

/** What came and waits for the person, the last first. */
export const heldRows = (records: Records, saying: Saying): HeldRow[] =>
  records
    .all('mail')
    .flatMap((mail): HeldRow[] => {
      const draft = mail.held && !mail.isDone && messagesOf(mail)[0]?.draft;
      if (!draft || !mail.held) return [];
      const { id, from, sender = null, held, method, at } = mail;
      const when = method === 'refresh' ? '' : sayTimes(draft, saying);
      return [{ mailId: id, title: titleOf(draft), from, sender, held, method, when, at }];
    })
    .sort((a, b) => b.at - a.at);

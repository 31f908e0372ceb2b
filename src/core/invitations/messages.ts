import type { AnswerDraft } from '../files/ics/answers';
import { dateKeyFor } from '../files/ics/readTimes';
import type { EventDraft } from '../files/ics/readEvent';
import type { FileContents } from '../files/ics/readFile';
import { readCalendarFile } from '../files/ics/readFile';
import { FileError } from '../files/ics/scan';
import type { EventTime } from '../model/common';
import type { MailMethod, MailParty } from '../model/mail';
import type { EpochMs } from '../time/units';
import { isSameAddress } from './party';

/** One message about one event, or about one of its dates, as its calendar text has it (RFC 5546 §3.2). */
export interface InviteMessage {
  method: MailMethod;
  uid: string;
  /** The date that it is about (RECURRENCE-ID); null for the whole. */
  time: EventTime | null;
  /** Whether it reaches every later date too. */
  andLater: boolean;
  sequence: number;
  /** DTSTAMP, epoch ms */
  stamp: EpochMs;
  draft: EventDraft;
  /** What was written by hand (COMMENT). */
  line: string;
}

const METHODS: Readonly<Record<string, MailMethod>> = {
  REQUEST: 'request',
  ADD: 'add',
  REPLY: 'reply',
  CANCEL: 'cancel',
  REFRESH: 'refresh',
  COUNTER: 'counter',
  DECLINECOUNTER: 'declineCounter',
};

/** Whether a file with a METHOD is a message between people, and no calendar. */
export const isBetweenPeople = (method: string): boolean => Object.hasOwn(METHODS, method);

/** How a method is spelt in a file. */
export const methodName = (method: MailMethod): string => method.toUpperCase();

const commentOf = ({ passthrough }: EventDraft): string => {
  const comment = passthrough?.properties.find(([name]) => name === 'comment')?.[3];
  return typeof comment === 'string' ? comment : '';
};

/**
 * The messages that a calendar text carries, one for each event or date of one.
 * @throws FileError for a text that can't be read, or that is no message between people.
 */
export function readMessages(text: string, now: EpochMs): InviteMessage[] {
  const reader = readCalendarFile(text, now);
  let step = reader.next();
  while (!step.done) step = reader.next();
  return messagesIn(step.value);
}

/** The same of what was read already. @throws FileError for what is no message between people. */
function messagesIn(contents: FileContents): InviteMessage[] {
  const method = METHODS[contents.method];
  if (!method)
    throw new FileError('This is a calendar, and no invitation or answer. Import it instead.');
  const message = (
    draft: EventDraft,
    time: EventTime | null = null,
    andLater = false,
  ): InviteMessage => ({
    method,
    uid: draft.uid,
    time,
    andLater,
    sequence: draft.revision,
    stamp: contents.stamps.get(draft) ?? draft.updated,
    draft,
    line: commentOf(draft),
  });
  const said = ({ draft, time }: AnswerDraft) => message(draft, time);
  return [
    ...contents.events.map((draft) => message(draft)),
    ...contents.looseDates.map(({ draft, time, andLater }) => message(draft, time, andLater)),
    ...contents.answers.map(said),
    ...contents.proposals.map(said),
  ];
}

/** The name of the date that a message is about in a series that begins at `start`; null for the whole. */
export const keyOf = ({ time }: Pick<InviteMessage, 'time'>, start: EventTime): string | null =>
  time && dateKeyFor(start, time);

/** Methods by which guests write to the organizer; by all others the organizer writes. */
const FROM_GUESTS: ReadonlySet<MailMethod> = new Set(['reply', 'counter', 'refresh']);

/** Whether a guest speaks in a message, and not the organizer. */
export const isFromGuest = ({ method }: Pick<InviteMessage, 'method'>): boolean =>
  FROM_GUESTS.has(method);

/** In whose name a message is written: of a reply or a proposal its attendee, else the organizer. */
export function senderOf(message: InviteMessage): MailParty {
  const { draft } = message;
  const who = isFromGuest(message) ? draft.attendees[0] : draft.organizer;
  return { name: who?.name ?? '', address: who?.address ?? '' };
}

/** Kinds of messages that outrank each other where all else is equal: that something is off counts. */
const RANKS: readonly MailMethod[] = [
  'refresh',
  'reply',
  'counter',
  'declineCounter',
  'add',
  'request',
  'cancel',
];

/**
 * Orders messages of one event by when they were meant (RFC 5546 §2.1.5): by SEQUENCE, then by
 * DTSTAMP; of one moment a cancellation counts, and then whichever text is later, so that the order
 * in which they came makes no difference.
 */
export function byVersion(a: InviteMessage, b: InviteMessage): number {
  return (
    a.sequence - b.sequence ||
    a.stamp - b.stamp ||
    RANKS.indexOf(a.method) - RANKS.indexOf(b.method) ||
    compareText(JSON.stringify(a.draft), JSON.stringify(b.draft))
  );
}

const compareText = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);

/** Whether two are the same message, sent or opened twice. */
export const isSameMessage = (a: InviteMessage, b: InviteMessage): boolean =>
  a.method === b.method &&
  a.uid === b.uid &&
  JSON.stringify(a.time) === JSON.stringify(b.time) &&
  isSameAddress(senderOf(a).address || 'none', senderOf(b).address || 'none') &&
  byVersion(a, b) === 0;

import { plannedTimes } from '../editing/series/dates';
import type { EventDraft } from '../files/ics/readEvent';
import type { Answer, Attendee } from '../model/attendees';
import type { CalendarEvent } from '../model/event';
import { isSeries } from '../model/event';
import { parseLocal } from '../time/civil';
import type { EpochMs } from '../time/units';
import type { InviteMessage } from './messages';
import { keyOf, senderOf } from './messages';
import { isSameAddress } from './party';
import { isPassedOn } from './passOn';

type Asked = Pick<
  EventDraft,
  'start' | 'end' | 'clockDays' | 'rule' | 'extraDates' | 'changedDates'
>;

/** A version of an event as guests were asked to it, from its SEQUENCE on. */
export interface AskedVersion {
  sequence: number;
  asked: Asked;
}

/** What a guest said of the whole of an event (`key` null), or of one of its dates. */
interface Word {
  key: string | null;
  answer: Answer;
  answeredAt: EpochMs;
  line: string;
  /** Which version it is an answer to. */
  sequence: number;
  /** Of another time that was proposed: that time, which is accepted once it is asked for. */
  proposed: Pick<EventDraft, 'start' | 'end'> | null;
}

export type AnswerFields = Pick<Attendee, 'answer' | 'answeredAt' | 'line'>;

/** Of two words of one moment the same counts, whichever comes first. */
const RANKS: readonly Answer[] = ['none', 'delegated', 'tentative', 'accepted', 'declined'];

const wholeTime = ({ start, end, rule }: Asked) => JSON.stringify([start, end, rule ?? null]);

function dateTime(asked: Asked, key: string): string {
  const { start, end } = { ...plannedTimes(asked, parseLocal(key)), ...asked.changedDates[key] };
  return JSON.stringify([start, end]);
}

/** The version that a SEQUENCE names: the last one that was not later than it. */
const versionAt = (versions: readonly AskedVersion[], sequence: number): Asked | undefined =>
  (versions.findLast((one) => one.sequence <= sequence) ?? versions[0])?.asked;

/** The words of one guest among messages, in the series as it is asked now. */
function wordsOf(messages: readonly InviteMessage[], address: string, now: Asked): Word[] {
  return messages.flatMap((message): Word[] => {
    const { method, draft, stamp, sequence, line } = message;
    if (method !== 'reply' && method !== 'counter') return [];
    if (!isSameAddress(senderOf(message).address, address)) return [];
    const { start, end } = draft;
    const isProposal = method === 'counter';
    return [
      {
        key: isSeries(now) ? keyOf(message, now.start) : null,
        answer: isProposal ? 'accepted' : draft.attendees[0]!.answer,
        proposed: isProposal ? { start, end } : null,
        ...{ answeredAt: stamp, sequence, line },
      },
    ];
  });
}

/** Whether a word is one to the time that is asked for now, of the whole or of a date. */
function holds(
  word: Word,
  { now, versions, key }: { now: Asked; versions: readonly AskedVersion[]; key: string | null },
): boolean {
  // Who passed it on did so whenever it is.
  if (word.answer === 'delegated') return true;
  if (word.proposed) {
    const time = JSON.stringify([word.proposed.start, word.proposed.end]);
    const isSame =
      key === null ? time === JSON.stringify([now.start, now.end]) : time === dateTime(now, key);
    return word.key === key && isSame;
  }
  const then = versionAt(versions, word.sequence);
  if (!then) return true;
  if (wholeTime(then) !== wholeTime(now)) return false;
  return key === null || dateTime(then, key) === dateTime(now, key);
}

/** The newest of some words; null for none. */
function newest(words: readonly Word[]): Word | null {
  return words.reduce<Word | null>((best, word) => {
    if (!best || word.answeredAt > best.answeredAt) return word;
    if (word.answeredAt < best.answeredAt) return best;
    return RANKS.indexOf(word.answer) > RANKS.indexOf(best.answer) ? word : best;
  }, null);
}

const fieldsOf = (word: Word | null): AnswerFields =>
  word
    ? {
        answer: word.answer,
        answeredAt: word.answeredAt,
        ...(word.line && { line: word.line }),
      }
    : { answer: 'none' };

/** A guest's answer: to the whole, and to the dates of which it is another. */
export interface GuestAnswer {
  whole: AnswerFields;
  dates: ReadonlyMap<string, AnswerFields>;
}

/**
 * What a guest answers to an event as it is asked now, by all that they wrote, in whatever order it
 * came: of each date their newest word counts that is to the time it has now, be it of the date or of
 * the whole; a date that was moved asks again for itself alone. Null where nothing that they wrote is
 * known.
 *
 * @param messages replies and proposals; those of other guests are passed over
 * @param versions the event as it was asked at each SEQUENCE, in order
 */
export function guestAnswer(
  messages: readonly InviteMessage[],
  versions: readonly AskedVersion[],
  { address, now }: { address: string; now: Asked },
): GuestAnswer | null {
  const words = wordsOf(messages, address, now);
  if (!words.length) return null;
  const whole = newest(
    words.filter((word) => word.key === null && holds(word, { now, versions, key: null })),
  );
  const keys = new Set([
    ...words.flatMap(({ key }) => (key === null ? [] : [key])),
    ...Object.keys(now.changedDates),
  ]);
  const dates = new Map<string, AnswerFields>();
  for (const key of keys) {
    const ofDate = words.filter((word) => word.key === null || word.key === key);
    const word = newest(ofDate.filter((one) => holds(one, { now, versions, key })));
    if (word !== whole) dates.set(key, fieldsOf(word));
  }
  return { whole: fieldsOf(whole), dates };
}

/** An attendee with another answer. */
function withAnswer(
  { answer: _answer, answeredAt: _at, line: _line, ...rest }: Attendee,
  answer: AnswerFields,
): Attendee {
  return { ...rest, ...answer };
}

type WithGuests = Pick<CalendarEvent, 'attendees' | 'changedDates'>;

/**
 * An event's guests, and those of its dates, with what they answer. A date has guests of its own where
 * one answers otherwise for it; guests of whom nothing is known stay as they are.
 */
export function withAnswers(
  event: WithGuests,
  answerFor: (guest: Attendee) => GuestAnswer | null,
): WithGuests {
  const all = new Map(
    event.attendees.flatMap((one) => {
      const answer = answerFor(one);
      return answer ? [[one.address.toLowerCase(), answer] as const] : [];
    }),
  );
  const known = ({ address }: Attendee) => all.get(address.toLowerCase());
  const attendees = event.attendees.map((one) => {
    const answer = known(one);
    return answer ? withAnswer(one, answer.whole) : one;
  });
  const keys = new Set([
    ...Object.keys(event.changedDates),
    ...[...all.values()].flatMap(({ dates }) => [...dates.keys()]),
  ]);
  const changedDates = { ...event.changedDates };
  for (const key of keys) {
    const own = event.changedDates[key]?.attendees;
    const isOther = [...all.values()].some(({ dates }) => dates.has(key));
    if (!own && !isOther) continue;
    const mine = new Set(own?.map((one) => one.address.toLowerCase()));
    // Who comes instead of a guest comes to each date; others may be asked to some dates only.
    const instead = attendees.filter(
      (one) => isPassedOn(one) && !mine.has(one.address.toLowerCase()),
    );
    const guests = (own ? [...own, ...instead] : attendees).map((one) => {
      const answer = known(one);
      return answer ? withAnswer(one, answer.dates.get(key) ?? answer.whole) : one;
    });
    changedDates[key] = { ...event.changedDates[key], attendees: guests };
  }
  return { attendees, changedDates };
}

import type { ReadJot } from '../jot/jot';
import { readJot } from '../jot/jot';
import type { JotContext } from '../jot/rule';
import type { Repeat } from '../recurrence/repeat';
import { DAY, dayOfWall, MINUTE, minuteOfDay } from '../time/civil';
import type { WallMs } from '../time/units';
import { cityOf } from '../time/zoneNames';
import { instantFromWall, wallFromInstant } from '../time/zones';
import { labelled, linkIn, peopleOf, placeIn, subjectOf } from './details';
import { doubtsOf, NO_TIME } from './doubts';
import { sentencesOf } from './clauses';
import type { Base, Found } from './found';
import { foundIn, joined } from './found';
import type { Point } from './lists';
import { arrivalOn, journeyZones } from './journeys';
import type { Message } from './message';
import type { Passage } from './passages';
import { passagesOf } from './passages';
import { titleIn } from './titles';
import { AGREES, CALLED_OFF, EXPLICIT, POINTS_BELOW, TURNED_DOWN, WITH_YEAR } from './words';

/** What a message asks to be put into the calendar, as far as it was understood. */
export interface Candidate {
  kind: 'event' | 'task';
  title: string;
  place: string;
  link: string;
  people: string[];
  /** Wall ms on the clock of `zone`; the end is exclusive. Of a task: by when it is to be done. */
  start: WallMs;
  end: WallMs;
  wholeDay: boolean;
  /** It lasts so long, since nothing says when it ends. */
  lasts?: true;
  /** The points of its programme, each with the minutes that it is given. */
  points?: readonly Point[];
  /** How it repeats, where that was asked for. */
  repeat?: Repeat;
  /** The zone that its time was said in; null for the reader's own clock. */
  zone: string | null;
  /** The zone whose clock a journey ends by, where that is another one. */
  endZone?: string;
  /** What is not sure of it, in words for the person; nothing where it is plain. */
  doubts: string[];
  /** The words that it was read from. */
  source: string;
}

/** What was read of a message. */
export interface ReadMessage {
  candidates: Candidate[];
  /** What it says besides, such as that something was called off. */
  remarks: string[];
  /** What was written last, without what it answers. */
  notes: string;
}

/** Who reads a message, and when. */
export interface Reader extends Omit<JotContext, 'now' | 'day'> {
  /** Epoch ms */
  now: number;
  /** The zone of the reader's clock. */
  zone: string;
}

const contextAt = (reader: Reader, written: WallMs): JotContext => ({
  ...reader,
  keepsPast: true,
  now: written,
  day: dayOfWall(written),
});

/** When what a head says lies, on the reader's clock; null where it can't be read. */
function writtenAt(head: string, reader: Reader, latest: WallMs): WallMs | null {
  if (!head) return null;
  const year = 365 * DAY;
  const read = readJot(head.replaceAll(/[,]|\bat\b/gi, ' '), contextAt(reader, latest - year));
  if (!read.saysDay) return null;
  const minute = read.saysTime ? minuteOfDay(read.start) : 12 * 60;
  const day = dayOfWall(read.start);
  // Without its year it is the last such day before what answers it.
  const on = EXPLICIT.test(head) && WITH_YEAR.test(head) ? day : latestOf(day, latest);
  return on * DAY + minute * MINUTE;
}

function latestOf(day: number, latest: WallMs): number {
  const last = dayOfWall(latest);
  return day > last ? last : day;
}

const dayOnly = (when: string) =>
  when.replaceAll(
    /,?\s*\(?(?:from|until|by|before|after|at|till)?\s*\d{1,2}[:.]\d{2}(?:\s*[ap]m)?\)?/gi,
    '',
  );

/** What lines such as "Date: …" and "Time: …" say together, as one sentence; empty where they say no time. */
function labelledWhen(said: Partial<Record<string, string>>): string {
  const { when, time, length, arrival, departure } = said;
  const hasClock = [arrival, departure].some((one) => /\d[:.h]\d{2}|\d\s*[ap]m/i.test(one ?? ''));
  const [start, end] = [said.start ?? departure, said.end ?? arrival];
  // Whoever stays the night is there on all those days.
  const [from, to] = [said.checkIn ?? arrival, said.checkOut ?? departure];
  if (from && to && (said.checkIn || !hasClock)) return `${dayOnly(from)} to ${dayOnly(to)}`;
  const range = start && end ? `${start} to ${end}` : (start ?? '');
  const parts = [when, time, range, length && `for ${length}`].filter(Boolean);
  return when || time || start ? parts.join(' ') : '';
}

/** A place; an address to meet at is a link instead. */
const placed = (place: string) => (linkIn(place) ? '' : place);

const HOTEL = /\b(?:Hotel|Inn|Pension|Guesthouse|Hostel)(?:\s+\p{Lu}[\p{L}'’-]+){1,2}/u;
const isRepeated = ({ repeat }: ReadJot) => repeat.pattern.kind !== 'none';

/** What a passage says of all that it asks for; found once, since it may ask for many things. */
interface Facts {
  subject: string;
  people: string[];
  said: ReturnType<typeof labelled>['said'];
  link: string;
  /** Its first sentence. */
  opening: string;
  /** What one stays at. */
  stay: string;
}

const LONGEST_OPENING = 400;

const factsOf = ({ text, subject }: Passage, message: Message): Facts => ({
  subject,
  people: peopleOf(message, text),
  said: labelled(text).said,
  link: linkIn(text),
  opening: sentencesOf(text.slice(0, LONGEST_OPENING))[0] ?? '',
  stay: HOTEL.exec(text)?.[0] ?? 'Stay',
});

/** A candidate as it is offered. */
function candidateOf(found: Found, message: Message, reader: Reader, facts: Facts): Candidate {
  const { clause, sentence, isTask, base } = found;
  const { read } = clause;
  const { people, said, opening } = facts;
  const { start, end } =
    read.saysDay || !read.saysTime || isRepeated(read) ? read : upcoming(read, base);
  // Where one stays is what it is called by.
  const title = said.title ?? (said.checkIn && facts.stay);
  const subject = subjectOf(title ?? (facts.subject || message.subject));
  const journey = isTask || read.wholeDay ? null : journeyZones(sentence);
  // A journey that begins at home is on the reader's own clock.
  const leftBy = journey?.from === reader.zone ? null : (journey?.from ?? null);
  const zone = read.wholeDay ? null : (read.zone ?? leftBy);
  const startZone = zone ?? reader.zone;
  const isAbroad = journey !== null && journey.to !== startZone;
  return {
    kind: isTask ? 'task' : 'event',
    title: titleIn(sentence, {
      clause: clause.text,
      besides: read.title,
      subject,
      isTask,
      opening,
    }),
    place: placed(said['place'] ?? placeIn(sentence, people)),
    link: linkIn(said['link'] ?? said['place'] ?? '') || facts.link,
    people,
    start,
    end: isAbroad
      ? arrivalOn({ wall: start, zone: startZone }, { wall: end, zone: journey.to })
      : end,
    wholeDay: read.wholeDay,
    ...(read.lasts && { lasts: read.lasts }),
    ...(!isTask && isRepeated(read) && { repeat: read.repeat }),
    ...(!isTask && found.points && { points: found.points }),
    zone,
    ...(isAbroad && { endZone: journey.to }),
    doubts: [
      ...doubtsOf(found, message, reader.zone),
      ...(isAbroad && journey.isGuess
        ? [`It may arrive by another clock than that of ${cityOf(journey.to)}.`]
        : []),
    ],
    source: sentence,
  };
}

/** A time without a day is the next such time after it was written. */
function upcoming(read: ReadJot, { written }: Base): Pick<ReadJot, 'start' | 'end'> {
  const day = dayOfWall(written);
  const on = day * DAY + (read.start - dayOfWall(read.start) * DAY);
  const start = on > written ? on : on + DAY;
  return { start, end: start + (read.end - read.start) };
}

/** What those share that say the same time, maybe by two clocks. */
const timeKey = (one: Candidate, home: string) =>
  `${one.kind} ${one.wholeDay ? `day ${one.start}` : instantsOf(one, home).start}`;

/** Each once; a day alone gives way to the same day with a time. */
function each(candidates: readonly Candidate[], home: string): Candidate[] {
  const timed = new Set(
    candidates.flatMap((one) =>
      one.kind === 'event' && !one.wholeDay ? [dayOfWall(one.start)] : [],
    ),
  );
  const seen = new Set<string>();
  return candidates.filter((one) => {
    const key = timeKey(one, home);
    if (seen.has(key)) return false;
    seen.add(key);
    const isDayAlone =
      one.kind === 'event' &&
      one.wholeDay &&
      one.end - one.start === DAY &&
      one.doubts.includes(NO_TIME);
    return !isDayAlone || !timed.has(dayOfWall(one.start));
  });
}

/** The base of each passage: when it was written, as far as that is known. */
function basesOf(passages: readonly Passage[], message: Message, reader: Reader): Base[] {
  const now = wallFromInstant(reader.now, reader.zone);
  const sent = message.sent === null ? null : wallFromInstant(message.sent, reader.zone);
  let latest = sent ?? now;
  return passages.map(({ written, isQuoted: isAnswered, isForwarded }, i) => {
    const isQuoted = isAnswered && !isForwarded;
    const known = writtenAt(written, reader, latest);
    if (known !== null) latest = known;
    const isFirst = i === 0 && !written;
    return {
      written: known ?? latest,
      isKnown: known !== null || ((isFirst || !isQuoted) && sent !== null),
      isQuoted,
    };
  });
}

/** What a passage asks for: its lines with names first, then its sentences. */
function candidatesIn(
  passage: Passage,
  base: Base,
  { message, reader, remarks }: { message: Message; reader: Reader; remarks: string[] },
): Found[] {
  const { said, rest } = labelled(passage.text);
  const when = labelledWhen(said);
  const byLabel = when ? foundIn(when, base, contextAt(reader, base.written), remarks) : [];
  const bySentence = foundIn(
    when ? rest : passage.text,
    base,
    contextAt(reader, base.written),
    remarks,
  );
  const found = byLabel.length
    ? [...byLabel.slice(0, 1), ...bySentence.filter(({ isTask }) => isTask)]
    : bySentence;
  const hasEvent = found.some(({ isTask }) => !isTask);
  const isTimeOpen = found.some(
    ({ isTask, clause }) => !isTask && clause.read.saysTime && !clause.read.saysDay,
  );
  if (base.isQuoted || (hasEvent && !isTimeOpen)) return found;
  return withSubject(found, subjectOf(message.subject).said, base, reader);
}

/** What the subject says of when, where the text leaves it open. */
function withSubject(found: Found[], subject: string, base: Base, reader: Reader): Found[] {
  const [of] = foundIn(subject, base, contextAt(reader, base.written), []);
  if (!of) return found;
  const { saysDay, saysTime } = of.clause.read;
  const events = found.filter(({ isTask }) => !isTask);
  if (!events.length) return saysDay && (saysTime || !found.length) ? [of, ...found] : found;
  return found.map((one) =>
    !one.isTask && saysDay && one.clause.read.saysTime && !one.clause.read.saysDay
      ? joined(of, one)
      : one,
  );
}

/**
 * Reads a message: what it asks to be put into the calendar, with what is not sure of it. Days count
 * from when it was written; what it only answers counts where the answer agrees to it.
 */
export function readMessage(message: Message, reader: Reader): ReadMessage {
  const passages = passagesOf(message.text);
  const bases = basesOf(passages, message, reader);
  const remarks: string[] = [];
  const setting = { message, reader, remarks };
  const own = passages.flatMap((passage, i) =>
    passage.isQuoted
      ? []
      : candidatesIn(passage, bases[i]!, setting).map((found) => ({ found, passage })),
  );
  const fresh = passages.filter(({ isQuoted }) => !isQuoted).map(({ text }) => text);
  const quoted = passages.findIndex(({ isQuoted }) => isQuoted);
  const hasOpenTime = own.some(({ found }) => !found.clause.read.saysDay);
  const isAgreed = fresh.some((text) => AGREES.test(text) && !CALLED_OFF.test(text));
  let all = own;
  const hasEvent = own.some(({ found }) => !found.isTask);
  const isSentOn = passages[quoted]?.isForwarded ?? fresh.some((text) => POINTS_BELOW.test(text));
  const isWanted = !hasEvent && (isAgreed || (isSentOn && !fresh.some((t) => TURNED_DOWN.test(t))));
  if (quoted >= 0 && (hasOpenTime || isWanted)) {
    const passage = passages[quoted]!;
    const asked = candidatesIn(passage, bases[quoted]!, { ...setting, remarks: [] });
    const events = asked.filter(({ isTask }) => !isTask);
    const [first] = events;
    all = hasOpenTime
      ? own.map(({ found, passage: of }) => ({
          passage: of,
          found:
            first && !found.clause.read.saysDay
              ? { ...joined(first, found), base: bases[quoted]! }
              : found,
        }))
      : [...events.map((found) => ({ found, passage })), ...own];
  }
  const facts = new Map(passages.map((passage) => [passage, factsOf(passage, message)]));
  const candidates = all.map(({ found, passage }) =>
    candidateOf(found, message, reader, facts.get(passage)!),
  );
  return { candidates: each(candidates, reader.zone), remarks, notes: fresh.join('\n\n') };
}

/** The instants (epoch ms) of a candidate, where it is timed. */
const instantsOf = ({ start, end, zone }: Candidate, home: string) => ({
  start: instantFromWall(start, zone ?? home),
  end: instantFromWall(end, zone ?? home),
});

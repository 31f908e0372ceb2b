import { wallOnClock } from '../editing/times';
import type { Saying } from '../editing/sayMove';
import type { EventDraft } from '../files/ics/readEvent';
import type { Answer } from '../model/attendees';
import { wallOf, zoneOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { isWholeDay } from '../model/event';
import type { Mail, MailMethod, MailParty } from '../model/mail';
import { quotedTitle, titleOf } from '../model/titleOf';
import { sayRule } from '../recurrence/sayRule';
import { civilDate, dayOfWall } from '../time/civil';
import { count, saySpan, SHORT_DAY } from '../time/words';
import { cityOf } from '../time/zoneNames';
import { sayAsking } from './asking';
import { ANSWER_WORDS, sayParty } from './party';
import type { Telling } from './telling';

type Timed = Pick<CalendarEvent, 'start' | 'end'>;

/** When something is by a clock: "Tue 24 Nov, 14:00 – 15:00". */
export function sayTimes(event: Timed, { wording, clock }: Saying): string {
  const [start, end] = [wallOnClock(event.start, clock), wallOnClock(event.end, clock)];
  return saySpan({ start, end, wholeDay: isWholeDay(event) }, wording, SHORT_DAY);
}

/** The same by the clock of whoever asks, where that shows another hour: "10:00 – 11:00 in Halifax"; else empty. */
export function sayTheirTimes(event: Timed, saying: Saying): string {
  const zone = zoneOf(event.start);
  if (zone === null) return '';
  const theirs = { ...saying, clock: zone };
  return wallOnClock(event.start, saying.clock) === wallOf(event.start)
    ? ''
    : `${sayTimes(event, theirs)} in ${cityOf(zone)}`;
}

/** How an event repeats; empty where it does not. */
export function sayRepeats(event: Pick<CalendarEvent, 'rule' | 'start'>, { wording }: Saying) {
  if (event.rule === undefined) return '';
  const start = wallOf(event.start);
  const thisYear = civilDate(dayOfWall(start)).year;
  return sayRule(event.rule, { start, zone: zoneOf(event.start), wording, thisYear, left: null });
}

/** One thing that is another than before. */
export interface Difference {
  what: string;
  from: string;
  to: string;
}

/** What a new version of an event says otherwise, each before and after. */
export function differences(before: EventDraft, after: EventDraft, saying: Saying): Difference[] {
  const dates = ({ changedDates }: EventDraft) => {
    const changed = Object.keys(changedDates).length;
    return changed ? `${count(changed, 'date')} changed` : 'as planned';
  };
  const all: Difference[] = [
    { what: 'When', from: sayTimes(before, saying), to: sayTimes(after, saying) },
    { what: 'Repeats', from: sayRepeats(before, saying), to: sayRepeats(after, saying) },
    { what: 'Dates', from: dates(before), to: dates(after) },
    { what: 'Title', from: titleOf(before), to: titleOf(after) },
    { what: 'Place', from: before.place, to: after.place },
    { what: 'Room', from: before.room, to: after.room },
    { what: 'Notes', from: before.notes, to: after.notes },
  ];
  return all
    .filter(({ from, to }) => from !== to)
    .map(({ what, from, to }) => ({ what, from: from || 'none', to: to || 'none' }));
}

const TELLING_SUBJECTS: Readonly<Record<Telling['why'], string>> = {
  new: 'Invitation',
  changed: 'Changed',
  off: 'Called off',
  'date changed': 'One date changed',
  'date off': 'One date called off',
  'left out': 'Not needed any more',
};

const ANSWER_SUBJECTS: Readonly<Record<Answer, string>> = {
  none: 'Answer',
  accepted: 'Accepted',
  tentative: 'Perhaps',
  declined: 'Declined',
  delegated: 'Passed on',
};

/** What a mail is called: "Invitation: Glass order review". */
export const tellingSubject = (event: { title: string }, { why }: Pick<Telling, 'why'>): string =>
  `${TELLING_SUBJECTS[why]}: ${titleOf(event)}`;
export const answerSubject = (event: { title: string }, answer: Answer): string =>
  `${ANSWER_SUBJECTS[answer]}: ${titleOf(event)}`;
export const counterSubject = (event: { title: string }): string =>
  `Another time: ${titleOf(event)}`;
export const turnedDownSubject = (event: { title: string }): string =>
  `Stays as it is: ${titleOf(event)}`;

/** The words of a mail for those whose program reads no calendar text. */
export function mailWords(
  {
    method,
    subject,
    line,
    from,
  }: { method: MailMethod; subject: string; line: string; from: MailParty },
  event: Pick<CalendarEvent, 'start' | 'end' | 'place' | 'room' | 'rule' | 'title' | 'asking'>,
  saying: Saying,
): string {
  const zone = zoneOf(event.start);
  const clock = zone ?? saying.clock;
  const when = `${sayTimes(event, { ...saying, clock })}${isWholeDay(event) ? '' : ` (${cityOf(clock)})`}`;
  return [
    subject,
    '',
    when,
    sayRepeats(event, saying),
    event.place,
    event.room,
    ...(line ? ['', line] : []),
    ...(method === 'request' ? sayAsking(event) : []),
    '',
    method === 'request'
      ? `${sayParty(from)} asks you to answer: by your calendar, or by a mail to ${from.address}.`
      : sayParty(from),
  ]
    .filter((text, nth) => text !== '' || nth === 1)
    .join('\n');
}

/** What a message that came did, in one line: "Ida accepted “Glass order review”". */
export function sayCame(
  {
    method,
    answer,
    isNew,
    isOfDate = false,
  }: { method: MailMethod; answer?: Answer; isNew?: boolean; isOfDate?: boolean },
  who: MailParty,
  event: { title: string },
): string {
  const name = sayParty(who);
  const title = `${isOfDate ? 'one date of ' : ''}${quotedTitle(event)}`;
  switch (method) {
    case 'request':
      return isNew ? `${name} invites you to ${title}` : `${name} changed ${title}`;
    case 'add':
      return `${name} added a date to ${title}`;
    case 'cancel':
      return `${name} called off ${title}`;
    case 'refresh':
      return `${name} asked how ${title} stands, and is sent it again`;
    case 'counter':
      return `${name} proposes another time for ${title}`;
    case 'declineCounter':
      return `${name} keeps the time of ${title}`;
    case 'reply':
      return answer === 'tentative'
        ? `${name} perhaps comes to ${title}`
        : `${name} ${ANSWER_WORDS[answer ?? 'none']} ${title}`;
  }
}

/** Why a message waits for the person, in one line. */
export function sayHeld(
  { from, sender, held }: Pick<Mail, 'from' | 'sender' | 'held'>,
  event: { title: string },
): string {
  const title = quotedTitle(event);
  if (held === 'sequence')
    return `A message of ${sayParty(from)} about ${title} has a version number beyond reason. Nothing was changed: see Invitations`;
  const real = sender ? `${sayParty(sender)} <${sender.address}>` : 'Somebody else';
  return `${real} wrote about ${title} in the name of ${sayParty(from)}. Nothing was changed: see Invitations`;
}

/** Why a message that came is kept and changes nothing, in one line. */
export function sayUnchanged(method: MailMethod, who: MailParty, event: { title: string }): string {
  const title = quotedTitle(event);
  if (method === 'reply')
    return `${sayParty(who)} answered an earlier version of ${title}, or answered again since: nothing was changed`;
  if (method === 'counter')
    return `A later proposal of ${sayParty(who)} for ${title} is here already`;
  return method === 'cancel'
    ? `${sayParty(who)} called off ${title}, which is not here: if its invitation comes later, it counts as called off`
    : `A later message about ${title} is here already`;
}

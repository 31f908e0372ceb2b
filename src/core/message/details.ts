import { findLinks } from '../jot/links';
import type { Message, Person } from './message';

const LABELS: Readonly<Record<string, RegExp>> = {
  when: /^(?:when|date(?:\s*(?:and|&|\/)\s*time)?|day|datum|on)$/i,
  time: /^(?:time|hours?|at)$/i,
  start: /^(?:start(?:s|ing)?|from|begins?)$/i,
  end: /^(?:ends?|until|to|finish(?:es)?)$/i,
  checkIn: /^check-?\s?in$/i,
  checkOut: /^check-?\s?out$/i,
  arrival: /^(?:arrives?|arrival(?:\s+date)?)$/i,
  departure: /^(?:departs?|departure(?:\s+date)?)$/i,
  length: /^(?:duration|length|how long)$/i,
  place: /^(?:where|place|location|venue|room|address|meet(?:ing)?\s*(?:point|place)|at)$/i,
  link: /^(?:link|join|url|dial-?in|online|web)$/i,
  title: /^(?:what|subject|topic|title|event|re|about|agenda item|matter)$/i,
  people: /^(?:who|with|attendees?|participants?|present|invited)$/i,
};
export type Label = keyof typeof LABELS;

const LABELLED = /^\s*[*•-]?\s*\**([\p{L} /&-]{2,24}?)\**\s*[:=–]\**\s+(.+)$/u;

/** What lines such as "Where: Net loft" say, by what they are called; the first of each counts. */
export function labelled(text: string): { said: Partial<Record<string, string>>; rest: string } {
  const said: Partial<Record<string, string>> = {};
  const rest: string[] = [];
  for (const line of text.split('\n')) {
    const [, name, value] = LABELLED.exec(line) ?? [];
    const label = name && Object.keys(LABELS).find((one) => LABELS[one]!.test(name.trim()));
    if (label && value && said[label] === undefined) said[label] = value.trim();
    else rest.push(line);
  }
  return { said, rest: rest.join('\n') };
}

const PLACE_NOUN =
  '(?:room|hall|office|workshop|loft|quay|station|store|yard|door|gate|shed|pier|tower|café|cafe|kitchen|desk|bench|counter|library|board\\s?room|slipway|ferry|shop|building|house|harbour|bar|inn|restaurant|hotel|theatre|entrance|reception|floor|centre|center|school|church|museum|park)';
const PLACE_WORD = `(?:[\\p{Lu}\\d][\\p{L}\\d'’&-]*|(?:of|the)(?=\\s)|and(?=\\s\\p{Lu})|no\\.?(?=\\s)|${PLACE_NOUN}(?!\\p{L}))`;
/** One comes to a place, and sends something to a person. */
const AT_PLACE =
  '(?:at|in|on|(?:come|came|go|welcome|trip|moved)\\s+to|to(?=\\s+(?:the|our|your)\\s))';
const PLACE = new RegExp(
  `\\b(?:(?:meet|see\\s+(?:you|us)|be)\\s+)?${AT_PLACE}\\s+((?:the\\s+|our\\s+|your\\s+)?\\p{Lu}[\\p{L}'’&-]+(?:\\s+${PLACE_WORD}){0,4}|(?:the|our|your)\\s+(?:\\p{Ll}[\\p{L}'’-]+\\s+){0,2}${PLACE_NOUN}(?!\\p{L})|room\\s+\\d[\\p{L}\\d.]*)`,
  'gu',
);
const NO_PLACE =
  /^(?:the\s+)?(?:mon|tue|wed|thu|fri|sat|sun|jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec|christmas|new\s+year|easter|time|least|last|latest|moment|end|morning|afternoon|evening|utc|gmt|cet|re:)/i;

/** The place that a text names: "at the Net Loft", "in the small office"; empty where it names none. */
export function placeIn(text: string, people: readonly string[] = []): string {
  for (const [all, place] of text.matchAll(PLACE)) {
    const isPerson = people.some((name) => place!.startsWith(name.split(' ')[0]!));
    const isReply = /^(?:reply|answer|response)/i.test(all);
    if (!NO_PLACE.test(place!) && !isPerson && !isReply)
      return place!.replace(/^(?:our|your|the)\s+(?=\p{Lu})/u, '').replace(/[\s,.;]+$/, '');
  }
  return '';
}

const NAME = "\\p{Lu}[\\p{Ll}'’-]+(?:\\s\\p{Lu}[\\p{Ll}'’-]+)?";
const WITH = new RegExp(
  `\\b(?:with|between|join(?:ed\\s+by)?|meet|bring(?:ing)?|invite)\\s+((?:(?:Mr|Mrs|Ms|Dr)\\.?\\s+)?${NAME}(?:(?:\\s*,\\s*|\\s+and\\s+|\\s*&\\s*)(?:(?:Mr|Mrs|Ms|Dr)\\.?\\s+)?${NAME})*)`,
  'gu',
);
const NO_NAME =
  /^(?:the|our|your|mon|tue|wed|thu|fri|sat|sun|jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)/i;

/** Mails to more people are no invitations to each of them. */
const MOST_GUESTS = 12;

/** The people that a message is from and goes to, and those that its text says will be there. */
export function peopleOf(message: Message, text: string): string[] {
  const named = [...text.matchAll(WITH)].flatMap(([, list]) =>
    list!.split(/\s*,\s*|\s+and\s+|\s*&\s*/).filter((name) => name && !NO_NAME.test(name)),
  );
  const name = ({ name: said, address }: Person) => said || address;
  const sender = message.from ? [name(message.from)] : [];
  // The only one whom it goes to is who reads it.
  const others = message.to.length > 1 ? message.to.slice(0, MOST_GUESTS) : [];
  const all = [...sender, ...others.map(name), ...named];
  // "Ida" is the Ida Solberg who wrote it.
  return all.filter(
    (one, i) =>
      all.findIndex((other) => other === one) === i &&
      !all.some((other) => other !== one && other.startsWith(`${one} `)),
  );
}

/** The address that a text gives to meet at, or to look at; empty for none. */
export const linkIn = (text: string): string =>
  findLinks(text).find(({ link }) => link !== null)?.link ?? '';

const PREFIX = /^\s*(?:(?:re|fwd?|aw|wg|sv|tr|antw)\s*(?:\[\d+\])?\s*:\s*|\[[^\]]{1,30}\]\s*)+/i;
const EMPTY_SUBJECT =
  /^(?:hello|hi|hey|question|a question|quick question|meeting|meet|call|date|dates|time|no subject|\(no subject\)|news|update|info|information|tomorrow|today|next week|this week|urgent|hey there|)[.!?]*$/i;

/** What a message is called. */
export interface Subject {
  /** Without what mail programs put before it. */
  bare: string;
  /** The same; empty where it says nothing. */
  said: string;
}

export function subjectOf(subject: string): Subject {
  const bare = subject.replace(PREFIX, '').replaceAll(/\s+/g, ' ').trim();
  return { bare, said: EMPTY_SUBJECT.test(bare) ? '' : bare };
}

/** Somebody as the head of a mail names them: "Ida Solberg <ida@…>". */
export function personOf(text: string): Person {
  const [, name, address] = /^\s*"?([^"<]*?)"?\s*<([^>]+)>\s*$/.exec(text) ?? [];
  return address === undefined
    ? { name: '', address: text.trim() }
    : { name: name!.trim(), address: address.trim() };
}

import type { Subject } from './details';
import { NOUN, TITLE_AFTER } from './words';
import { capital } from '../time/words';

/** What something is called that a message asks for, in words that a person would give it. */

/** Where what is to be done ends, and by when begins. */
const BY_WHEN =
  /[\s,]*\b(?:by|before|due|until|till|no\s+later\s+than|not\s+later\s+than|at\s+the\s+latest|on)\b.*$/i;
/** A verb of which nothing is left but the verb. */
const NO_DEED =
  /^(?:(?:be|have|is|are|was|were|me|us|him|her|them|you|it|the)\b|(?:come|do|get|make|let|know)(?:\s+(?:in|here|there|it|this|that|done|me|us))*$)/i;
const ORDER =
  /^(?:and\s+|then\s+|also\s+|please\s+)*((?:call|ring|mail|e-?mail|send|pay|order|sign|return|book|check|confirm|reply|answer|submit|finish|update|review|prepare|buy|bring|collect|renew|print|fill|complete|deliver|register|vote|look\s+over|look\s+at|hand\s+in)\b.+)$/i;

/** What is to be done, in the words of a clause: "send the quote"; empty where it does not say. */
function deedIn(clause: string): string {
  const words = clause.replaceAll(/_+/g, ' ').replaceAll(/\s+/g, ' ').trim();
  const asked = (ORDER.exec(words)?.[1] ?? TITLE_AFTER.exec(words)?.[1] ?? '')
    .replace(BY_WHEN, '')
    .replace(/\s+(?:mon|tues|wednes|thurs|fri|satur|sun)day\b.*$/i, '')
    .replace(/\s+(?:and|or|then)$/i, '')
    .replace(/[.,;!?\s]+$/, '')
    .trim();
  const isOne = /^(?:confirm|reply|pay|register|vote|answer)$/i.test(asked);
  if (isOne) return asked;
  return /^\p{Ll}/iu.test(asked) && asked.split(/\s+/).length >= 2 && !NO_DEED.test(asked)
    ? asked
    : '';
}

const FIRST_VERB =
  /\b(send|sign|return|pay|order|submit|check|prepare|bring|deliver|review|update)\b/i;

/** "Send the slides to Karl by Friday and the contract to me by 1 December": the verb is of both. */
function alikeDeed(besides: string, sentence: string): string {
  const what = tidied(besides);
  const verb = FIRST_VERB.exec(sentence)?.[1];
  return verb && /^(?:the|your|our|an?)\s/i.test(what) ? `${verb.toLowerCase()} ${what}` : '';
}

const GREETING =
  /^(?:dear|hi|hello|hey|good\s+(?:morning|afternoon|evening))\b[^,.!?:]{0,40}[,.!]\s*|^(?:remember|note|fyi|fw|fwd|re|your\s+(?:ticket|booking|reservation|itinerary)|booking\s+confirmation|ticket|invitation|save\s+the\s+date|next\s+steps|payment\s+reminder)\s*[:,]\s*(?:that\s+)?|^(?:reminder\b\s*:?|please\s+note\b\s*[:,]?)\s*(?:that\s+)?/i;
/** "Summer party: save the date!" */
const HEADING = /^([^:,;.!?]{3,50}?)\s*[:–]\s+\S/u;
/** "You are invited to the opening of our shop on Saturday". */
const INVITED =
  /\binvit(?:ed|e\s+you|ation|ing\s+you)\s+to\s+(?:the\s+|our\s+|an?\s+|my\s+)?([^.,:;]{3,50}?)\s*(?:,|\b(?:on|at|from|this|next|tomorrow)\b)/i;
/** "Webinar “Light at sea”, Thursday 10 December". */
const BEFORE_WHEN =
  /^([^,;:.!?]{3,60}),\s+(?=\(?(?:mon|tues?|wednes|thurs|fri|satur|sun)day\b|\d|(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)\p{L}*\s+\d|tomorrow\b)/iu;
const NO_HEADING =
  /^(?:when|where|date|time|day|place|hi|hello|dear|from|to|sent|subject|info|update|ps|p\.s)\b|\d[.:]\d|\b(?:mon|tues?|wednes|thurs|fri|satur|sun)day\b/i;
/** Where a sentence goes on from what it is about to what becomes of it. */
const PREDICATE =
  /\s+(?:(?:is|are)(?!\s+(?:closed|shut|open|away|out)\b)|was|were|will(?!\s+be\s+(?:closed|shut|open|away|out)\b)|has|have|had|takes?|meets?|runs?|starts?|begins?|scheduled|planned|set|must|can|could|should|shall|would|moved|moves|goes|needs?|costs?)\b.*$/i;
const LEAD = /^(?:the|our|your|a|an|my|his|her|their|this|that|next|new)\s+/i;
const NO_SUBJECT =
  /^(?:(?:mon|tues?|wed(?:nes)?|thu(?:rs)?|fri|sat(?:ur)?|sun)(?:day)?\b|(?:today|tomorrow|tonight)\b|we|i|i['’]?m|i['’]?d|it|they|you|he|she|there|this|that|these|those|let['’]?s|lets|shall|please|could|would|can|will|do|does|is|are|am|how|what|when|where|who|if|as|so|yes|no|ok|okay|thanks|sounds|see|at|on|in|by|from|until|maybe|perhaps|who|sorry|whether|anything|any|then|und|am|save)\b/i;
const OF_A_DAY =
  /\s+(?:on|at|from|in|for|of)\s+(?:the\s+)?(?:\d|mon|tues?|wed|thu|fri|sat|sun|next|this).*$/i;
const MOST_WORDS = 7;
/** Words that lead to what was taken, and are nothing by themselves. */
const LOOSE_END =
  /(?:[\s,;:.!?(*•–-]+|\b(?:please|today|tomorrow|tonight|of|the|is|are|on|at|for|from|to|until|and|or|in|by|with|then|a|an|it|be|will|next|time|dep|arr|works?|from)\b)+$/i;
const LOOSE_START = /^(?:[\s,;:.!?)*•–-]+|\b(?:and|or|but|then|of|also|so)\b\s*)+/i;

/** "The kitchen will be closed" is the kitchen closed. */
const WILL_BE = /\s+(?:is|are|will\s+be)(?=\s+(?:closed|shut|open|away|out\s+of\s+order)\b)/i;

const tidied = (text: string) => {
  const words = text
    .replaceAll(/_+/g, ' ')
    .replaceAll(/\s+/g, ' ')
    .replace(WILL_BE, '')
    .replace(LOOSE_START, '');
  return words.replace(LOOSE_END, '').trim();
};

/** What a sentence is about: the words before its verb, or its heading; empty where it is about nobody knows what. */
function topicOf(sentence: string): string {
  const said = sentence.replace(LOOSE_START, '').replace(GREETING, '').trim();
  const [, heading] = HEADING.exec(said) ?? [];
  if (heading && !NO_HEADING.test(heading))
    return tidied(heading.replace(PREDICATE, '').replace(OF_A_DAY, '').replace(LEAD, ''));
  const [, asked] = INVITED.exec(said) ?? [];
  if (asked) return tidied(asked);
  const [, before] = BEFORE_WHEN.exec(said) ?? [];
  if (before && !NO_SUBJECT.test(before) && !PREDICATE.test(before) && !NO_HEADING.test(before))
    return tidied(
      before
        .replace(OF_A_DAY, '')
        .replace(/^agenda\s+(?:for|of)\s+/i, '')
        .replace(LEAD, ''),
    );
  if (!PREDICATE.test(said) || NO_SUBJECT.test(said)) return '';
  const subject = said
    .replace(PREDICATE, '')
    .replace(/,.*$/, '')
    .replace(OF_A_DAY, '')
    .replace(LEAD, '');
  const words = tidied(subject);
  return words && words.split(' ').length <= MOST_WORDS && !/\d[.:]\d/.test(words) ? words : '';
}

/** What is left besides the time, where that is no scrap. */
function besidesTime(besides: string): string {
  const words = tidied(besides.replace(GREETING, ''));
  const isScrap =
    words.split(' ').length > MOST_WORDS || NO_SUBJECT.test(words) || !/\p{L}{3,}/u.test(words);
  return isScrap ? '' : words.replace(LEAD, '');
}

const ABSENCE = /\b(?:on\s+(?:holiday|leave|vacation|a\s+trip)|out\s+of\s+(?:the\s+)?office)\b/i;
const TO_PAY = /^(?:invoice|bill|rent|fee|payment|instalment)\b/i;

/**
 * What something is called: by what is asked for, by the subject of the message, by what its sentence is
 * about, by what sort of thing it is, by what the text opens with, or by what is said `besides` its time.
 */
export function titleIn(
  sentence: string,
  {
    clause,
    besides,
    subject,
    isTask,
    opening,
  }: { clause: string; besides: string; subject: Subject; isTask: boolean; opening: string },
): string {
  const deed = isTask
    ? deedIn(besides) || deedIn(clause) || alikeDeed(besides, sentence) || deedIn(sentence)
    : '';
  const said =
    deed ||
    subject.said ||
    topicOf(sentence) ||
    NOUN.exec(sentence)?.[0] ||
    ABSENCE.exec(sentence)?.[0] ||
    topicOf(opening) ||
    subject.bare ||
    besidesTime(besides);
  if (isTask && !deed && TO_PAY.test(said))
    return `Pay the ${said.charAt(0).toLowerCase()}${said.slice(1)}`;
  return capital(said) || (isTask ? 'Something to do' : 'Meeting');
}

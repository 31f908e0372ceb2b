import { readJot } from '../jot/jot';
import type { ReadJot } from '../jot/jot';
import type { JotContext } from '../jot/rule';
import { monthNamed, weekdayNamed } from '../jot/vocabulary';
import { civilDate, dayNumber, daysInMonth, weekdayOf } from '../time/civil';
import type { DayNumber } from '../time/units';
import { CLOCK_SAID } from './words';
import { zoneNamed } from '../time/namedZones';

/** Words that end in a point and no sentence. */
const SHORT =
  /\b(?:a\.m|p\.m|mr|mrs|ms|dr|no|nr|approx|ca|e\.g|i\.e|st|incl|tel|ref|jan|feb|mar|apr|jun|jul|aug|sept?|oct|nov|dec|mon|tues?|wed|thur?s?|fri|sat|sun)\.$/i;

/** The sentences of a text; a line that was only broken to fit goes on with the next. */
export function sentencesOf(text: string): string[] {
  const lines = text.split('\n').map((line) => line.trim());
  const paragraphs: string[] = [];
  let isOpen = false;
  for (const line of lines) {
    const goesOn = isOpen && /^[\p{Ll}\d(]/u.test(line) && !/^\d+[.)]\s/.test(line);
    if (line && goesOn) paragraphs[paragraphs.length - 1] += ` ${line}`;
    else if (line) paragraphs.push(line);
    isOpen = line.length > 45 && !/[.!?:]$/.test(line);
  }
  return paragraphs.flatMap((paragraph) => {
    const sentences: string[] = [];
    let from = 0;
    for (const end of paragraph.matchAll(/[.!?]+(?=\s+["“(]?[\p{Lu}\d])/gu)) {
      const to = end.index + end[0].length;
      const sentence = paragraph.slice(from, to);
      if (SHORT.test(sentence)) continue;
      sentences.push(sentence.trim());
      from = to;
    }
    sentences.push(paragraph.slice(from).trim());
    return sentences.filter(Boolean);
  });
}

const blank = (text: string) => '_'.repeat(text.length);

/** Figures and words that look like times and dates and are none. */
const NO_TIMES: readonly RegExp[] = [
  /\b(?:https?:\/\/|www\.)\S+/gi,
  /\b[\w.+-]+@[\w-]+\.[\w.-]+/g,
  /[£$€¥]\s?\d[\d.,]*/g,
  /\b\d[\d.,]*\s?(?:eur|gbp|usd|cad|jpy|pounds?|euros?|dollars?|yen|pence|percent)\b/gi,
  /\b\d[\d.,]*\s?[%°£€$]/g,
  /(?<![\d-])(?:\+\d|0\d{3,})[\d\s()/-]{5,}\d\b/g,
  /\b(?:tel|phone|call us on|fax|ext|extension|mobile)\.?:?\s*[+\d][\d\s()/-]{3,}/gi,
  /\b(?:no|nr|ref|reference|invoice|order|lot|crate|box|job|po|page|section|bench|berth|pier|gate|bay|unit|shelf|lamp|version|item|chapter|clause|part|model|serial|room|quay|door|hall|track)s?\.?\s*(?:no\.?\s*)?#?\s*[A-Z]{0,3}-?\d+(?:[./-]\d+)*(?![\d:]|\s*(?:am|pm)\b)/gi,
  /\b(?:costs?|costing|pric(?:e|ed|es)(?:\s+(?:is|at|of))?|paid|worth|totals?|totalling|amounts?\s+to|for\s+only)\s+(?:about\s+|only\s+)?\d[\d.,]*/gi,
  /\b\d+[.,]\d{2}\s+(?:each|per|a\s+piece|apiece|in\s+total|net|gross|plus\s+vat)\b/gi,
  /#\s?\d+/g,
  /\b\d+[.,]\d+\s?(?:m|kg|g|mm|cm|km|l|t|in|ft)\b/gi,
  /\b\d+\s?(?:kg|mm|cm|km|litres?|tons?|tonnes|lamps?|crates?|boxes|pieces|pcs|people|persons|of us|copies|metres|bolts|lenses|barometers?|lanterns?|seats|pages|items|sets|pairs|working days|times)\b/gi,
  /\b\d+\s?[x×]\s?\d+\b/gi,
  /\b\d{5,}\b/g,
  /\bhalf an? (?:mile|dozen|crate)\b/gi,
  /\b24\/7\b/g,
];
/** Short names of days and months in small letters are words. */
const SMALL_WORDS =
  /\b(?:sat|sun|wed|mon|mar|may|dec|jan|march|second)\b(?!\s*\d)(?<!second(?=\s+\p{L}+day))/gu;
/** Words that name a time so wide that no day is meant. */
const VAGUE =
  /\b(?:(?:early|late|later|sometime|some time|any time|anytime)\s+)?(?:(?:in|by|at)\s+)?(?:(?:the\s+)?(?:end|start|beginning|middle)\s+of\s+)?(?:next|this|the|last|coming|following)\s+(?:few\s+)?(?:weeks?|months?|years?|quarter|fortnight)\b(?!\s+(?:on\s+)?(?:mon|tue|wed|thu|fri|sat|sun))/gi;
const WEEKDAY =
  '(?:mon|tues?|wednes|thurs|fri|satur|sun)day|(?:Mon|Tue|Tues|Wed|Thu|Thur|Thurs|Fri|Sat|Sun)\\b\\.?';
const OF_THAT_WEEK = new RegExp(
  `\\b(?:${WEEKDAY})\\s+(?:of\\s+)?(?:next|this)\\s+week\\b|\\b(?:next|this)\\s+week,?\\s+(?:on\\s+)?(?:${WEEKDAY})`,
  'i',
);

/** A sentence without what looks like a time or a date and is none. */
export function masked(sentence: string): string {
  let text = sentence;
  for (const pattern of NO_TIMES) text = text.replaceAll(pattern, blank);
  text = text.replaceAll(SMALL_WORDS, blank);
  return OF_THAT_WEEK.test(text) ? text : text.replaceAll(VAGUE, blank);
}

const CLOCK = '\\d{1,2}(?:[:.h]\\d{2})?\\s*(?:[ap]\\.?m\\.?\\b)?|noon|midday|midnight';
const AFTER_TIME = new RegExp(
  `(?<![\\d/.-])((?:${CLOCK})(?:\\s*[-–—]\\s*(?:${CLOCK}))?)[\\s,]+\\(?(?:in\\s+|by\\s+)?(\\p{Lu}[\\p{L}'’]+(?:\\s\\p{Lu}[\\p{L}'’]+)?)(?:\\s+(?:local|time))*\\)?(?=[\\s.,;:!?)]|$)`,
  'gu',
);
/** What a city after a time is not. */
const NO_CITY = new RegExp(`^(?:${WEEKDAY}|jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)`, 'i');

/** A sentence in which a city right after a time says whose time it is: "3pm Halifax". */
function withCityTimes(sentence: string): string {
  return sentence.replaceAll(AFTER_TIME, (all: string, time: string, city: string) => {
    if (NO_CITY.test(city)) return all;
    const names = [city, city.split(' ')[0]!];
    const known = names.find((name) => zoneNamed(name.toLowerCase()) !== null);
    return known ? `${time} ${known} time${city === known ? '' : city.slice(known.length)}` : all;
  });
}

/** The same time told again by another clock: "10:00 Halifax time (14:00 here)". */
const TOLD_AGAIN = new RegExp(
  `((?:${CLOCK})[^(]{0,30})\\((?=[^)]*\\d)[^)]*\\b(?:here|in|time|at\\s+home|local|for\\s+(?:you|us)|gmt|utc|cet|bst|ast|jst)\\b[^)]*\\)`,
  'giu',
);

const HOURS = 'one two three four five six seven eight nine ten eleven twelve'.split(' ');
const HOUR_WORD = new RegExp(
  `\\b(?:(at|from|until|till|by)\\s+(${HOURS.join('|')})(?=\\s+(?:on|today|tomorrow|sharp|until|to)\\b|[.,?!]|$)|(${HOURS.join('|')})(?=\\s+o['’]clock))`,
  'gi',
);
const MONTHS =
  '(?:January|February|March|April|May|June|July|August|September|October|November|December)';
const NTHS = ['first', 'second', 'third', 'fourth'];
const NTH_WEEKDAY = new RegExp(
  `\\b(first|1st|second|2nd|third|3rd|fourth|4th|last)\\s+(mon|tues|wednes|thurs|fri|satur|sun)day\\s+(?:in|of)\\s+(${MONTHS})(?:\\s+(\\d{4}))?`,
  'gi',
);

/** "The first Monday in December" as its date, from a day (day number) on. */
function withNthWeekdays(sentence: string, today: DayNumber): string {
  return sentence.replaceAll(
    NTH_WEEKDAY,
    (_, nth: string, weekday: string, name: string, year: string | undefined) => {
      const month = monthNamed(name.toLowerCase());
      const at = civilDate(today);
      const inYear = year ? Number(year) : at.year + (month < at.month ? 1 : 0);
      const wanted = weekdayNamed(weekday.toLowerCase());
      const first = dayNumber(inYear, month, 1);
      const offset = (wanted - weekdayOf(first) + 7) % 7;
      const count = NTHS.findIndex((word) => word === nth.toLowerCase());
      const place = /^\d/.test(nth) ? Number.parseInt(nth, 10) - 1 : count;
      const isLast = place < 0;
      const days = daysInMonth(inYear, month);
      const day = 1 + offset + 7 * (isLast ? Math.floor((days - 1 - offset) / 7) : place);
      return `${day} ${name} ${inYear}`;
    },
  );
}

const AT_CLOCK = '\\d{1,2}[:.h]\\d{2}(?:\\s*[ap]m)?|\\d{1,2}\\s*[ap]m|\\d{4}(?=\\b)';
/** "dep 07:12 arr 08:55", "at 7:42, arriving 9:10": one journey. */
const JOURNEY = new RegExp(
  `\\b(?:(?:dep(?:art(?:s|ing|ure)?)?|leav(?:e|es|ing))\\.?:?\\s+(?:at\\s+)?)?(${AT_CLOCK})([^.;\\d]{0,40}?)[,;]?\\s*(?:and\\s+)?arr(?:iv(?:e|es|ing|al))?\\.?:?\\s+(?:[^.;\\d]{0,30}?\\s)?(?:at\\s+)?(${AT_CLOCK})`,
  'gi',
);

const A_WEEK_ON = new RegExp(`\\ba\\s+week\\s+on\\s+(${WEEKDAY})`, 'gi');
const COMMA_AFTER_DAY = new RegExp(
  `\\b(${WEEKDAY})\\s*,\\s*(?:the\\s+)?(?=\\d|\\p{L}{3,9}\\s+\\d)`,
  'giu',
);
const DATE_IN_BRACKETS = new RegExp(`\\b(${WEEKDAY})\\s*\\((?=[^)]*\\d)([^)]*)\\)`, 'gi');

/** The same said so that it is read in one way. */
function plainer(sentence: string): string {
  const journeys = sentence.replaceAll(JOURNEY, '$1 - $3$2');
  const dotless = journeys.replaceAll(/\b(\d{1,2})\s*([ap])\.\s?m\.?/gi, '$1$2m');
  return withCityTimes(dotless.replaceAll(TOLD_AGAIN, '$1'))
    .replaceAll(/[–—]/g, '-')
    .replaceAll(HOUR_WORD, (_, lead: string | undefined, named: string | undefined, bare) => {
      const hour = HOURS.indexOf(String(named ?? bare).toLowerCase()) + 1;
      return lead ? `${lead} ${hour}` : String(hour);
    })
    .replaceAll(/\b(20\d{2})\/(\d{1,2})\/(\d{1,2})\b/g, (_, y: string, m: string, d: string) =>
      [y, m.padStart(2, '0'), d.padStart(2, '0')].join('-'),
    )
    .replaceAll(A_WEEK_ON, '$1 week')
    .replaceAll(/\b(to|until|till|-)\s*(?:noon|midday)\b/gi, '$1 12:00')
    .replaceAll(/\b(?:noon|midday)\s*(to|until|-)(?=\s*\d)/gi, '12:00 $1')
    .replaceAll(/\bo[’']clock\b/gi, "o'clock")
    .replaceAll(/\b(\d{1,2})[.:](\d{2})\s+hrs?\b\.?/gi, '$1:$2')
    .replaceAll(/\b(\d{2})(\d{2})\s*(?:hrs?|hours)\b/gi, '$1:$2')
    .replaceAll(
      /\b(\d{1,2})(?:st|nd|rd|th)?\s+(?:and|&)\s+(\d{1,2})(st|nd|rd|th)?(?=\s+(?:of\s+)?\p{Lu}\p{Ll}{2,})/gu,
      '$1-$2$3',
    )
    .replaceAll(COMMA_AFTER_DAY, '$1 ')
    .replaceAll(DATE_IN_BRACKETS, '$1 $2 ')
    .replaceAll(
      /(?<!half |half-|in |every |per )\b(?:a|an|one)[- ](?:hour|hr)(?=[- ]?(?:long)?\s*(?:call|meeting|slot|session|visit|talk)?)/gi,
      'for 1 hour',
    )
    .replaceAll(
      /\b(?:a\s+)?(\d{1,3}|half[- ]an?)[- ](minute|min|hour)[- ](?=call|meeting|slot|session|visit|talk|chat|long)/gi,
      'for $1 $2 ',
    )
    .replaceAll(/\bfor\s+for\b/gi, 'for');
}

/** "moved from Tuesday 10:00 to Thursday 14:00": what it was, and what it is. */
const MOVED =
  /\b(?:mov\w+|shift\w*|postpon\w+|reschedul\w+|re-schedul\w+|brought\s+forward|bring\w*\s+forward|push\w*|chang\w+|put\s+(?:off|back)|delay\w*|slid\w*|swap\w*)\b(.*?)\bfrom\b(.+?)\bto\b(.+)$/i;
/** "Our call on 15 Dec at 9:30 is moved to 16 Dec at 10". */
const MOVED_TO =
  /^(.*?)\b(?:mov(?:e|ed|es|ing)|shifted|postponed|rescheduled|re-scheduled|brought\s+forward|pushed|changed|put\s+(?:off|back)|delayed)\s+((?:(?!:\s).)*?)(?:back\s+|forward\s+|up\s+)?\b(?:to|until|till)\s+(.+)$/i;

/** What something was moved from and to, in the words of a sentence; null where it moves nothing. */
function movedIn(sentence: string): { from: string; to: string } | null {
  const both = MOVED.exec(sentence);
  if (both) return { from: both[2]!, to: both[3]! };
  const [, before, what, to] = MOVED_TO.exec(sentence) ?? [];
  return to === undefined ? null : { from: `${before} ${what}`, to };
}

const CLOCK_TIME = /\d{1,2}[:.]\d{2}(?:\s*[ap]m)?|\d{1,2}\s*[ap]m/i;
const timeIn = (text: string) => CLOCK_TIME.exec(text)?.[0] ?? '';

/** "instead of Tuesday", "(was Tuesday 10:00)", "not on Tuesday but". */
const NOT_THEN =
  /\(?\b(?:instead\s+of|rather\s+than|in\s+place\s+of|not(?=\s+(?:on|at)?\s*(?:mon|tue|wed|thu|fri|sat|sun|the\s+\d|\d|today|tomorrow))|no\s+longer|was\s+(?:planned|set|booked|scheduled)?\s*(?:for|on|at)?(?=\s*(?:mon|tue|wed|thu|fri|sat|sun|\d))|originally|previously|formerly)\s+(?:(?!\bbut\b|\bnow\b|\bit\s+is\b|[,;.)]).)+\)?/gi;

/** One thing that a sentence says of a time. */
export interface Clause {
  text: string;
  read: ReadJot;
  /** The day that it was moved from, where its new time names none. */
  movedFrom?: string;
}

const saysWhen = ({ saysDay, saysTime }: Pick<ReadJot, 'saysDay' | 'saysTime'>) =>
  saysDay || saysTime;

/** Where a sentence may go on to another time: never inside "between ten and eleven". */
function piecesOf(sentence: string): string[] {
  const kept = sentence.replaceAll(/\bbetween\s+[^,;]{1,40}?\s+and\s/gi, (text) =>
    text.replace(/\sand\s$/i, '\u0002'),
  );
  return kept
    .split(
      /(?<=;)\s+|,\s+(?!\d{4}\b)|\s+(?=or\s)|\s+(?=and\s)|\s+(?=then\s)|\s+(?=but\s)|\s+(?=alternatively\b)|\s+\/\s+/i,
    )
    .map((piece) => piece.replaceAll('\u0002', ' and '))
    .filter((piece) => piece.trim());
}

/** A sentence in clauses that name a time once each; those that name none are left out. */
export function clausesOf(sentence: string, context: JotContext): Clause[] {
  const text = plainer(masked(withNthWeekdays(sentence, context.day)));
  const moved = movedIn(text);
  if (moved) {
    const read = readJot(moved.to, context);
    const hasOldTime = read.saysDay && !read.saysTime && readJot(moved.from, context).saysTime;
    const said = hasOldTime ? `${moved.to} ${timeIn(moved.from)}` : moved.to;
    if (saysWhen(read))
      return [{ text: said, read: readJot(said, context), movedFrom: moved.from }];
  }
  const clear = text.replaceAll(NOT_THEN, ' ');
  const clauses: Clause[] = [];
  let open: Clause | null = null;
  for (const piece of piecesOf(clear)) {
    const own = readJot(piece, context);
    if (!open) {
      open = { text: piece, read: own };
      continue;
    }
    const clashes: boolean =
      (own.saysDay && open.read.saysDay) ||
      // A clock time after a part of the day says it more exactly: "tomorrow morning, say 8:30".
      (own.saysTime && open.read.saysTime && CLOCK_SAID.test(open.text));
    if (clashes) {
      clauses.push(open);
      open = { text: piece, read: own };
      continue;
    }
    const joined: string = `${open.text}, ${piece}`;
    open =
      saysWhen(own) || !saysWhen(open.read)
        ? { text: joined, read: readJot(joined, context) }
        : { ...open, text: joined };
  }
  if (open) clauses.push(open);
  return clauses.filter(({ read }) => saysWhen(read));
}

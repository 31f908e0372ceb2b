import type { Filter } from '../model/filter';
import { daysIn, filterDates } from './daysIn';
import type { DayContext, DaysMeant } from './daysIn';

/** Words that name a day, and as often something else: alone they are looked for as they are. */
const AS_OFTEN_A_WORD =
  /^(?:mon|tues?|wed|thur?s?|fri|sat|sun|jan|feb|mar|march|apr|may|jun|jul|aug|sept?|oct|nov|dec|\d{1,3}|easter|christmas)$/;
/** Single words that name days also beside others: "tomorrow", "q1", "december". */
const SURE_BESIDE =
  /^(?:today|tomorrow|yesterday|weekend|q[1-4]|january|february|april|june|july|august|september|october|november|december)$/;
/** Words that lead to days, or from them to what is looked for. */
const BETWEEN = /^(?:in|on|at|for|with|during|from|of|the|and|,)$/;
const LEADS = /^(?:in|on|during|over)\s+/;
const MOST_WORDS = 8;

interface Asked {
  words: string;
  days: DaysMeant | null;
}

/** Words without those at their ends that only led to the days between them. */
function trimmed(words: readonly string[]): string[] {
  const rest = [...words];
  while (rest.length && BETWEEN.test(rest.at(-1)!.toLowerCase())) rest.pop();
  return rest;
}

/** What typed words look for, and the days on which: "freight this week with Oskar". Quoted words are no days. */
export function askedIn(text: string, context: DayContext): Asked {
  const plain: Asked = { words: text, days: null };
  if (/["“”]/.test(text)) return plain;
  const words = text.trim().split(/\s+/).filter(Boolean);
  if (!words.length) return plain;
  for (let many = Math.min(words.length, MOST_WORDS); many > 0; many--)
    for (let from = 0; from + many <= words.length; from++) {
      const phrase = words
        .slice(from, from + many)
        .join(' ')
        .toLowerCase();
      const isAlone = many === words.length;
      const isSure =
        many > 1 || (isAlone ? !AS_OFTEN_A_WORD.test(phrase) : SURE_BESIDE.test(phrase));
      const [days] = isSure ? daysIn(phrase.replace(LEADS, ''), context) : [];
      if (!days) continue;
      const before = trimmed(words.slice(0, from));
      const after = words.slice(from + many);
      while (after.length && BETWEEN.test(after[0]!.toLowerCase())) after.shift();
      return { words: [...before, ...after].join(' '), days };
    }
  return plain;
}

/** A question in which the days that its words name are days, unless it says days or where words are to stand. */
export function meantFilter(filter: Filter, context: DayContext): Filter {
  if (filter.dates || filter.textIn.length || filter.not.includes('words')) return filter;
  const { words, days } = askedIn(filter.text, context);
  return days ? { ...filter, text: words, dates: filterDates(days) } : filter;
}

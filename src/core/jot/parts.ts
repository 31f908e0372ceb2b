import { findLinks } from './links';
import { blankOut, TAKEN } from './words';

export type JotPartKind = 'when' | 'length' | 'place' | 'calendar' | 'category' | 'link' | 'repeat';

/** Words of a jotted line, by position. */
export interface JotPart {
  kind: JotPartKind;
  from: number;
  to: number;
}

type Read<T> = (JotPart & { value: T }) | null;

const escapePattern = (text: string) => text.replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** "in Clients": the last of the calendars' names that follows such a word. */
export function readCalendar(
  line: string,
  calendars: readonly { id: string; name: string }[],
): Read<string> {
  let best: (JotPart & { value: string }) | null = null;
  for (const { id, name } of calendars) {
    const pattern = new RegExp(
      `(?<=^|\\s)(?:in|to|for)\\s+(?:the\\s+)?${escapePattern(name)}(?:\\s+calendar)?(?=$|[\\s,.])`,
      'giu',
    );
    for (const match of line.matchAll(pattern)) {
      const part = {
        kind: 'calendar' as const,
        from: match.index,
        to: match.index + match[0].length,
        value: id,
      };
      const isBetter =
        !best || part.from > best.from || (part.from === best.from && part.to > best.to);
      if (isBetter) best = part;
    }
  }
  return best;
}

/** The first web address of a line. */
export function readLink(line: string): Read<string> {
  let at = 0;
  for (const { text, link } of findLinks(line)) {
    if (link !== null) return { kind: 'link', from: at, to: at + text.length, value: link };
    at += text.length;
  }
  return null;
}

/** "#lamps": every category whose name follows such a sign, the longer name first; spaces may be hyphens. */
export function readCategories(
  line: string,
  categories: readonly { id: string; name: string }[],
): (JotPart & { value: string })[] {
  const parts: (JotPart & { value: string })[] = [];
  let rest = line;
  const longestFirst = categories.toSorted((a, b) => b.name.length - a.name.length);
  for (const { id, name } of longestFirst) {
    const words = name.trim().split(/\s+/).map(escapePattern).join('[\\s-]');
    const match = new RegExp(`(?<=^|\\s)#${words}(?=$|[\\s,.;#])`, 'iu').exec(rest);
    if (!match) continue;
    const part = {
      kind: 'category' as const,
      from: match.index,
      to: match.index + match[0].length,
    };
    parts.push({ ...part, value: id });
    rest = blankOut(rest, part);
  }
  return parts;
}

const UNIT_MINUTES: Record<string, number> = { m: 1, h: 60, d: 1440, w: 7 * 1440 };
const AMOUNT = String.raw`(?:(\d+(?:[.,]\d+)?|an?|half an?|one|two|three)\s*(m|mins?|minutes?|h|hrs?|hours?|days?|weeks?)(?:\s*(and a half|(?:and\s+)?(\d+)\s*(?:m|mins?|minutes?)?))?)`;
const LENGTH = new RegExp(
  String.raw`(?<=^|\s)(for\s+(?:about\s+)?)?${AMOUNT}(?=$|[\s,.;)])`,
  'giu',
);
const WORDS: Record<string, number> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  'half a': 0.5,
  'half an': 0.5,
};

/** "for 90 min", "1.5 h", "for an hour and a half", "2 days". What follows "in" or precedes "ago" is a time, not a length. */
export function readLength(line: string): Read<{ minutes: number; wholeDays: boolean }> {
  for (const match of line.matchAll(LENGTH)) {
    const [whole, lead, amount, unit, more, moreMinutes] = match;
    const before = line.slice(0, match.index);
    const after = line.slice(match.index + whole.length);
    const isTime =
      /\b(in|after|within|every|next|last)\s*$/i.test(before) ||
      /^\s*(ago|later|from now|before|after)\b/i.test(after);
    const isVague = !lead && WORDS[amount!.toLowerCase()] !== undefined;
    if (isTime || isVague) continue;
    const count = WORDS[amount!.toLowerCase()] ?? Number(amount!.replace(',', '.'));
    const perUnit = UNIT_MINUTES[unit![0]!.toLowerCase()]!;
    const half = more?.toLowerCase() === 'and a half' ? perUnit / 2 : 0;
    const minutes = Math.round(count * perUnit + half + Number(moreMinutes ?? 0));
    if (minutes <= 0) continue;
    return {
      kind: 'length',
      from: match.index,
      to: match.index + whole.length,
      value: { minutes, wholeDays: perUnit >= 1440 && minutes % 1440 === 0 },
    };
  }
  return null;
}

const AT = new RegExp(`(?<=^|\\s|${TAKEN})(?:at\\s+|@\\s*)(?=[^\\s${TAKEN},.;])`, 'giu');

/** "at Quay 3": from the last "at" (or "@") to the end of its stretch of untaken words. */
export function readPlace(line: string): Read<string> {
  const match = [...line.matchAll(AT)].at(-1);
  if (!match) return null;
  const start = match.index + match[0].length;
  const [stretch = ''] = line.slice(start).split(TAKEN);
  const value = stretch.replace(/[\s,.;]+$/, '');
  return { kind: 'place', from: match.index, to: start + value.length, value };
}

/** What is left when everything else is taken, without words that led to a taken part. */
export function titleOf(line: string): string {
  const dangling = new RegExp(
    String.raw`(?:^|\s)(?:on|at|from|by|for|in|,|-|–)\s*(?=${TAKEN})`,
    'giu',
  );
  return line
    .replaceAll(dangling, ' ')
    .replaceAll(new RegExp(`(?:\\s+[,;–-]+)?\\s*${TAKEN}+(?:\\s*[,;–-]+(?=\\s))?`, 'g'), ' ')
    .replaceAll(/\s+/g, ' ')
    .replaceAll(/^[\s,;:–-]+|[\s,;:–-]+$/g, '');
}

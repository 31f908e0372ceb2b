import isSafe from 'safe-regex2';
import { foldPlaced } from '../query/fold';
import type { Matching } from '../model/bulkSteps';
import { UserError } from '../userError';

/** Replaces what is found in a text. */
export type Replacer = (text: string) => string;

/** Characters of a text that a pattern looks through: of longer ones nothing is replaced by a pattern. */
const MOST_FOR_PATTERN = 4000;
/** The longest pattern. */
const MOST_PATTERN = 300;

const escaped = (text: string) => text.replaceAll(/[.*+?^${}()|[\]\\/-]/g, '\\$&');

/** A plain replacement may hold what a pattern's would read as a group. */
const literal = (text: string) => text.replaceAll('$', '$$$$');

function byPattern(find: string, replacement: string): Replacer {
  if (find.length > MOST_PATTERN)
    throw new UserError('refused', 'The pattern is too long to be checked.');
  let pattern: RegExp;
  try {
    pattern = new RegExp(find, 'gu');
  } catch {
    throw new UserError(
      'refused',
      'The pattern can’t be read: a bracket or a sign before it is missing.',
    );
  }
  // One that repeats a repeat can take years on a short text, and nothing could stop it.
  if (!isSafe(pattern))
    throw new UserError(
      'refused',
      'The pattern repeats a repeat, which can take for ever. Say it otherwise.',
    );
  return (text) => (text.length > MOST_FOR_PATTERN ? text : text.replaceAll(pattern, replacement));
}

/** Replaces wherever letters are the same but for case and accents. */
function anywhere(find: string, replacement: string): Replacer {
  const { folded: wanted } = foldPlaced(find);
  return (text) => {
    const { folded, places } = foldPlaced(text);
    let result = '';
    let done = 0;
    for (
      let at = folded.indexOf(wanted);
      at >= 0;
      at = folded.indexOf(wanted, at + wanted.length)
    ) {
      const [from, last] = [places[at]!, places[at + wanted.length - 1]!];
      const to = places.slice(at + wanted.length).find((place) => place > last) ?? text.length;
      if (from < done) continue;
      result += text.slice(done, from) + replacement;
      done = to;
    }
    return result + text.slice(done);
  };
}

/**
 * What replaces a text by another.
 * @throws UserError, in words for the person, for a pattern that can't be used.
 */
export function replacer(find: string, replacement: string, matching: Matching): Replacer {
  switch (matching) {
    case 'case':
      return (text) => text.replaceAll(find, literal(replacement));
    case 'words': {
      const whole = new RegExp(`(?<![\\p{L}\\p{N}_])${escaped(find)}(?![\\p{L}\\p{N}_])`, 'giu');
      return (text) => text.replaceAll(whole, literal(replacement));
    }
    case 'pattern':
      return byPattern(find, replacement);
    case 'any':
      return anywhere(find, replacement);
  }
}

/** A text without spaces around it, and with single ones within. */
export const trimmed = (text: string): string => text.trim().replaceAll(/\s+/g, ' ');

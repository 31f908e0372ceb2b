/** Stands for words of a line that are taken; it is no letter, digit or space. */
const TAKEN = '\u0001';
/** Words that led to what was taken. */
const DANGLING = new RegExp(
  String.raw`(?:^|\s)(?:on|at|from|by|for|in|due|starting|beginning|@|,|-|–)\s*(?=${TAKEN})`,
  'giu',
);
/** Brackets of which all is taken. */
const EMPTY = new RegExp(`[([]\\s*${TAKEN}[\\s${TAKEN}]*[)\\]]`, 'g');
const TAKEN_WITH_SIGNS = new RegExp(`(?:\\s+[,;–-]+)?\\s*${TAKEN}+(?:\\s*[,;–-]+(?=\\s))?`, 'g');

/** What is left of a line when its parts are taken, without words and signs that led to them. */
export function withoutParts(line: string, parts: readonly { from: number; to: number }[]): string {
  let rest = line;
  for (const { from, to } of parts)
    rest = rest.slice(0, from) + TAKEN.repeat(to - from) + rest.slice(to);
  return (
    rest
      .replaceAll(EMPTY, (all) => TAKEN.repeat(all.length))
      .replaceAll(DANGLING, ' ')
      .replaceAll(TAKEN_WITH_SIGNS, ' ')
      .replaceAll(/\s+/g, ' ')
      // What stood before a colon was taken.
      .replaceAll(/(?:\s+|[,;](?=:))(?=[:;,](?:\s|$|:))/g, '')
      .replaceAll(/^[\s,;:–-]+|[\s,;:–-]+$/g, '')
  );
}

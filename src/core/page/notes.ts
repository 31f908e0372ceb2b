/** A line of Markdown that waits to be done: "- [ ] Ask Oskar". */
const OPEN_BOX = /^\s*[-*+]\s+\[ \]\s+(.+)$/;

/** What the open boxes of notes say, each once, in their order. */
export const openBoxes = (notes: string): string[] => [
  ...new Set(
    notes.split(/\r?\n/).flatMap((line) => {
      const text = OPEN_BOX.exec(line)?.[1]?.trim();
      return text ? [text] : [];
    }),
  ),
];

/** Notes with the open box of a text ticked, as it has become a task; unchanged where there is none. */
export function withBoxTicked(notes: string, text: string): string {
  return notes
    .split('\n')
    .map((line) =>
      OPEN_BOX.exec(line.replace(/\r$/, ''))?.[1]?.trim() === text
        ? line.replace('[ ]', '[x]')
        : line,
    )
    .join('\n');
}

/** Notes with a line more at their end. */
export function withLine(notes: string, line: string): string {
  const text = line.trim();
  if (!text) return notes;
  const before = notes.trimEnd();
  return before ? `${before}\n- ${text}` : `- ${text}`;
}

/** Signs at the start of a line that only say how it is drawn, and what stands for them where nothing is. */
const LINE_SIGNS: readonly (readonly [RegExp, string])[] = [
  [/^\s{0,3}#{1,6}\s+/, ''],
  [/^(\s*)[-*+]\s+\[ \]\s+/, '$1☐ '],
  [/^(\s*)[-*+]\s+\[[xX]\]\s+/, '$1☑ '],
  [/^(\s*)[-*+]\s+/, '$1• '],
  [/^\s{0,3}>\s?/, ''],
];
/** Pairs of signs around words; those within a word, such as in file_names, are part of it. */
const EMPHASIS = /(?<![\p{L}\p{N}])(\*\*|__|\*|_|~~|`)(?=\S)(.+?)(?<=\S)\1(?![\p{L}\p{N}])/gu;
const LINK = /!?\[([^\]]+)\]\((\S+?)\)/g;

/**
 * Notes in simple Markdown as plain words, for where they can't be drawn formatted: without the signs
 * of headings, lists and emphasis; boxes as such; a link as its words and its address.
 */
export const plainNotes = (notes: string): string =>
  notes
    .split(/\r?\n/)
    .map((line) =>
      LINE_SIGNS.reduce((text, [sign, stands]) => text.replace(sign, stands), line)
        .replace(LINK, (_, words: string, to: string) => (words === to ? to : `${words} (${to})`))
        .replace(EMPHASIS, '$2')
        // What was bold and italic at once has another pair inside.
        .replace(EMPHASIS, '$2'),
    )
    .join('\n');

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

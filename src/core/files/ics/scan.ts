/** A component of a file as its raw content lines, with where they stand. */
export interface RawComponent {
  /** Upper case, for example VEVENT. */
  name: string;
  /** Line number of its BEGIN, from 1. */
  line: number;
  /** Unfolded content lines of its own, without BEGIN and END; an END of nothing that is open stays among them, as a line that can't be read. */
  lines: RawLine[];
  children: RawComponent[];
}

export interface RawLine {
  text: string;
  /** Line number of its first part, from 1. */
  line: number;
}

/** A file that can't be taken in at all; the message is for the person and names the line. */
export class FileError extends Error {
  override name = 'FileError';
}

/** Unfolded, non-empty content lines (RFC 5545 §3.1). Any of CRLF, LF and CR ends a line. */
function* contentLines(text: string): Generator<RawLine> {
  const ends = /\r\n|\n|\r/g;
  let current: RawLine | null = null;
  let number = 0;
  for (let from = 0; from <= text.length;) {
    ends.lastIndex = from;
    const match = ends.exec(text);
    const to = match ? match.index : text.length;
    number++;
    const first = text.charCodeAt(from);
    if (current && (first === 32 || first === 9) && to > from) {
      current.text += text.slice(from + 1, to);
    } else {
      if (current && current.text.trim()) yield current;
      current = { text: text.slice(from, to), line: number };
    }
    if (!match) break;
    from = ends.lastIndex;
  }
  if (current && current.text.trim()) yield current;
}

/** Components in components in components: none that means something goes deeper. */
const DEEPEST = 16;

const MARKER = /^(BEGIN|END)[ \t]*:[ \t]*(\S+)\s*$/i;

/** An END with letters too many still ends what is open. */
const isMisspelt = (open: string, ended: string) =>
  ended.length > open.length && ended.startsWith(open);

/**
 * Splits the text of an iCalendar file into its outermost components. Lines outside of them are
 * passed over. Checks only what holds a file together: that each BEGIN has its END.
 * @throws FileError when there is no component, or when one begins and doesn't end as it should.
 */
export function scanComponents(text: string): RawComponent[] {
  const roots: RawComponent[] = [];
  const open: RawComponent[] = [];
  // Components that are too deep: what is in them is passed over.
  let beyond = 0;
  for (const content of contentLines(text.charCodeAt(0) === 0xfeff ? text.slice(1) : text)) {
    const marker = MARKER.exec(content.text);
    const inner = open[open.length - 1];
    if (!marker) {
      if (beyond === 0) inner?.lines.push(content);
      continue;
    }
    const name = marker[2]!.toUpperCase();
    const isBegin = marker[1]!.toUpperCase() === 'BEGIN';
    if (beyond > 0 || (isBegin && open.length === DEEPEST)) {
      // The first is told like a line that can't be read.
      if (beyond === 0) inner!.lines.push(content);
      beyond += isBegin ? 1 : -1;
      continue;
    }
    if (isBegin) {
      const component = { name, line: content.line, lines: [], children: [] };
      (inner ? inner.children : roots).push(component);
      open.push(component);
    } else if (inner && (inner.name === name || isMisspelt(inner.name, name))) {
      open.pop();
    } else if (inner && !open.some((component) => component.name === name)) {
      inner.lines.push(content);
    } else {
      throw new FileError(
        inner
          ? `Line ${content.line} ends ${name}, but ${inner.name} from line ${inner.line} is still open. The file is damaged.`
          : `Line ${content.line} ends ${name}, which never began. The file is damaged.`,
      );
    }
  }
  const left = open[open.length - 1];
  if (left) {
    throw new FileError(
      `${left.name} begins on line ${left.line} and never ends. The file is cut short or damaged.`,
    );
  }
  if (!roots.length) {
    throw new FileError(
      text.trim()
        ? 'Line 1 does not begin a calendar, and no later line does. This is not a calendar file.'
        : 'The file is empty.',
    );
  }
  return roots;
}

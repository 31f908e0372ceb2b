import { errorOf } from '../../userError';
/** A component of a file as its raw content lines, with where they stand. */
export interface RawComponent {
  /** Upper case, for example VEVENT. */
  name: string;
  /** Line number of its BEGIN, from 1. */
  line: number;
  /** Unfolded content lines of its own, without BEGIN and END; an END of nothing that is open stays among them, as a line that can't be read. */
  lines: RawLine[];
  children: RawComponent[];
  /** Whether its END is missing: it ends where something begins or ends that can't be inside of it. */
  isUnended?: boolean;
}

export interface RawLine {
  text: string;
  /** Line number of its first part, from 1. */
  line: number;
}

/** A file that can't be taken in at all; the message is for the person and names the line. */
export class FileError extends errorOf('file') {}

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

/** Components that never are inside of one of their own kind: where one begins again, the END before it is missing. */
const NEVER_INSIDE_ITSELF = new Set(['VEVENT', 'VTODO', 'VJOURNAL', 'VFREEBUSY', 'VTIMEZONE']);

/** An END with letters too many still ends what is open. */
const isMisspelt = (open: string, ended: string) =>
  ended.length > open.length && ended.startsWith(open);

/** Closes the innermost open component of a name; it, or what is open inside of it, has no END of its own. */
function endOpen(open: RawComponent[], name: string, isEnd: boolean): void {
  const nth = open.findLastIndex((component) => component.name === name);
  if (nth < 0) return;
  for (const component of open.splice(nth).slice(isEnd ? 1 : 0)) component.isUnended = true;
}

/**
 * Splits the text of an iCalendar file into its outermost components. Lines outside of them are
 * passed over. A component whose END is missing ends with what it is in, or where another begins.
 * @throws FileError when there is no component, or the file ends while one is open.
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
      if (NEVER_INSIDE_ITSELF.has(name)) endOpen(open, name, false);
      (open.at(-1)?.children ?? roots).push(component);
      open.push(component);
    } else if (inner && (inner.name === name || isMisspelt(inner.name, name))) {
      open.pop();
    } else if (inner && !open.some((component) => component.name === name)) {
      inner.lines.push(content);
    } else if (inner) {
      endOpen(open, name, true);
    } else {
      throw new FileError(
        `Line ${content.line} ends ${name}, which never began. The file is damaged.`,
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

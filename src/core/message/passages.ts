/** A part of a message that was written at one time by one person. */
export interface Passage {
  text: string;
  /** What its head says of when it was written; empty where there is none. */
  written: string;
  /** Whether it only stands there because somebody answered it. */
  isQuoted: boolean;
  /** Whether it was sent on, so that it may be what the message is about. */
  isForwarded?: true;
  /** The subject that its head gives it; empty where there is none. */
  subject: string;
}

/** "On Mon, 23 Nov 2026 at 16:05, Ida Solberg wrote:", also broken over two lines. */
const WROTE =
  /^\s*(?:on\s+)?(.{6,90}?\d.{0,90}?)\s*(?:,|\s)\s*[^,\n]{0,90}?\b(?:wrote|writes)\s*:\s*$/i;
/** "-----Original Message-----", "Begin forwarded message:", or a rule of signs above a head. */
const DIVIDER =
  /^\s*(?:-{2,}\s*(?:original|forwarded)\s+message\s*-{2,}|begin forwarded message:)\s*$/i;
const HEAD_LINE = /^\s*\*?(from|sent|date|to|cc|subject|reply-to)\*?\s*:\*?\s*(.*)$/i;
/** What parts a text from its signature (RFC 3676 §4.3). */
const SIGNATURE = /^-- ?$/;
const FAREWELL =
  /^\s*(?:(?:kind|best|warm|many)\s+(?:regards|wishes|thanks)|regards|best|cheers|thanks|thank you|many thanks|yours(?:\s+\w+)?|all the best|see you(?: then)?|sincerely|bye)\s*[,.!]?\s*$/i;
/** So many lines after a farewell are a name and an address, and nothing to act on. */
const MOST_LINES_AFTER = 12;

const unquoted = (line: string) => line.replace(/^\s?(?:>\s?)+/, '');
const depthOf = (line: string) =>
  (/^\s?((?:>\s?)+)/.exec(line)?.[1] ?? '').replaceAll(/\s/g, '').length;

/** A text without its signature. What stands after a farewell goes, if it is short enough to be one. */
export function withoutSignature(text: string): string {
  const lines = text.split('\n');
  const cut = lines.findIndex((line) => SIGNATURE.test(line));
  const kept = cut < 0 ? lines : lines.slice(0, cut);
  const farewell = kept.findLastIndex((line) => FAREWELL.test(line));
  const after = kept.slice(farewell + 1).filter((line) => line.trim());
  return (farewell > 0 && after.length <= MOST_LINES_AFTER ? kept.slice(0, farewell) : kept).join(
    '\n',
  );
}

/** The lines of a head ("Sent: …") from one on; null where there is none. */
function headAt(
  lines: readonly string[],
  at: number,
): { written: string; subject: string; next: number } | null {
  let written = '';
  let subject = '';
  let found = 0;
  let i = at;
  for (; i < lines.length && i < at + 9; i++) {
    const head = HEAD_LINE.exec(unquoted(lines[i]!));
    // "From: 10:00", "To: 11:30" are the hours of an event.
    if (!head || (/^(?:from|to)$/i.test(head[1]!) && /^\d/.test(head[2]!.trim()))) break;
    found++;
    if (/^(?:sent|date)$/i.test(head[1]!)) written = head[2]!;
    if (/^subject$/i.test(head[1]!)) subject = head[2]!;
  }
  return found >= 2 ? { written, subject, next: i } : null;
}

/** A message's text by who wrote it when: the newest first, what it answers or sends on after it. */
export function passagesOf(text: string): Passage[] {
  const lines = text.replaceAll('\r\n', '\n').split('\n');
  const passages: (Passage & { lines: string[] })[] = [];
  const fresh = (): Passage & { lines: string[] } => ({
    ...{ text: '', written: '', subject: '', isQuoted: false },
    lines: [],
  });
  let now = fresh();
  let depth = 0;
  const open = (written: string, subject = '', isForwarded = false) => {
    passages.push(now);
    now = { ...fresh(), written, subject, isQuoted: true, ...(isForwarded && { isForwarded }) };
  };
  for (let i = 0; i < lines.length; i++) {
    const bare = unquoted(lines[i]!);
    const joined = `${bare} ${unquoted(lines[i + 1] ?? '')}`;
    const head = headAt(lines, i);
    if (WROTE.test(bare)) {
      open(WROTE.exec(bare)![1]!);
      depth = depthOf(lines[i + 1] ?? lines[i]!);
    } else if (/^\s*on\s/i.test(bare) && WROTE.test(joined) && !bare.trim().endsWith(':')) {
      open(WROTE.exec(joined)![1]!);
      i++;
      depth = depthOf(lines[i + 1] ?? lines[i]!);
    } else if (DIVIDER.test(bare)) {
      const after = headAt(lines, i + 1);
      open(after?.written ?? '', after?.subject, /forward/i.test(bare));
      if (after) i = after.next - 1;
    } else if (
      head &&
      (passages.length > 0 || now.lines.some((line) => line.trim()) || head.written)
    ) {
      open(head.written, head.subject);
      i = head.next - 1;
    } else if (head && i === 0) {
      // The head of the message itself: see `pasted.ts`.
      i = head.next - 1;
    } else {
      const deep = depthOf(lines[i]!);
      // Quoted without a head, or an answer that goes on below what it quotes.
      if (deep !== depth && bare.trim()) {
        if (deep > 0 && !(now.isQuoted && now.lines.every((line) => !line.trim()))) open('');
        else if (deep === 0 && now.isQuoted) {
          passages.push(now);
          now = fresh();
        }
        depth = deep;
      }
      now.lines.push(bare);
    }
  }
  passages.push(now);
  const all = passages.map(({ lines: own, ...passage }) => ({
    ...passage,
    text: withoutSignature(own.join('\n')).trim(),
  }));
  const said = all.filter((passage) => passage.text !== '');
  // Something sent on without a word of one's own is what the message says.
  return said.length && said.every(({ isQuoted }) => isQuoted)
    ? said.map((passage, i) => ({ ...passage, isQuoted: i > 0 }))
    : said;
}

/** A piece of text: plain, or a web address that can be followed. */
export interface TextPiece {
  text: string;
  link: string | null;
}

const ADDRESS = /\b(?:https?:\/\/|www\.)[^\s<>"]+/gi;

/** What ends a sentence belongs to it, not to the address; a bracket only when it was not opened inside. */
function trimmed(address: string): string {
  let kept = address.replace(/[.,;:!?'’”]+$/, '');
  while (kept.endsWith(')') && !kept.includes('(')) kept = kept.slice(0, -1);
  return kept;
}

/** A text cut into plain pieces and web addresses (http and https only). */
export function findLinks(text: string): TextPiece[] {
  const pieces: TextPiece[] = [];
  let at = 0;
  for (const match of text.matchAll(ADDRESS)) {
    const address = trimmed(match[0]);
    if (match.index > at) pieces.push({ text: text.slice(at, match.index), link: null });
    pieces.push({ text: address, link: /^www/i.test(address) ? `https://${address}` : address });
    at = match.index + address.length;
  }
  if (at < text.length) pieces.push({ text: text.slice(at), link: null });
  return pieces;
}

/** The first web address in a text; empty when there is none. */
export function firstLink(text: string): string {
  return findLinks(text).find(({ link }) => link !== null)?.link ?? '';
}

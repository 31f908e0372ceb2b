const ENTITIES: Readonly<Record<string, string>> = {
  amp: '&',
  lt: '<',
  gt: '>',
  quot: '"',
  apos: "'",
  nbsp: ' ',
  ndash: '–',
  mdash: '—',
  rsquo: '’',
  lsquo: '‘',
  rdquo: '”',
  ldquo: '“',
  hellip: '…',
  pound: '£',
  euro: '€',
};

const decoded = (text: string) =>
  text.replaceAll(/&(?:#(\d+)|#x([\da-f]+)|(\w+));/gi, (all, number, hex, name) => {
    const code = number ? Number(number) : hex ? Number.parseInt(hex, 16) : null;
    if (code !== null) return code > 0 && code <= 0x10ffff ? String.fromCodePoint(code) : '';
    return ENTITIES[String(name).toLowerCase()] ?? all;
  });

/** Text with `> ` before each line of what was quoted, as plain mails have it. */
function quotesMarked(html: string): string {
  const INNERMOST = /<blockquote\b[^>]*>((?:(?!<blockquote\b)[\s\S])*?)<\/blockquote>/i;
  let text = html;
  for (let found = INNERMOST.exec(text); found; found = INNERMOST.exec(text)) {
    const lines = plainText(found[1]!).split('\n');
    const quoted = lines.map(
      (line) => `&gt; ${line.replaceAll('&', '&amp;').replaceAll('<', '&lt;')}`,
    );
    text = `${text.slice(0, found.index)}\n<br>${quoted.join('<br>')}<br>${text.slice(found.index + found[0].length)}`;
  }
  return text;
}

function plainText(html: string): string {
  const bare = html
    .replaceAll(/<(script|style|head|title)\b[\s\S]*?<\/\1\s*>/gi, '')
    .replaceAll(/<!--[\s\S]*?-->/g, '')
    .replaceAll(/\s+/g, ' ')
    .replaceAll(/<(?:br|hr)\b[^>]*>/gi, '\n')
    .replaceAll(/<\/(?:p|div|tr|li|h\d|table|ul|ol)\s*>/gi, '\n')
    .replaceAll(/<li\b[^>]*>/gi, '- ')
    .replaceAll(/<\/t[dh]\s*>/gi, ' ')
    .replaceAll(/<[^>]*>/g, '');
  return decoded(bare)
    .split('\n')
    .map((line) => line.replaceAll(/[ \t]+/g, ' ').trim())
    .join('\n')
    .replaceAll(/\n{3,}/g, '\n\n')
    .trim();
}

/** The text of an HTML mail, as it would be read. Nothing of it is run or fetched. */
export const textOfHtml = (html: string): string => plainText(quotesMarked(html));

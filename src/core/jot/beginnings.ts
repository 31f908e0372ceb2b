/**
 * With which signs what an expression matches can begin, as bits: a to z, any digit, any other sign.
 * Most expressions of the grammar begin with one of a few letters, and need not be tried elsewhere.
 */
export type Beginnings = number;

const DIGIT = 1 << 26;
const OTHER = 1 << 27;
/** Every sign. */
export const ANY: Beginnings = (1 << 28) - 1;

/** The bit of a sign of a text in small letters. */
export function beginningOf(text: string, at: number): Beginnings {
  const code = text.charCodeAt(at);
  if (code >= 97 && code <= 122) return 1 << (code - 97);
  return code >= 48 && code <= 57 ? DIGIT : OTHER;
}

/** A piece of an expression: the bits that it can begin with, and whether it can be nothing. */
interface Piece {
  first: Beginnings;
  isEmpty: boolean;
}
const NOTHING: Piece = { first: 0, isEmpty: true };

const ESCAPES: Readonly<Record<string, Piece>> = {
  d: { first: DIGIT, isEmpty: false },
  s: { first: OTHER, isEmpty: false },
  b: NOTHING,
  // What the language calls letters and the like may be any sign.
  p: { first: ANY, isEmpty: false },
  w: { first: ANY, isEmpty: false },
};
const AROUND = /\(\?<?[=!]/y;
const GROUP = /\((?:\?:)?/y;
const CLASS = /\[(\^?)((?:\\.|[^\]\\])*)\]/y;
const QUANTIFIER = /(?:[?*]|\{0(?:,\d*)?\}|(\+|\{[1-9]\d*(?:,\d*)?\}))\??/y;
const ESCAPE = /\\(p\{[^}]*\}|.)/y;

const exec = (pattern: RegExp, source: string, at: number) => {
  pattern.lastIndex = at;
  return pattern.exec(source);
};

function ofClass(isNot: boolean, signs: string): Beginnings {
  if (isNot || /\\[pPwWDS]|[a-z]-[a-z]/u.test(signs)) return ANY;
  let first = 0;
  for (const [sign] of signs.matchAll(/\\?./gu))
    first |=
      sign.length > 1 && ESCAPES[sign[1]!]
        ? ESCAPES[sign[1]!]!.first
        : beginningOf(sign.at(-1)!, 0);
  return first;
}

/** Reads one expression in the syntax of regular expressions, as far as the grammar uses it. */
class Source {
  private at = 0;

  constructor(private readonly source: string) {}

  /** Alternatives up to the end, or to the bracket that closes them. */
  alternatives(): Piece {
    let { first, isEmpty } = this.sequence();
    while (this.source[this.at] === '|') {
      this.at++;
      const next = this.sequence();
      first |= next.first;
      isEmpty ||= next.isEmpty;
    }
    return { first, isEmpty };
  }

  private sequence(): Piece {
    let first = 0;
    let isEmpty = true;
    while (this.at < this.source.length && !'|)'.includes(this.source[this.at]!)) {
      const piece = this.quantified();
      if (isEmpty) first |= piece.first;
      isEmpty &&= piece.isEmpty;
    }
    return { first, isEmpty };
  }

  private quantified(): Piece {
    const piece = this.piece();
    const quantifier = exec(QUANTIFIER, this.source, this.at);
    if (!quantifier) return piece;
    this.at = QUANTIFIER.lastIndex;
    return quantifier[1] ? piece : { ...piece, isEmpty: true };
  }

  private piece(): Piece {
    const { source } = this;
    if (exec(AROUND, source, this.at)) {
      this.at = AROUND.lastIndex;
      this.closed();
      return NOTHING;
    }
    if (exec(GROUP, source, this.at)) {
      this.at = GROUP.lastIndex;
      return this.closed();
    }
    const signs = exec(CLASS, source, this.at);
    if (signs) {
      this.at = CLASS.lastIndex;
      return { first: ofClass(signs[1] !== '', signs[2]!), isEmpty: false };
    }
    const escape = exec(ESCAPE, source, this.at);
    if (escape) {
      this.at = ESCAPE.lastIndex;
      return ESCAPES[escape[1]![0]!] ?? { first: beginningOf(escape[1]!, 0), isEmpty: false };
    }
    const sign = source[this.at++]!;
    if (sign === '.') return { first: ANY, isEmpty: false };
    return '^$'.includes(sign) ? NOTHING : { first: beginningOf(sign, 0), isEmpty: false };
  }

  private closed(): Piece {
    const piece = this.alternatives();
    this.at++;
    return piece;
  }
}

/** With what the matches of an expression can begin; any sign, where they can be empty. */
export function beginningsOf(source: string): Beginnings {
  const { first, isEmpty } = new Source(source).alternatives();
  return isEmpty ? ANY : first;
}

/** A set of signs, as bits of their classes: a to z, any digit, those of `PUNCTUATION`, any other sign. */
type Signs = number;

const A = 97;
const DIGIT = 26;
const PUNCTUATION = ' .:/';
const OTHER = 31;
const CLASSES = 32;
const EVERY: Signs = -1;

/**
 * With which two signs what an expression matches can begin: for the class of each first sign the signs
 * that can follow it. Most expressions of the grammar begin with one of a few pairs of letters, and need
 * not be tried elsewhere.
 */
export type Beginnings = readonly Signs[];

/** Every pair of signs. */
export const ANY: Beginnings = Array.from({ length: CLASSES }, () => EVERY);

/** The class (0 to 31) of a sign of a text in small letters; the end of a text is like any other sign. */
function classOf(text: string, place: number): number {
  const code = text.charCodeAt(place);
  if (code >= A && code < A + DIGIT) return code - A;
  if (code >= 48 && code <= 57) return DIGIT;
  const mark = place < text.length ? PUNCTUATION.indexOf(text[place]!) : -1;
  return mark < 0 ? OTHER : DIGIT + 1 + mark;
}

/** The pair of signs at a place of a text, as one number. */
export const pairAt = (text: string, at: number) =>
  classOf(text, at) * CLASSES + classOf(text, at + 1);

/** Whether what begins so can begin with a pair of signs. */
export const canBeginWith = (beginnings: Beginnings, pair: number) =>
  (beginnings[Math.floor(pair / CLASSES)]! & (1 << (pair % CLASSES))) !== 0;

/** What a piece of an expression can match, by its beginning. */
interface Piece {
  /** The signs that are all of it. */
  one: Signs;
  /** For each first sign of a longer match, the signs that can follow. */
  more: Beginnings;
  isEmpty: boolean;
}
const NO_MORE: Beginnings = Array.from({ length: CLASSES }, () => 0);
const NOTHING: Piece = { one: 0, more: NO_MORE, isEmpty: true };
const single = (one: Signs): Piece => ({ one, more: NO_MORE, isEmpty: false });

const firstOf = ({ one, more }: Piece) =>
  more.reduce((signs, next, first) => (next ? signs | (1 << first) : signs), one);

const either = (a: Piece, b: Piece): Piece => ({
  one: a.one | b.one,
  more: a.more.map((next, first) => next | b.more[first]!),
  isEmpty: a.isEmpty || b.isEmpty,
});

/** One piece and then another. */
function then(a: Piece, b: Piece): Piece {
  if (a === NOTHING) return b;
  const following = firstOf(b);
  return {
    one: (a.isEmpty ? b.one : 0) | (b.isEmpty ? a.one : 0),
    more: a.more.map(
      (next, first) =>
        next | (a.one & (1 << first) ? following : 0) | (a.isEmpty ? b.more[first]! : 0),
    ),
    isEmpty: a.isEmpty && b.isEmpty,
  };
}

const ESCAPES: Readonly<Record<string, Piece>> = {
  d: single(1 << DIGIT),
  // A text that is read has no other blanks.
  s: single(1 << classOf(' ', 0)),
  b: NOTHING,
  // What the language calls letters and the like may be any sign.
  p: single(EVERY),
  w: single(EVERY),
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

const signOf = (sign: string): Signs => 1 << classOf(sign, 0);

function ofClass(isNot: boolean, signs: string): Signs {
  if (isNot || /\\[pPwWDS]|[a-z]-[a-z]/u.test(signs)) return EVERY;
  let first = 0;
  for (const [sign] of signs.matchAll(/\\?./gu))
    first |= (sign.length > 1 && ESCAPES[sign[1]!]?.one) || signOf(sign.at(-1)!);
  return first;
}

/** Worked out when it is needed: what follows the beginning of an expression never is. */
type Lazy = () => Piece;

function inSequence(pieces: readonly Lazy[]): Piece {
  let sequence = NOTHING;
  for (const piece of pieces) {
    if (!sequence.one && !sequence.isEmpty) break;
    sequence = then(sequence, piece());
  }
  return sequence;
}

/** Reads one expression in the syntax of regular expressions, as far as the grammar uses it. */
class Source {
  private at = 0;

  constructor(private readonly source: string) {}

  /** The pieces, one after another, up to the end or to the bracket that closes them; alternatives are one. */
  pieces(): Lazy[] {
    const all = [this.sequence()];
    while (this.source[this.at] === '|') {
      this.at++;
      all.push(this.sequence());
    }
    return all.length === 1 ? all[0]! : [() => all.map(inSequence).reduce(either)];
  }

  private sequence(): Lazy[] {
    const pieces: Lazy[] = [];
    while (this.at < this.source.length && !'|)'.includes(this.source[this.at]!))
      pieces.push(...this.quantified());
    return pieces;
  }

  private quantified(): Lazy[] {
    const pieces = this.group() ?? [this.piece()];
    const quantifier = exec(QUANTIFIER, this.source, this.at);
    if (!quantifier) return pieces;
    this.at = QUANTIFIER.lastIndex;
    const [sign, atLeastOnce] = quantifier;
    const repeated = () =>
      sign.startsWith('?')
        ? inSequence(pieces)
        : either(inSequence(pieces), inSequence([...pieces, ...pieces]));
    return [atLeastOnce ? repeated : () => ({ ...repeated(), isEmpty: true })];
  }

  private group(): Lazy[] | null {
    if (exec(AROUND, this.source, this.at)) {
      this.at = AROUND.lastIndex;
      this.closed();
      return [];
    }
    if (!exec(GROUP, this.source, this.at)) return null;
    this.at = GROUP.lastIndex;
    return this.closed();
  }

  private piece(): Lazy {
    const { source } = this;
    const signs = exec(CLASS, source, this.at);
    if (signs) {
      this.at = CLASS.lastIndex;
      return () => single(ofClass(signs[1] !== '', signs[2]!));
    }
    const escape = exec(ESCAPE, source, this.at);
    if (escape) {
      this.at = ESCAPE.lastIndex;
      return () => ESCAPES[escape[1]![0]!] ?? single(signOf(escape[1]!));
    }
    const sign = source[this.at++]!;
    if (sign === '.') return () => single(EVERY);
    return () => ('^$'.includes(sign) ? NOTHING : single(signOf(sign)));
  }

  private closed(): Lazy[] {
    const pieces = this.pieces();
    this.at++;
    return pieces;
  }
}

const beginningOf = ({ one, more, isEmpty }: Piece): Beginnings =>
  isEmpty ? ANY : more.map((next, first) => (one & (1 << first) ? EVERY : next));

/** With what the matches of an expression can begin; anything, where they can be empty. */
export const beginningsOf = (source: string): Beginnings =>
  beginningOf(inSequence(new Source(source).pieces()));

/** Pairs of signs, each as `pairAt` numbers it. */
export type Pairs = readonly number[];

const EVERY_PAIR = Array.from({ length: CLASSES * CLASSES }, (_, pair) => pair);

/** So many needs of an expression are looked at: the rarest ones keep nearly all texts away. */
const NEEDS = 4;
/** What so many pairs can begin says little, and takes long to look for. */
const MOST_PAIRS = 100;

/**
 * What a text must have somewhere for an expression to match in it: one of each of these lists of
 * pairs. They are the beginnings of its own parts that can't be left out, the rarest first.
 */
export function needsOf(source: string): Pairs[] {
  const pieces = new Source(source).pieces();
  return pieces
    .map((_, i) => beginningOf(inSequence(pieces.slice(i))))
    .map((beginnings) => EVERY_PAIR.filter((pair) => canBeginWith(beginnings, pair)))
    .filter(({ length }) => length <= MOST_PAIRS)
    .sort((a, b) => a.length - b.length)
    .slice(0, NEEDS);
}

/** Which pairs of signs a text has: 1 at the number of each. */
export function pairsIn(text: string): Uint8Array {
  const has = new Uint8Array(CLASSES * CLASSES);
  for (let at = 0; at < text.length; at++) has[pairAt(text, at)] = 1;
  return has;
}

function hasOne(has: Uint8Array, pairs: Pairs): boolean {
  for (const pair of pairs) if (has[pair]) return true;
  return false;
}

/** Whether a text that has these pairs has one of each need. */
export function hasNeeds(has: Uint8Array, needs: readonly Pairs[]): boolean {
  for (const need of needs) if (!hasOne(has, need)) return false;
  return true;
}

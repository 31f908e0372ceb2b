const MARKS = /\p{M}/gu;
/** Letters that look like another with a stroke or ring, which decomposing does not take off. */
const STROKED: Readonly<Record<string, string>> = {
  ø: 'o',
  đ: 'd',
  ł: 'l',
  ß: 'ss',
  æ: 'ae',
  œ: 'oe',
  ð: 'd',
  þ: 'th',
  ı: 'i',
  '’': "'",
  '‘': "'",
  '“': '"',
  '”': '"',
};

/** Letters that people write as two where they have no key for them. */
const AS_TWO: Readonly<Record<string, string>> = { ä: 'ae', ö: 'oe', ü: 'ue', ø: 'oe', å: 'aa' };

const PLAIN = /^[\x20-\x7e\n]*$/;

/** A text as it is compared when people look for it: without case, accents and curled quotes. */
export function fold(text: string): string {
  const lower = text.toLowerCase();
  if (PLAIN.test(lower)) return lower;
  return lower
    .normalize('NFD')
    .replaceAll(MARKS, '')
    .replaceAll(/[øđłßæœðþı’‘“”]/g, (letter) => STROKED[letter]!);
}

/** The same with those letters as two, so that “Söhne” and “Soehne” are alike. */
export function foldAsTwo(text: string): string {
  const lower = text.toLowerCase();
  if (PLAIN.test(lower)) return lower;
  return fold(lower.normalize('NFC').replaceAll(/[äöüøå]/g, (letter) => AS_TWO[letter]!));
}

/** A folded text, with the place in the text itself at which each of its characters stands, and its end. */
export function foldPlaced(text: string): { folded: string; places: number[] } {
  let folded = '';
  const places: number[] = [];
  let at = 0;
  for (const character of text) {
    const plain = fold(character);
    for (let i = 0; i < plain.length; i++) places.push(at);
    folded += plain;
    at += character.length;
  }
  places.push(text.length);
  return { folded, places };
}

import fc from 'fast-check';
import { ANY, beginningsOf, canBeginWith, hasNeeds, needsOf, pairAt, pairsIn } from './beginnings';
import { FIXED_RULES } from './readings';
import lines from './testdata/lines.json';
import { textOf } from './text';

const SIGNS = [...'abcdenosz7 .@'];
const canBegin = (source: string, text: string) =>
  canBeginWith(beginningsOf(source), pairAt(text, 0));

/** The signs, of some, that an expression can begin with. */
const beginsWith = (source: string) =>
  SIGNS.filter((sign) => SIGNS.some((next) => canBegin(source, sign + next))).join('');
/** Those that can follow a first one. */
const goesOnWith = (source: string, first: string) =>
  SIGNS.filter((next) => canBegin(source, first + next)).join('');

test.each([
  ['each|else', 'e'],
  ['(?:on\\s+)?(?:the\\s+)?(\\d{1,2})', 'o7'],
  ['(?:a|[bc])+d', 'abc'],
  ['(?:a*|b)z', 'abz'],
  ['(?<!n\\s)(?=z)d', 'd'],
  ['a{0,2}n', 'an'],
  ['a{2}n', 'a'],
  ['[@~]\\s*9', '@'],
  ['\\.d', '.'],
  ['\\bs\\p{L}', 's'],
])('%s begins with one of “%s”', (source, signs) => expect(beginsWith(source)).toBe(signs));

test.each([
  ['each|else', 'e', 'a'],
  ['once|on\\s', 'o', 'n'],
  ['(?:on\\s+)?(?:the\\s+)?(\\d{1,2})x', 'o', 'n'],
  ['a?(?:b|[cd])', 'a', 'bcd'],
  ['a+b', 'a', 'ab'],
  ['a*b', 'a', 'ab'],
  ['(?:ab|a\\d)?z', 'a', 'b7'],
  ['@\\s*9', '@', '7 '],
  ['a(?:b?)c', 'a', 'bc'],
  ['(?=z)an', 'a', 'n'],
])('%s goes on after “%s” with one of “%s”', (source, first, signs) =>
  expect(goesOnWith(source, first)).toBe(signs),
);

test('what may end after one sign may be followed by any', () =>
  expect(goesOnWith('a|bc', 'a')).toBe(SIGNS.join('')));

test.each(['\\p{L}{2}', '[^a]', '[a-z]', 'a?', '.', '(?:a|)'])(
  '%s begins with anything',
  (source) => expect(beginningsOf(source)).toEqual(ANY),
);

test.each([
  ['(?:on\\s+)?(?:christmas|xmas)', 'on christmas', 'on monday'],
  ['(?:by|at)\\s+(?:the\\s+)?(start|end)\\s+of', 'at the end of', 'at the pier of'],
  ['(a(b)c)d?', 'abc', 'abd'],
  ['a+\\d', 'aa7', 'aab'],
])('%s can be found in “%s” and not in “%s”', (source, found, lacking) => {
  expect(hasNeeds(pairsIn(found), needsOf(source))).toBe(true);
  expect(hasNeeds(pairsIn(lacking), needsOf(source))).toBe(false);
});

test.each(['a?b?', '\\p{L}+', '.'])('%s can be found anywhere', (source) =>
  expect(needsOf(source)).toEqual([]),
);

test('whatever an expression of the grammar finds, it begins as it was said to, in a text that has its needs', () => {
  const words = [...new Set(lines.flatMap(({ line }) => textOf(line).text.split(' ')))];
  const others = [
    'at',
    '@',
    '~9',
    'every',
    'ev',
    'from',
    'the',
    '2nd',
    'remind',
    'noon',
    'until',
    'q',
    '1:30h',
  ];
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...words, ...others), { maxLength: 7 }), (said) => {
      const { text, starts, pairs } = textOf(said.join(' '));
      for (const from of starts.slice(0, -1))
        for (const { pattern, begins, needs } of FIXED_RULES) {
          pattern.lastIndex = from;
          if (!pattern.test(text)) continue;
          if (!canBeginWith(begins, pairAt(text, from)) || !hasNeeds(pairs, needs))
            throw new Error(`${pattern} in “${text.slice(from)}”`);
        }
    }),
    { numRuns: 300 },
  );
});

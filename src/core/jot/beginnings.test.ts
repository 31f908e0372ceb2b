import fc from 'fast-check';
import { ANY, beginningOf, beginningsOf } from './beginnings';
import { FIXED_RULES } from './readings';
import lines from './testdata/lines.json';
import { textOf } from './text';

/** The signs, of some, that an expression can begin with. */
const beginsWith = (source: string) =>
  [...'abcdenosz7 @']
    .filter((sign) => (beginningsOf(source) & beginningOf(sign, 0)) !== 0)
    .join('');

test.each([
  ['each|else', 'e'],
  ['(?:on\\s+)?(?:the\\s+)?(\\d{1,2})', 'o7'],
  ['(?:a|[bc])+d', 'abc'],
  ['(?:a*|b)z', 'abz'],
  ['(?<!n\\s)(?=z)d', 'd'],
  ['a{0,2}n', 'an'],
  ['a{2}n', 'a'],
  ['[@~]\\s*9', ' @'],
  ['\\.d', ' @'],
  ['\\bs\\p{L}', 's'],
])('%s begins with one of “%s”', (source, signs) => expect(beginsWith(source)).toBe(signs));

test.each(['\\p{L}{2}', '[^a]', '[a-z]', 'a?', '.', '(?:a|)'])(
  '%s begins with anything',
  (source) => expect(beginningsOf(source)).toBe(ANY),
);

test('whatever an expression of the grammar finds, it begins as it was said to', () => {
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
      const { text, starts } = textOf(said.join(' '));
      for (const from of starts.slice(0, -1))
        for (const { pattern, begins } of FIXED_RULES) {
          pattern.lastIndex = from;
          if (pattern.test(text) && (begins & beginningOf(text, from)) === 0)
            throw new Error(`${pattern} in “${text.slice(from)}”`);
        }
    }),
    { numRuns: 300 },
  );
});

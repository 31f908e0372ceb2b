import { sentencesOf } from './clauses';

const LONG = 'The survey of the northern lights begins at the quay on';

test.each([
  ['One. Two! Three? Four', ['One.', 'Two!', 'Three?', 'Four']],
  // A point within a word, and behind one that is short for another, ends nothing.
  ['Approx. 3 lenses, e.g. 4 St. Mary', ['Approx. 3 lenses, e.g. 4 St. Mary']],
  ['See you at 9.30 then. Ida', ['See you at 9.30 then.', 'Ida']],
  ['First line\n\nSecond line', ['First line', 'Second line']],
  // A long line that was only broken goes on with the next; a point, or a list, ends it.
  [`${LONG}\nwednesday at nine`, [`${LONG} wednesday at nine`]],
  [`${LONG}\n2 december`, [`${LONG} 2 december`]],
  [`${LONG}\n2. lenses`, [LONG, '2. lenses']],
  [`${LONG}.\nwednesday`, [`${LONG}.`, 'wednesday']],
  [`${LONG}\nWednesday`, [LONG, 'Wednesday']],
  ['Short line\nwednesday', ['Short line', 'wednesday']],
  [`${LONG}\n\nwednesday`, [LONG, 'wednesday']],
  ['', []],
])('%j has the sentences %j', (text, sentences) => {
  expect(sentencesOf(text)).toEqual(sentences);
});

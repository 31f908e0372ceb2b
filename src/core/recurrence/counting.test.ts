import fc from 'fast-check';
import { parseLocal } from '../time/civil';
import { lastCounted } from './counting';
import { END_OF_TIME, generate } from './generate';
import { parseRule } from './rule';

const START = parseLocal('2026-01-01T09:00:00');

/** The last start by counting them one by one. */
function lastOneByOne(text: string, count: number): number {
  let counted = 0;
  let last = -Infinity;
  generate(parseRule(text), START, START, END_OF_TIME, (wall) => {
    last = wall;
    return ++counted < count;
  });
  return last;
}

const PARTS = [
  'FREQ=YEARLY;BYWEEKNO=10,20;BYYEARDAY=61,62,-1',
  'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29;BYDAY=MO',
  'FREQ=YEARLY;INTERVAL=3;BYWEEKNO=53;BYDAY=MO,SU',
  'FREQ=MONTHLY;INTERVAL=14;BYMONTHDAY=29,31;BYDAY=TU',
  'FREQ=MONTHLY;BYDAY=5FR;BYMONTH=2',
];

describe('the last of so many dates', () => {
  it.each(PARTS)('is the same as counted one by one, over many cycles of 400 years: %s', (rule) => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4000 }), (count) => {
        const counted = parseRule(`${rule};COUNT=${count}`);
        expect(lastCounted(counted, START, count).last).toBe(lastOneByOne(rule, count));
      }),
      { numRuns: 6 },
    );
  });
});

import type { Reading } from './meanings';
import { isSound, slotsOf } from './meanings';

interface State {
  weight: number;
  readings: Chain | null;
}
interface Chain {
  reading: Reading;
  before: Chain | null;
}

/** In the bits of a state: a reading has just ended. */
const FRESH = 1 << 30;
/** What stands beside what was said before goes with it; so does what begins or ends the line. */
const BESIDE = 0.5;
const AT_AN_END = 0.2;

/** So many ways are followed at each place; the others say so much less that they don't win. */
const MOST_WAYS = 64;

/** The ways that are followed on. */
function worthwhile(states: ReadonlyMap<number, State>): Iterable<[number, State]> {
  if (states.size <= MOST_WAYS) return states;
  return [...states].sort(([, a], [, b]) => b.weight - a.weight).slice(0, MOST_WAYS);
}

/**
 * The readings of a line that go together and say most: none overlaps another, nothing is said
 * twice. Found from left to right, keeping the best way to each set of what was said so far
 * (dynamic programming): the time is linear in the readings.
 */
export function bestReadings(starts: readonly number[], readings: readonly Reading[]): Reading[] {
  const last = starts.length - 1;
  // A reading ends before the blanks that follow it.
  const nexts = new Int32Array(starts[last]! + 1);
  for (let i = last, end = starts[last]!; end >= 0; end--) {
    if (i > 0 && starts[i - 1]! >= end) i--;
    nexts[end] = i;
  }
  const from = new Map<number, { reading: Reading; own: number }[]>();
  for (const reading of readings) {
    const list = from.get(reading.from);
    const taking = { reading, own: slotsOf(reading.meaning) };
    if (list) list.push(taking);
    else from.set(reading.from, [taking]);
  }
  const states: Map<number, State>[] = starts.map(() => new Map<number, State>());
  states[0]!.set(0, { weight: 0, readings: null });
  const reach = (i: number, bits: number, state: State) => {
    const known = states[i]!.get(bits);
    if (!known || known.weight < state.weight) states[i]!.set(bits, state);
  };
  for (let i = 0; i < last; i++) {
    const here = from.get(starts[i]!) ?? [];
    for (const [bits, state] of worthwhile(states[i]!)) {
      reach(i + 1, bits & ~FRESH, state);
      for (const { reading, own } of here) {
        if (bits & own) continue;
        const next = { reading, before: state.readings };
        const to = nexts[reading.to]!;
        const bonus = bits & FRESH ? BESIDE : i === 0 || to === last ? AT_AN_END : 0;
        const weight = state.weight + reading.weight + bonus;
        reach(to, bits | own | FRESH, { weight, readings: next });
      }
    }
  }
  let best: State = { weight: 0, readings: null };
  for (const [bits, state] of states.at(-1)!)
    if (isSound(bits) && state.weight > best.weight) best = state;
  const chosen: Reading[] = [];
  for (let chain = best.readings; chain; chain = chain.before) chosen.unshift(chain.reading);
  return chosen;
}

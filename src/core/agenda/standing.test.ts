import { MINUTE } from '../time/civil';
import { sayStanding } from './standing';

const NOW = Date.parse('2027-03-20T09:00:00Z');
const say = (from: number, to: number, wholeDay = false) =>
  sayStanding({ startMs: NOW + from * MINUTE, endMs: NOW + to * MINUTE, wholeDay }, NOW);

test('how an event stands is said in few words', () => {
  expect([say(8, 60), say(90, 100), say(3000, 3060)]).toEqual([
    'in 8 min',
    'in 1 h 30 min',
    'in 2 days',
  ]);
  expect([say(-5, 35), say(-5, 0), say(-60, 60, true), say(0, 0)]).toEqual([
    'now, ends in 35 min',
    'over',
    'all day',
    'now',
  ]);
});

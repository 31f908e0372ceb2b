import { formatLocal } from '../time/civil';
import { readJot } from './jot';
import { TUESDAY } from './testing/context';

/** What a line says of its times and its place. */
function timesOf(line: string): string {
  const { title, wholeDay, start, end, place } = readJot(line, TUESDAY);
  const from = formatLocal(start).slice(0, 16);
  const to = formatLocal(end).slice(0, 16);
  const day = from.slice(0, 10);
  const times = `${from} .. ${to.startsWith(day) ? to.slice(11) : to}`;
  return [title, wholeDay ? 'the whole day' : times, place].filter(Boolean).join(' | ');
}

// On Tuesday 24 November 2026, 10:25.
test.each([
  ['meeting noon-1', 'meeting | 2026-11-24T12:00 .. 13:00'],
  ['meeting noon to 1.30 thu', 'meeting | 2026-11-26T12:00 .. 13:30'],
  ['meeting from 11 to noon', 'meeting | 2026-11-24T11:00 .. 12:00'],
  ['meeting between ten and noon fri', 'meeting | 2026-11-27T10:00 .. 12:00'],
  ['party 10 to midnight sat', 'party | 2026-11-28T22:00 .. 2026-11-29T00:00'],
  ['shift midnight to 6 sat', 'shift | 2026-11-29T00:00 .. 06:00'],
  ["tea 5 o'clock", 'tea | 2026-11-24T17:00 .. 17:30'],
  ['tea at five', 'tea | 2026-11-24T17:00 .. 17:30'],
  ['tea at five thirty fri', 'tea | 2026-11-27T17:30 .. 18:00'],
  ['tea at eight am fri', 'tea | 2026-11-27T08:00 .. 08:30'],
  ['from two to three call Ida', 'call Ida | 2026-11-24T14:00 .. 15:00'],
  ['tea at a quarter past nine wed', 'tea | 2026-11-25T09:15 .. 09:45'],
  ['lunch at Five Oaks fri', 'lunch | the whole day | Five Oaks'],
  ['look at one lamp fri', 'look at one lamp | the whole day'],
  ['Plan for two to three visitors fri', 'Plan for two to three visitors | the whole day'],
  ['keys in 1.5 hours', 'keys | 2026-11-24T11:55 .. 12:25'],
  ['keys in 1h 20m', 'keys | 2026-11-24T11:45 .. 12:15'],
  ['train 7:05 → 8:15 fri', 'train | 2026-11-27T07:05 .. 08:15'],
  ['2026-12-01T09:00 kick-off', 'kick-off | 2026-12-01T09:00 .. 09:30'],
  ['kick-off 2026-12-01 09:00:00', 'kick-off | 2026-12-01T09:00 .. 09:30'],
  ['shift 2000-2200 fri', 'shift | 2026-11-27T20:00 .. 22:00'],
  ['plan for 2026-12', 'plan for 2026-12 | the whole day'],
  ['kick-off @ 9am tomorrow', 'kick-off | 2026-11-25T09:00 .. 09:30'],
  ['kick-off tomorrow around 9', 'kick-off | 2026-11-25T09:00 .. 09:30'],
  ['kick-off tomorrow 9-ish', 'kick-off | 2026-11-25T09:00 .. 09:30'],
  ['course 3 hours from 9 tomorrow', 'course | 2026-11-25T09:00 .. 12:00'],
  ['call 1:30h tomorrow 9', 'call | 2026-11-25T09:00 .. 10:30'],
  ['call tomorrow 14:30h', 'call | 2026-11-25T14:30 .. 15:00'],
  ['call two hours tomorrow 9', 'call | 2026-11-25T09:00 .. 11:00'],
  ['call tomorrow 9, remind 10 min before', 'call | 2026-11-25T09:00 .. 09:30'],
  ['talk about 9 lamps', 'talk about 9 lamps | the whole day'],
  ['stock first thing tomorrow', 'stock | 2026-11-25T09:00 .. 09:30'],
  ['watch 7 at night monday', 'watch | 2026-11-30T19:00 .. 19:30'],
  ['call 10am (Tokyo time) fri', 'call | 2026-11-27T10:00 .. 10:30'],
])('%s', (line, times) => expect(timesOf(line)).toBe(times));

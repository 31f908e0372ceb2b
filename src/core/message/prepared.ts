import { expressionsMade } from '../jot/readings';
import type { Reader } from './candidates';
import { readMessage } from './candidates';
import { textMessage } from './message';

/** Sentences that ask for something in most of the ways there are. */
const SAMPLE = [
  'Could we meet on Thursday at 10:30 for an hour at Quay 3?',
  'The lamp survey is every second Tuesday from 14:00 to 15:30 until March.',
  'Please send the ledger by Friday 11 December, and call Mei tomorrow afternoon.',
  'The kiln is away on 3 and 4 Dec, and the audit moves from Monday 9 am to Wednesday noon.',
  'In two weeks there is a course from 7 to 9 January (all day), with 20 min travel.',
  'Are you free next Monday between half past nine and eleven, or 12/14 at 3pm Osaka time?',
];

/**
 * Makes what the first reading of a message makes, step by step: the expressions of the grammar, and by
 * reading some sentences ten times the quick form that an engine gives to what is used often.
 */
export function* readingPrepared(reader: Reader): Generator<void> {
  yield* expressionsMade();
  for (let turn = 0; turn < 10; turn++)
    for (const sentence of SAMPLE) {
      readMessage(textMessage(sentence), reader);
      yield;
    }
}

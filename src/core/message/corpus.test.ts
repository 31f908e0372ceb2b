import { readFileSync } from 'node:fs';
import path from 'node:path';
import { TUESDAY } from '../jot/testing/context';
import { DAY, formatDate, formatLocal } from '../time/civil';
import type { Candidate } from './candidates';
import { readMessage } from './candidates';
import { messageOfText } from './pasted';

const READER = {
  ...TUESDAY,
  now: Date.UTC(2026, 10, 24, 10, 25),
  zone: 'Europe/London',
};

/** Messages written down with their meaning before any was tried: a name, what should come out, the text. */
const MESSAGES = readFileSync(path.join(__dirname, 'testdata/corpus.txt'), 'utf8')
  .split(/^#/m)
  .filter((block) => block.trim())
  .map((block) => {
    const [name = '', ...lines] = block.trimEnd().split('\n');
    const isWanted = (line: string) => line.startsWith('=');
    const wanted = lines.filter(isWanted).map((line) => line.slice(1).trim());
    return {
      name,
      text: lines.filter((line) => !isWanted(line)).join('\n'),
      wanted: wanted.filter(Boolean),
    };
  });

const whole = (date: string) => (/^\d\d-\d\d-\d\d/.test(date) ? `20${date}` : `2026-${date}`);

/** Whether a candidate is one of the meanings that a line gives it. */
function isMeant(candidate: Candidate, said: string): boolean {
  return said.split('|').some((one) => {
    const [, kind, from, to, zone = '', doubt] =
      /^([ET])\s+([^/@?]+)(?:\/([^@?]+))?(?:@([^?]+))?(\?)?$/.exec(one.trim()) ?? [];
    if (kind === undefined) return false;
    const at = (wall: number) =>
      candidate.wholeDay ? formatDate(wall / DAY) : formatLocal(wall).slice(0, 16);
    return (
      candidate.kind === (kind === 'T' ? 'task' : 'event') &&
      at(candidate.start) === whole(from!) &&
      (to === undefined || at(candidate.end) === whole(to)) &&
      (candidate.zone ?? '').startsWith(zone) &&
      (doubt === undefined || candidate.doubts.length > 0)
    );
  });
}

const said = ({ kind, start, end, wholeDay, zone, title, doubts }: Candidate) =>
  [
    kind === 'task' ? 'T' : 'E',
    ...[start, end].map((wall) => formatLocal(wall).slice(5, wholeDay ? 10 : 16)),
    zone ?? '',
    `“${title}”`,
    doubts.length ? '?' : '',
  ].join(' ');

test.each(MESSAGES.map((one) => [one.name, one] as const))('%s', (_, { text, wanted }) => {
  const { candidates } = readMessage(messageOfText(text), READER);
  const mayBeNone = (line: string) => line.split('|').some((one) => one.trim() === '');
  const missing = wanted.filter(
    (line) => !mayBeNone(line) && !candidates.some((one) => isMeant(one, line)),
  );
  const besides = candidates.filter((one) => !wanted.some((line) => isMeant(one, line)));
  expect({ missing, besides: besides.map(said) }).toEqual({ missing: [], besides: [] });
});

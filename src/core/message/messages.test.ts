import { TUESDAY } from '../jot/testing/context';
import { DAY, formatDate, formatLocal, parseLocal } from '../time/civil';
import type { Candidate } from './candidates';
import { readMessage } from './candidates';
import type { Letter } from './testdata/letter';
import { LETTERS } from './testdata/messages';
import { OTHERS } from './testdata/others';
import { personOf } from './details';

const READER = {
  ...TUESDAY,
  now: Date.UTC(2026, 10, 24, 10, 25),
  zone: 'Europe/London',
};

const offsetOf = (date: string) => {
  const [, sign, hours, minutes] = /([+-])(\d\d):(\d\d)$/.exec(date)!;
  return (sign === '-' ? -1 : 1) * (Number(hours) * 60 + Number(minutes));
};
const read = ({ subject, from, date, text }: Letter) =>
  readMessage(
    {
      subject,
      text,
      from: from ? personOf(from) : null,
      to: [],
      sent: date ? Date.parse(date) : null,
      offset: date ? offsetOf(date) : null,
    },
    READER,
  );

/** A candidate as the letters have it. */
function said(candidate: Candidate, hasEnd: boolean): string {
  const { kind, start, end, wholeDay, zone } = candidate;
  const at = (wall: number) => (wholeDay ? formatDate(wall / DAY) : formatLocal(wall).slice(0, 16));
  return [
    kind === 'task' ? 'T ' : 'E ',
    at(start),
    hasEnd ? `/${at(wholeDay ? end - DAY : end)}` : '',
    zone ? `@${zone}` : '',
  ].join('');
}

function problemOf(letter: Letter): string | null {
  const { candidates } = read(letter);
  const { expected } = letter;
  const got = candidates.map((one, i) => said(one, /\/\d/.test(expected[i] ?? '')));
  const wanted = expected.map((one) => one.replace('?', ''));
  return JSON.stringify(got) === JSON.stringify(wanted)
    ? null
    : `${letter.name}: ${got.join(', ') || 'nothing'} instead of ${wanted.join(', ') || 'nothing'}`;
}

test('reads at least nine of ten letters with the right dates and times', () => {
  const problems = LETTERS.flatMap((letter) => problemOf(letter) ?? []);
  expect(LETTERS).toHaveLength(60);
  expect(LETTERS.filter(({ isHard }) => isHard)).toHaveLength(20);
  expect(problems.length <= 6 ? [] : problems).toEqual([]);
});

test.each(LETTERS)('shows nothing as sure that it does not know: $name', (letter) => {
  const { candidates } = read(letter);
  const sure = candidates.filter(({ doubts }) => doubts.length === 0);
  const known = letter.expected
    .filter((one) => !one.includes('?'))
    .map((one) => one.replace(/\/\d.*?(?=@|$)/, ''));
  for (const one of sure) expect(known).toContain(said(one, false));
});

test.each(OTHERS)('reads “%s”', (text, ...expected) => {
  const letter = {
    name: text,
    subject: 'Lamps',
    from: '',
    date: '2026-11-24T09:12:00+00:00',
    text,
  };
  expect(problemOf({ ...letter, expected })).toBeNull();
  const { candidates } = read({ ...letter, expected });
  const unsure = candidates.map(({ doubts }) => doubts.length > 0);
  expect(unsure).toEqual(expected.map((one) => one.endsWith('?')));
});

test('a pasted head gives the title without what mail programs put before it', () => {
  const text = 'From: Rui <rui@alvor.example>\nSubject: Re: crates\n\nMonday at 9:30?';
  const message = { subject: 'Re: crates', from: null, to: [], sent: null, offset: null, text };
  expect(readMessage(message, READER).candidates.map(({ title }) => title)).toEqual(['Crates']);
});

test('reads every letter so that all of it is there to be corrected', () => {
  const { candidates, notes } = read(LETTERS[3]!);
  expect(candidates).toEqual([
    {
      kind: 'event',
      title: 'Invitation: quay walk',
      place: 'Quay 3',
      link: '',
      people: ['Junia Pace'],
      start: parseLocal('2026-12-02T11:00:00'),
      end: parseLocal('2026-12-02T12:30:00'),
      wholeDay: false,
      zone: null,
      doubts: [],
      source: 'Wednesday 2 December 2026 11:00 - 12:30',
    },
  ]);
  expect(notes).toContain('You are invited.');
});

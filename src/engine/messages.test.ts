import { parseLocal } from '@/core/time/civil';
import { calendar, fileOf, NOW, opened } from './testing/opened';

const READING = {
  now: NOW,
  clock: 'Europe/London',
  workdays: [0, 1, 2, 3, 4],
  isMonthFirst: false,
} as const;

const MAIL = [
  'From: =?utf-8?Q?Greta_Ambl=C3=A9?= <g.amble@pilot.example>',
  'To: office@lanternquay.example',
  'Subject: =?utf-8?B?R2xhc3M=?=',
  'Date: Tue, 24 Nov 2026 05:12:00 -0400',
  'MIME-Version: 1.0',
  'Content-Type: multipart/mixed; boundary="b"',
  '',
  '--b',
  'Content-Type: text/html; charset=utf-8',
  'Content-Transfer-Encoding: quoted-printable',
  '',
  '<p>The glass comes on <b>Friday</b> at 3pm Halifax=2E</p><img src=3D"https://elsewhere.example/x">',
  '--b',
  'Content-Type: text/calendar; name="glass.ics"',
  'Content-Disposition: attachment; filename="glass.ics"',
  '',
  'BEGIN:VCALENDAR',
  'END:VCALENDAR',
  '--b--',
  '',
].join('\r\n');

const CANDIDATE = {
  kind: 'event',
  title: 'Glass',
  place: '',
  link: '',
  people: ['Greta Amblé'],
  start: parseLocal('2026-11-27T15:00:00'),
  end: parseLocal('2026-11-27T15:30:00'),
  wholeDay: false,
  lasts: true,
  zone: 'America/Halifax',
  doubts: [],
  source: 'The glass comes on Friday at 3pm Halifax.',
};

test.each([
  ['a file', fileOf(MAIL, 'glass.eml')],
  ['its pasted source', MAIL],
])('reads a mail from %s, and gives what it carries', async (_, source) => {
  const engine = await opened([calendar('work')]);
  const read = await engine.messages.read(source, READING);
  expect(read.candidates).toEqual([CANDIDATE]);
  expect(read.message).toEqual({
    subject: 'Glass',
    from: { name: 'Greta Amblé', address: 'g.amble@pilot.example' },
    to: [{ name: '', address: 'office@lanternquay.example' }],
    sent: Date.parse('2026-11-24T09:12:00Z'),
    offset: -240,
    text: 'The glass comes on Friday at 3pm Halifax.',
  });
  expect(read.parts.map(({ name, mediaType }) => [name, mediaType])).toEqual([
    ['glass.ics', 'text/calendar'],
  ]);
  expect(new TextDecoder().decode(read.parts[0]!.content)).toContain('BEGIN:VCALENDAR');
});

test('a text file is read as a text, and what is no mail says so', async () => {
  const engine = await opened([calendar('work')]);
  const read = await engine.messages.read(fileOf('Lunch on Friday at noon', 'note.txt'), READING);
  expect(read.candidates.map(({ start }) => start)).toEqual([parseLocal('2026-11-27T12:00:00')]);
  await expect(engine.messages.read(fileOf('', 'empty.eml'), READING)).rejects.toThrow(
    'This is no mail that can be read.',
  );
});

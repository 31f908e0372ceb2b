import { placeIn, personOf, subjectOf } from './details';
import { textOfHtml } from './html';
import { isMailSource, messageOfText } from './pasted';
import { passagesOf, withoutSignature } from './passages';

test('parts what was written from what it answers, however deep', () => {
  const text = [
    'Fine with me.',
    '',
    'On Mon, 23 Nov 2026 at 16:05, Tomas Reyl',
    '<tomas@lanternquay.example> wrote:',
    '> On Thursday?',
    '>',
    '> Tomas',
  ].join('\n');
  expect(passagesOf(text)).toEqual([
    { text: 'Fine with me.', written: '', subject: '', isQuoted: false },
    {
      text: 'On Thursday?\n\nTomas',
      written: 'Mon, 23 Nov 2026 at 16:05',
      subject: '',
      isQuoted: true,
    },
  ]);
});

test('what is only sent on counts as said', () => {
  const text =
    '-----Original Message-----\nFrom: Ida\nSent: Friday, 20 November 2026 09:00\nSubject: Dredging\n\nOn Monday at 7:00.';
  expect(passagesOf(text)).toEqual([
    {
      text: 'On Monday at 7:00.',
      written: 'Friday, 20 November 2026 09:00',
      subject: 'Dredging',
      isQuoted: false,
    },
  ]);
});

test('takes off signatures, and no text that only thanks', () => {
  expect(withoutSignature('See you at 9.\n\nKind regards\nGreta\nMon-Fri 9-5')).toBe(
    'See you at 9.\n',
  );
  expect(withoutSignature('See you at 9.\n-- \nGreta')).toBe('See you at 9.');
  expect(withoutSignature('Thanks\nfor the lamp on Monday.')).toBe(
    'Thanks\nfor the lamp on Monday.',
  );
});

test('reads the text of an HTML mail, with what it quotes, and nothing of its scripts', () => {
  const html =
    '<style>p{color:red}</style><p>Fine&nbsp;&amp; good:</p><ul><li>At&#32;9</li></ul><script>alert(1)</script>' +
    '<blockquote><p>On <b>Monday</b>?</p><blockquote>Older</blockquote></blockquote>';
  expect(textOfHtml(html)).toBe('Fine & good:\n- At 9\n\n> On Monday?\n>\n> > Older');
});

test('a pasted head gives the subject and the writer', () => {
  const text =
    'From: Greta Amble <g@pilot.example>\nDate: 24 Nov 2026\nSubject: Glass\n\nOn Friday.';
  expect(messageOfText(text)).toEqual({
    subject: 'Glass',
    from: { name: 'Greta Amble', address: 'g@pilot.example' },
    to: [],
    sent: null,
    offset: null,
    text,
  });
  expect(messageOfText('Date: tomorrow').subject).toBe('');
  expect(isMailSource('From: a@b.example\nMIME-Version: 1.0\n\nHello')).toBe(true);
  expect(isMailSource(text)).toBe(false);
});

test.each([
  ['Re: Fwd: [List] Glass', 'Glass'],
  ['AW: meeting', ''],
  ['(no subject)', ''],
])('the subject “%s” says “%s”', (subject, said) => {
  expect(subjectOf(subject).said).toBe(said);
});

test.each([
  ['We meet at the Net Loft at 10.', 'Net Loft'],
  ['On Monday at 9 in the small office.', 'the small office'],
  ['At 10 on Thursday with Ida.', ''],
])('in “%s” it is at “%s”', (text, place) => {
  expect(placeIn(text, ['Ida Solberg'])).toBe(place);
});

test('people are named with and without an address', () => {
  expect(personOf('"Ida Solberg" <ida@quay.example>')).toEqual({
    name: 'Ida Solberg',
    address: 'ida@quay.example',
  });
  expect(personOf(' ida@quay.example ')).toEqual({ name: '', address: 'ida@quay.example' });
});

test('a pasted head says who else is asked, and is no part of what it says', () => {
  const head = [
    'From: Rita Holm <rita@quay.example>',
    'To: Nora Hale <nora@quay.example>; Ben Ost',
    'Cc: ida@quay.example',
    'Subject: Lamp review',
  ];
  const message = messageOfText([...head, '', 'Thursday at 14:00?'].join('\n'));
  expect(message.to).toEqual([
    { name: 'Nora Hale', address: 'nora@quay.example' },
    { name: 'Ben Ost', address: '' },
    { name: '', address: 'ida@quay.example' },
  ]);
  expect(passagesOf(message.text)).toEqual([
    { text: 'Thursday at 14:00?', written: '', subject: '', isQuoted: false },
  ]);
});

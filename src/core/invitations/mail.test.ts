import PostalMime from 'postal-mime';
import { newEvent } from '../model/event';
import type { MailMethod } from '../model/mail';
import { readMessages } from './messages';
import { headerText, mailDate, writeMail } from './mime';
import { writeMessage } from './write';

const NOW = Date.parse('2026-11-24T10:25:00Z');
const zoned = (local: string) =>
  ({ kind: 'zoned', local: `2026-11-${local}:00`, zone: 'America/Halifax' }) as const;
const nell = { name: 'Nell Macrae', address: 'nell@halifax-pilots.example' };

const meeting = newEvent(
  {
    ...{ id: 'm', uid: 'm@quay.example', calendarId: 'work', title: 'Lamp; handover, №2' },
    start: zoned('25T09:00'),
    end: zoned('25T10:00'),
    organizer: nell,
    attendees: [
      {
        ...{ name: 'Robin', address: 'robin@quay.example', role: 'optional', answer: 'tentative' },
        parameters: { rsvp: 'TRUE', cutype: 'INDIVIDUAL', 'delegated-from': 'mailto:a@b.example' },
      },
    ],
  },
  0,
);

test.each<MailMethod>(['request', 'reply', 'cancel', 'counter', 'declineCounter'])(
  'a %s comes back as it was written',
  (method) => {
    const text = writeMessage({
      ...{ method, event: meeting, key: null, sequence: 3, line: 'Until then, N.\nPS', now: NOW },
    });
    expect(text).toContain(`METHOD:${method.toUpperCase()}`);
    const [message, ...more] = readMessages(text, NOW);
    expect(more).toEqual([]);
    expect(message).toMatchObject({
      ...{ method, uid: 'm@quay.example', time: null, sequence: 3, stamp: NOW },
      line: 'Until then, N.\nPS',
    });
    const { title, start, end, organizer, attendees } = message!.draft;
    expect({ title, start, end, organizer }).toEqual({
      ...{ title: meeting.title, start: meeting.start, end: meeting.end },
      organizer: { ...nell, parameters: { cn: nell.name } },
    });
    expect(attendees.map(({ role, answer }) => [role, answer])).toEqual([
      ['optional', 'tentative'],
    ]);
    expect(attendees[0]?.parameters).toMatchObject(meeting.attendees[0]!.parameters!);
  },
);

test('a plain calendar is no message', () => {
  const text = 'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nEND:VCALENDAR\r\n';
  expect(() => readMessages(text, NOW)).toThrow('This is a calendar, and no invitation');
});

test('a mail is read by others as it was meant, and its headers end where they should', async () => {
  const calendar = writeMessage({
    ...{ method: 'request', event: meeting, key: null, sequence: 0, line: '', now: NOW },
  });
  const subject = 'Invitation: Łódź – glass order review of the second quarter, № 2';
  const mail = writeMail(
    {
      ...{ id: 'x1', at: NOW, method: 'request', calendar, subject },
      from: { name: 'Robin "R" Ashdown\r\nBcc: spy@x.example', address: 'robin@quay.example' },
      to: [nell, { name: 'Jörg', address: 'joerg@quay.example>\r\nBcc: spy@x.example' }],
    },
    'In words — with a dash',
  );
  expect(mail.split('\r\n').every((line) => line.length <= 998)).toBe(true);
  const read = await PostalMime.parse(mail);
  expect(read.subject).toBe(subject);
  expect(read.headers.map(({ key }) => key)).not.toContain('bcc');
  expect(read.from?.address).toBe('robin@quay.example');
  expect(read.to?.map(({ name }) => name)).toEqual(['Nell Macrae', 'Jörg']);
  expect(read.text?.trim()).toBe('In words — with a dash');
  const part = read.attachments.find(({ mimeType }) => mimeType === 'text/calendar')!;
  // Readers of mail have lines end as they like.
  const carried = new TextDecoder().decode(part.content as ArrayBuffer);
  expect(carried.replaceAll(/\r?\n/g, '\r\n')).toBe(calendar);
  expect(Date.parse(read.date!)).toBe(NOW);
});

test('dates and words of headers', () => {
  expect(mailDate(NOW)).toBe('Tue, 24 Nov 2026 10:25:00 +0000');
  expect(headerText('Glass review')).toBe('Glass review');
  expect(headerText('é')).toBe('=?UTF-8?B?w6k=?=');
});

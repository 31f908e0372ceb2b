import type { AddressInfo } from 'node:net';
import type { Server } from 'node:http';
import express from 'express';
import PostalMime from 'postal-mime';
import { readMessages } from '../src/core/invitations/messages';
import { writeMail } from '../src/core/invitations/mime';
import { writeMessage } from '../src/core/invitations/write';
import type { CalendarEvent } from '../src/core/model/event';
import { newEvent } from '../src/core/model/event';
import type { MailMethod, MailParty } from '../src/core/model/mail';
import { DAY, MINUTE } from '../src/core/time/civil';
import { post } from './post';

const NOW = Date.parse('2026-11-24T10:25:00Z');
const BOX = 'a-box-of-a-test';
const OWN = { 'X-Orderly-Week': 'post' };
const robin = { name: 'Robin', address: 'robin@quay.example' };
const at = (name: string): MailParty => ({ name, address: `${name}@lantern-quay.example` });
const zoned = (local: string) => ({ kind: 'zoned', local, zone: 'Europe/London' }) as const;

let server: Server;
let base: string;
beforeEach(async () => {
  const app = express();
  app.use(
    '/post',
    post(() => Math.floor(NOW / DAY)),
  );
  server = app.listen(0);
  await new Promise((resolve) => server.once('listening', resolve));
  base = `http://localhost:${(server.address() as AddressInfo).port}/post`;
});
afterEach(() => new Promise((resolve) => server.close(resolve)));

const json = (body: unknown, headers: Record<string, string> = OWN) => ({
  method: 'POST',
  headers: { ...headers, 'Content-Type': 'application/json' },
  body: JSON.stringify(body),
});

let mails = 0;
interface Said {
  to: readonly MailParty[];
  method?: MailMethod;
  fields?: Partial<CalendarEvent>;
  sequence?: number;
  id?: string;
}

/** Sends what Robin asks for; Sunday is free for everybody, whatever they do on workdays. */
async function send({ to, method = 'request', fields, sequence = 0, id = `m${++mails}` }: Said) {
  const event = newEvent(
    {
      ...{ id: 'm', uid: 'm@quay.example', calendarId: 'work', title: 'Glass review' },
      start: zoned('2026-11-29T09:00:00'),
      end: zoned('2026-11-29T10:00:00'),
      organizer: robin,
      attendees: to.map((one) => ({ ...one, role: 'required', answer: 'none' })),
      ...fields,
    },
    0,
  );
  const calendar = writeMessage({ method, event, key: null, sequence, line: '', now: NOW });
  const letter = { id, from: robin, to: [...to], subject: 'Glass', at: NOW, method, calendar };
  const mime = writeMail(letter, 'Words');
  const answer = await fetch(`${base}/${BOX}`, json({ id, mime, now: NOW }));
  expect(answer.status).toBe(204);
}

/** What is in the box by then: who wrote, and what. */
async function inBox(after = 0): Promise<{ id: string; said: string; line: string }[]> {
  const answer = await fetch(`${base}/${BOX}?now=${NOW + after}`, { headers: OWN });
  const found = (await answer.json()) as { id: string; mime: string }[];
  return Promise.all(
    found.map(async ({ id, mime }) => {
      const mail = await PostalMime.parse(mime);
      const part = mail.attachments.find(({ mimeType }) => mimeType === 'text/calendar')!;
      const [message] = readMessages(new TextDecoder().decode(part.content as ArrayBuffer), NOW);
      const how = message!.draft.attendees[0]?.answer;
      const who = mail.from?.address?.split('@')[0];
      return { id, said: `${who}: ${message!.method} ${how}`, line: message!.line };
    }),
  );
}
const said = async (after = 0) => (await inBox(after)).map((mail) => mail.said);

test('each answers in their way: at once, late, not before being asked again, with another time', async () => {
  await send({ to: [at('ida'), at('oskar'), at('mei'), at('junia'), at('net-loft')] });
  expect(await said()).toEqual([
    ...['ida: reply accepted', 'junia: counter tentative', 'net-loft: reply accepted'],
  ]);
  expect(await said(20 * MINUTE)).toContain('oskar: reply accepted');
  await send({ to: [at('mei')] });
  expect(await said()).toContain('mei: reply accepted');
});

test('who has something else then declines, and says what they let be seen', async () => {
  // All that week Tomas is away on Thursday.
  const times = { start: zoned('2026-11-26T12:00:00'), end: zoned('2026-11-26T13:00:00') };
  await send({ to: [at('tomas')], fields: times });
  expect(await inBox()).toMatchObject([
    { said: 'tomas: reply declined', line: 'I have Away then.' },
  ]);
});

test('a mail is taken once, and what was fetched is taken away', async () => {
  await send({ to: [at('ida')], id: 'same' });
  await send({ to: [at('ida')], id: 'same' });
  const [only, ...more] = await inBox();
  expect(more).toEqual([]);
  await fetch(`${base}/${BOX}/${only!.id}`, { method: 'DELETE', headers: OWN });
  expect(await inBox()).toEqual([]);
});

test('the office asks to three things, changes one and calls a date off', async () => {
  await fetch(`${base}/${BOX}/begin`, json({ me: robin, now: NOW }));
  expect(await said()).toEqual([
    ...['ida: request none', 'nell: request none', 'tomas: request none'],
  ]);
  expect(await said(20 * MINUTE)).toEqual([
    ...['ida: request none', 'nell: request none', 'tomas: request none'],
    ...['nell: request none', 'tomas: cancel none'],
  ]);
});

test('another time is taken by Ida and kept by Tomas', async () => {
  const from = (name: string) => ({ to: [at(name)], fields: { organizer: at(name) } });
  const me = [{ ...robin, role: 'required' as const, answer: 'tentative' as const }];
  for (const name of ['ida', 'tomas'])
    await send({
      ...{ to: [at(name)], method: 'counter' },
      fields: { ...from(name).fields, attendees: me },
    });
  expect(await said()).toEqual(['ida: request none', 'tomas: declineCounter tentative']);
});

test('one box is not another’s, and only the app itself may ask', async () => {
  await send({ to: [at('ida')] });
  const other = await fetch(`${base}/another-box-of-it?now=${NOW}`, { headers: OWN });
  expect(await other.json()).toEqual([]);
  expect((await fetch(`${base}/${BOX}?now=${NOW}`)).status).toBe(403);
  const foreign = { ...OWN, 'Sec-Fetch-Site': 'cross-site' };
  expect((await fetch(`${base}/${BOX}/begin`, json({ me: robin, now: NOW }, foreign))).status).toBe(
    403,
  );
  expect((await fetch(`${base}/x`, { headers: OWN })).status).toBe(404);
});

test.each([
  ['nothing', {}, 400],
  ['no mail', { id: 'x', now: NOW }, 400],
  ['a mail whose calendar can’t be read', { id: 'x', now: NOW, mime: broken() }, 422],
])('%s is refused', async (_, body, status) => {
  expect((await fetch(`${base}/${BOX}`, json(body))).status).toBe(status);
});

test('a mail that is too large is refused', async () => {
  const mime = 'x'.repeat(1_300_000);
  expect((await fetch(`${base}/${BOX}`, json({ id: 'x', now: NOW, mime }))).status).toBe(413);
});

function broken(): string {
  const letter = { id: 'x', from: robin, to: [at('ida')], subject: 'x', at: NOW };
  return writeMail({ ...letter, method: 'request', calendar: 'BEGIN:VCALENDAR' }, 'x');
}

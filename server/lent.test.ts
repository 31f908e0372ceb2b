import express from 'express';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { readFeedEvents } from './testing/feedEvents';
import { parseDate } from '../src/core/time/civil';
import { Lent, lentPages } from './lent';
import { office } from './office';

const open: Server[] = [];
afterAll(() => open.forEach((server) => server.close()));

async function serve() {
  const today = () => parseDate('2026-11-24');
  const lent = new Lent(today);
  const app = express().use('/office', office(today, lent)).use(lentPages(lent));
  const server = app.listen(0);
  open.push(server);
  await new Promise((resolve) => server.once('listening', resolve));
  const origin = `http://localhost:${(server.address() as AddressInfo).port}`;
  const ask = (at: string, init: RequestInit = {}) =>
    fetch(new URL(at, origin), { redirect: 'manual', ...init });
  const events = async (id: string) => {
    const headers = { 'X-Orderly-Week': 'office' };
    return readFeedEvents(await (await ask(`/office/${id}.ics`, { headers })).text());
  };
  const send = (address: string, fields: Record<string, string>, site = 'same-origin') =>
    ask(address, {
      method: 'POST',
      headers: {
        'Content-Type': 'application/x-www-form-urlencoded',
        'Sec-Fetch-Site': site,
      },
      body: new URLSearchParams(fields).toString(),
    });
  return { ask, events, send };
}

/** The values that a form of a page begins with. */
const fieldsOf = (html: string) =>
  Object.fromEntries(
    [...html.matchAll(/name="(\w+)"[^>]*value="([^"]*)"/g)].map(([, name, value]) => [
      name!,
      value!.replaceAll('&quot;', '"'),
    ]),
  );

test('who lends their time tells of a page for each event, on which it is moved and removed', async () => {
  const { ask, events, send } = await serve();
  const first = (await events('mei')).find(({ start }) => start > '2026-11-24')!;
  expect(new URL(first.link).pathname).toBe('/lent/mei/change');
  const form = fieldsOf(await (await ask(first.link)).text());
  const moved = { start: '2026-12-02T16:00', end: '2026-12-02T16:45' };
  const sent = await send('/lent/mei/change', { ...form, ...moved, by: 'Robin', do: 'change' });
  expect(await sent.text()).toContain(`“${first.title}” is changed.`);
  const there = (await events('mei')).find(({ uid }) => uid === first.uid)!;
  expect(there).toEqual({ ...first, start: '2026-12-02T16:00:00' });

  const again = fieldsOf(await (await ask(first.link)).text());
  await send('/lent/mei/change', { ...again, by: 'Robin', do: 'remove' });
  expect((await events('mei')).map(({ uid }) => uid)).not.toContain(first.uid);
});

test('nobody else’s time is changed, nor from another page, nor into nonsense', async () => {
  const { ask, events, send } = await serve();
  expect((await events('ida')).map(({ link }) => link).join('')).toBe('');
  for (const at of ['/lent/ida/change', '/lent/ida', '/lent/nobody/change'])
    expect((await ask(at)).status).toBe(404);
  const first = (await events('mei')).find(({ start }) => start > '2026-11-24')!;
  const form = fieldsOf(await (await ask(first.link)).text());
  const all = { ...form, by: 'Robin', do: 'remove' };
  expect((await send('/lent/mei/change', all, 'cross-site')).status).toBe(403);
  const late = await send('/lent/mei/change', { ...all, do: 'change', end: '2026-11-01T09:00' });
  expect(late.status).toBe(400);
  expect((await events('mei')).find(({ uid }) => uid === first.uid)).toEqual(first);
});

import express from 'express';
import type { AddressInfo } from 'node:net';
import type { Server } from 'node:http';
import { outbox } from './outbox';

const open: Server[] = [];
afterAll(() => open.forEach((server) => server.close()));

async function serve() {
  const app = express().use(
    '/outbox',
    outbox(false, () => 7),
  );
  const server = app.listen(0);
  open.push(server);
  await new Promise((resolve) => server.once('listening', resolve));
  const { port } = server.address() as AddressInfo;
  return (at: string, { headers, ...init }: RequestInit = {}) =>
    fetch(`http://localhost:${port}/outbox${at}`, {
      ...init,
      headers: { 'X-Orderly-Week': 'outbox', 'Content-Type': 'application/json', ...headers },
    });
}

const message = (id: string) => ({
  id,
  how: 'mail',
  to: 'office@quay.example',
  at: 1,
  subject: 'Lamp check',
  text: 'Lamp check',
});
const put = (id: string, body: object = message(id)) => ({
  method: 'PUT',
  body: JSON.stringify(body),
});

test('keeps what it takes, once each, the newest first, for each store apart', async () => {
  const ask = await serve();
  expect((await ask('/own/a', put('a'))).status).toBe(204);
  expect((await ask('/own/a', put('a', { ...message('a'), text: 'again' }))).status).toBe(204);
  await ask('/own/b%231', put('b#1'));
  expect(await (await ask('/own')).json()).toEqual([
    { ...message('b#1'), sent: 7 },
    { ...message('a'), sent: 7 },
  ]);
  expect(await (await ask('/demo')).json()).toEqual([]);
  await ask('/own', { method: 'DELETE' });
  expect(await (await ask('/own')).json()).toEqual([]);
});

test('of very many the oldest are let go', async () => {
  const ask = await serve();
  for (let i = 0; i < 203; i++) await ask(`/own/m${i}`, put(`m${i}`));
  const kept = (await (await ask('/own')).json()) as { id: string }[];
  expect([kept.length, kept[0]!.id, kept.at(-1)!.id]).toEqual([200, 'm202', 'm3']);
});

test('what is no message, of no store, or not from the app is refused', async () => {
  const ask = await serve();
  expect((await ask('/own/a', put('a', { id: 'a' }))).status).toBe(400);
  expect((await ask('/own/b', put('b', message('a')))).status).toBe(400);
  expect((await ask('/other')).status).toBe(404);
  expect((await ask('/own', { headers: { 'Sec-Fetch-Site': 'cross-site' } })).status).toBe(403);
});

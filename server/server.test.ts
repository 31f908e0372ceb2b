import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import type { Server } from 'node:http';
import { get } from 'node:http';
import { createApp } from './app';
import { listen } from './listen';
import type { Store } from './store/store';
import { openStore } from './store/store';

const folder = mkdtempSync(path.join(tmpdir(), 'orderly-'));
mkdirSync(path.join(folder, '_expo'));
writeFileSync(
  path.join(folder, 'index.html'),
  '<meta name="orderly-week-store" content="own" /><p>app</p>',
);
writeFileSync(path.join(folder, '_expo', 'entry-1.js'), '1');
writeFileSync(path.join(folder, '_expo', 'entry-2.js'), '2');
writeFileSync(path.join(folder, '_expo', 'entry-2.js.br'), brotliCompressSync('2'));

const open: Server[] = [];
let store: Store;
beforeAll(async () => {
  store = await openStore(':memory:');
});
afterAll(() => open.forEach((server) => server.close()));

async function serve(first: 'own' | 'demo') {
  const { server, port } = await listen(createApp(folder, first, { store }), '0');
  open.push(server);
  const { port: given } = server.address() as AddressInfo;
  expect(port).toBe(0);
  return (at: string, init?: RequestInit) => fetch(`http://localhost:${given}${at}`, init);
}

test('every page is the app, and says which store is opened first', async () => {
  const get = await serve('demo');
  for (const at of ['/', '/calendars', '/no/such/page']) {
    const page = await get(at);
    expect(page.status).toBe(200);
    expect(await page.text()).toContain('content="demo"');
  }
});

test('only the app’s own origin may run, and hashed files are kept for good', async () => {
  const get = await serve('own');
  const page = await get('/');
  const policy = page.headers.get('content-security-policy')!;
  expect(policy).toContain("default-src 'none'");
  expect(policy).toContain("script-src 'self';");
  expect(policy).not.toMatch(/https?:|\*|unsafe-eval/);
  expect(page.headers.get('x-content-type-options')).toBe('nosniff');
  expect((await get('/_expo/entry-1.js')).headers.get('cache-control')).toContain('immutable');
  // Sent as it was compressed when it was built, to who takes it so.
  const sent = await get('/_expo/entry-2.js', { headers: { 'accept-encoding': 'br, gzip' } });
  expect(sent.headers.get('content-encoding')).toBe('br');
  expect(sent.headers.get('cache-control')).toContain('immutable');
  expect(await sent.text()).toBe('2');
});

test('a file that is not there is not answered with the page', async () => {
  const get = await serve('own');
  expect((await get('/missing.js')).status).toBe(404);
});

test('only this machine is listened to, by its own names', async () => {
  const { server } = await listen(
    createApp(folder, 'own', { store, names: ['Quay.example'] }),
    '0',
  );
  open.push(server);
  const { address, port } = server.address() as AddressInfo;
  expect(address).toBe('127.0.0.1');
  const ask = (host: string) =>
    new Promise<number | undefined>((resolve) => {
      get({ host: '127.0.0.1', port, headers: { Host: host } }, (answer) => {
        answer.resume();
        resolve(answer.statusCode);
      });
    });
  for (const host of [`localhost:${port}`, '127.0.0.1', 'quay.example'])
    expect([host, await ask(host)]).toEqual([host, 200]);
  for (const host of ['harbour.example', 'localhost.harbour.example', '10.0.0.1'])
    expect([host, await ask(host)]).toEqual([host, 421]);
});

test('what can’t be read is the asker’s fault, and told without a stack and a path', async () => {
  const ask = await serve('own');
  const own = { 'X-Orderly-Week': 'test', 'Content-Type': 'application/json' };
  const put = (more: RequestInit) => ({ method: 'PUT', headers: own, ...more });
  const charset = { ...own, 'Content-Type': 'application/json; charset=klingon' };
  const bad: [string, RequestInit][] = [
    ['/%E0%A4%A', {}],
    [`/shares/${'a'.repeat(32)}`, put({ body: '{"a' })],
    [`/shares/${'a'.repeat(32)}`, put({ body: '{}', headers: charset })],
    [`/shares/${'a'.repeat(32)}`, put({ body: JSON.stringify({ days: 'none' }) })],
    ['/shared/%ff/change', { method: 'POST', body: 'a=%' }],
    ['/outbox/own/x', put({ body: 'null' })],
  ];
  for (const [at, init] of bad) {
    const answer = await ask(at, init);
    expect([at, answer.status >= 400 && answer.status < 500]).toEqual([at, true]);
    expect(await answer.text()).not.toMatch(/node_modules|\.ts/);
  }
});

test('where other machines reach the server, a browser’s own things need its secret', async () => {
  const app = createApp(folder, 'demo', { store, isOpen: true });
  const { server } = await listen(app, '0');
  open.push(server);
  const { port } = server.address() as AddressInfo;
  const ask = (at: string, more: Record<string, string> = {}) =>
    fetch(`http://localhost:${port}${at}`, { headers: { 'X-Orderly-Week': 'x', ...more } });
  const own = { 'X-Orderly-Browser': 'one-browser-and-no-other' };
  for (const at of ['/outbox/own', '/lent/mei/change']) {
    expect([at, (await ask(at)).status]).toEqual([at, 403]);
    expect([at, (await ask(at, own)).status]).toEqual([at, 200]);
  }
});

test('a taken port and a bad one are told', async () => {
  const taken = createServer();
  await new Promise<void>((resolve) => taken.listen(0, '127.0.0.1', resolve));
  const { port } = taken.address() as AddressInfo;
  await expect(listen(createApp(folder, 'own', { store }), String(port))).rejects.toThrow(
    `Port ${port} is taken`,
  );
  await expect(listen(createApp(folder, 'own', { store }), 'harbour')).rejects.toThrow(
    'not a port number',
  );
  taken.close();
});

import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Server } from 'node:http';
import { get } from 'node:http';
import { createApp } from './app';
import { listen } from './listen';

const folder = mkdtempSync(path.join(tmpdir(), 'orderly-'));
mkdirSync(path.join(folder, '_expo'));
writeFileSync(
  path.join(folder, 'index.html'),
  '<meta name="orderly-week-store" content="own" /><p>app</p>',
);
writeFileSync(path.join(folder, '_expo', 'entry-1.js'), '1');

const open: Server[] = [];
afterAll(() => open.forEach((server) => server.close()));

async function serve(first: 'own' | 'demo') {
  const { server, port } = await listen(createApp(folder, first), '0');
  open.push(server);
  const { port: given } = server.address() as AddressInfo;
  expect(port).toBe(0);
  return (at: string) => fetch(`http://localhost:${given}${at}`);
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
});

test('a file that is not there is not answered with the page', async () => {
  const get = await serve('own');
  expect((await get('/missing.js')).status).toBe(404);
});

test('only this machine is listened to, by its own names', async () => {
  const { server } = await listen(createApp(folder, 'own', undefined, ['Quay.example']), '0');
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

test('what goes wrong inside is said without a stack and a path', async () => {
  const get = await serve('own');
  const logged = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const answer = await get('/%E0%A4%A');
  expect([answer.status >= 400, await answer.text()]).toEqual([true, 'Something went wrong here.']);
  expect(logged).toHaveBeenCalledTimes(1);
  logged.mockRestore();
});

test('a taken port and a bad one are told', async () => {
  const taken = createServer();
  await new Promise<void>((resolve) => taken.listen(0, '127.0.0.1', resolve));
  const { port } = taken.address() as AddressInfo;
  await expect(listen(createApp(folder, 'own'), String(port))).rejects.toThrow(
    `Port ${port} is taken`,
  );
  await expect(listen(createApp(folder, 'own'), 'harbour')).rejects.toThrow('not a port number');
  taken.close();
});

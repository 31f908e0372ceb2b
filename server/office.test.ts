import express from 'express';
import type { AddressInfo } from 'node:net';
import type { Server } from 'node:http';
import { OFFICE } from '../demo/office';
import { readFreeBusy } from '../src/core/files/ics/freeBusy';
import { directory } from '../src/core/people/directory';
import { parseDate } from '../src/core/time/civil';
import { office } from './office';

const open: Server[] = [];
afterAll(() => open.forEach((server) => server.close()));

async function serve() {
  const app = express().use(
    '/office',
    office(() => parseDate('2026-11-24')),
  );
  const server = app.listen(0);
  open.push(server);
  await new Promise((resolve) => server.once('listening', resolve));
  const { port } = server.address() as AddressInfo;
  return (at: string, headers: Record<string, string> = { 'X-Orderly-Week': 'office' }) =>
    fetch(`http://localhost:${port}/office${at}`, { headers });
}

test('its directory tells who is there, and nothing of what was noted of them', async () => {
  const ask = await serve();
  const told: unknown = await (await ask('/directory')).json();
  expect(directory.parse(told)).toHaveLength(OFFICE.length);
  expect(JSON.stringify(told)).not.toContain('first name');
});

test('each tells their time as far as they let it be seen', async () => {
  const ask = await serve();
  const textOf = async (id: string) => (await ask(`/${id}.ics`)).text();
  const [ida, tomas, junia] = await Promise.all(['ida', 'tomas', 'junia'].map(textOf));
  expect(ida).toContain('SUMMARY:Lens fitting');
  expect(ida).toContain('LOCATION:Bench hall');
  expect(ida).not.toContain('Dentist');
  expect(ida).toContain('SUMMARY:Private');
  expect(tomas).toContain('SUMMARY:Ledger');
  expect(tomas).not.toContain('DESCRIPTION');
  expect(junia).not.toContain('VEVENT');
  const busy = readFreeBusy(junia!)!;
  expect(busy.length).toBeGreaterThan(20);
  expect(new Set(busy.map(({ taken }) => taken))).toEqual(new Set(['busy', 'tentative']));
});

test('the same days are planned the same whenever it is asked', async () => {
  const ask = await serve();
  const busyOf = async () => readFreeBusy(await (await ask('/nell.ics')).text());
  expect(await busyOf()).toEqual(await busyOf());
});

test('nobody else is told, and nobody is there by another name', async () => {
  const ask = await serve();
  expect((await ask('/ida.ics', {})).status).toBe(403);
  expect((await ask('/directory', {})).status).toBe(403);
  const missing = await ask('/__proto__.ics');
  expect(missing.status).toBe(404);
  expect(await missing.text()).toBe('There is nobody of that name in the office.');
});

import type { AddressInfo } from 'node:net';
import type { Server } from 'node:http';
import express from 'express';
import { rooms } from './rooms';

const OWN = { 'X-Orderly-Week': 'rooms', 'Content-Type': 'application/json' };
let server: Server;
let at: string;

beforeEach(async () => {
  server = express().use(rooms()).listen(0);
  await new Promise((resolve) => server.once('listening', resolve));
  at = `http://localhost:${(server.address() as AddressInfo).port}`;
});
afterEach(() => new Promise((resolve) => server.close(resolve)));

const given = async (): Promise<string> => {
  const response = await fetch(`${at}/rooms`, { method: 'POST', headers: OWN });
  return ((await response.json()) as { name: string }).name;
};
const tell = (name: string, meeting: unknown, headers: Record<string, string> = OWN) =>
  fetch(`${at}/rooms/${name}`, { method: 'PUT', headers, body: JSON.stringify(meeting) });

test('gives each meeting a room of its own, whose page says who would be there', async () => {
  const [one, other] = [await given(), await given()];
  expect(one).not.toBe(other);
  const meeting = { title: 'Lens order', when: 'Tue 24 Nov, 11:00', people: ['Ida Solberg'] };
  expect((await tell(one, meeting)).status).toBe(204);
  const page = await (await fetch(`${at}/room/${one}`)).text();
  expect(page).toContain('<h1>Lens order</h1>');
  expect(page).toContain('Tue 24 Nov, 11:00');
  expect(page).toContain('<li>Ida Solberg</li>');
  expect(await (await fetch(`${at}/room/${other}`)).text()).toContain('Nobody was named');
});

test('runs nothing of what it is told', async () => {
  const name = await given();
  const bad = '<script>alert(1)</script>';
  await tell(name, { title: bad, when: bad, people: [`"><img src=x onerror=alert(1)>`] });
  const page = await (await fetch(`${at}/room/${name}`)).text();
  expect(page).not.toContain('<script>');
  expect(page).not.toContain('<img');
  expect(page).toContain('&lt;script&gt;');
});

test('takes nothing that is no meeting, and nothing from other pages', async () => {
  const name = await given();
  expect((await tell(name, { title: 1 })).status).toBe(400);
  expect((await tell('no', { title: '', when: '', people: [] })).status).toBe(400);
  const from = { 'Content-Type': 'application/json' };
  expect((await tell(name, { title: '', when: '', people: [] }, from)).status).toBe(403);
  expect((await fetch(`${at}/rooms`, { method: 'POST' })).status).toBe(403);
  expect((await fetch(`${at}/room/no`)).status).toBe(404);
});

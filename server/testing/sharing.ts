import express from 'express';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { SharedCopy } from '../../src/core/people/shared';
import type { SharedChange } from '../../src/core/people/sharedChange';
import { tokenFor } from '../../src/core/people/shareToken';
import { shares } from '../shares';
import { openStore } from '../store/store';

const open: Server[] = [];
afterAll(() => open.forEach((server) => server.close()));

export const KEY = 'k'.repeat(24);
export const TOKEN = tokenFor(KEY);
export const COPY: SharedCopy = {
  name: 'Workshop',
  zone: 'London',
  expires: null,
  calendar: 'BEGIN:VCALENDAR\r\nEND:VCALENDAR\r\n',
  freeBusy: 'BEGIN:VCALENDAR\r\nBEGIN:VFREEBUSY\r\nEND:VFREEBUSY\r\nEND:VCALENDAR\r\n',
  days: [{ name: 'Tuesday', lines: [{ when: '09:00 – 10:00', title: 'Lamps', place: 'Bench 2' }] }],
  changing: null,
};

/** What the app says of itself when it asks about a share. */
export const addressedTo = (key: string) => ({
  headers: { 'X-Orderly-Week': 'shares', 'X-Share-Key': key, 'Content-Type': 'application/json' },
});

/** A server of shares, asked as the app and as a reader's browser ask it. */
export async function serve(clock = { now: 1000 }, url = ':memory:') {
  const store = await openStore(url);
  const app = express().use(shares(store, () => clock.now));
  const server = app.listen(0);
  open.push(server);
  await new Promise((resolve) => server.once('listening', resolve));
  const { port } = server.address() as AddressInfo;
  const ask = (at: string, { headers, ...init }: RequestInit = {}) =>
    fetch(`http://localhost:${port}${at}`, {
      redirect: 'manual',
      ...init,
      headers: { ...headers },
    });
  const publish = (copy: object, key = KEY, token = TOKEN) =>
    ask(`/shares/${token}`, {
      method: 'PUT',
      ...addressedTo(key),
      body: JSON.stringify({ ...COPY, ...copy }),
    });
  /** Sends a form as a browser does that has no script. */
  const send = (fields: object, headers: Record<string, string> = {}) =>
    ask(`/shared/${TOKEN}/change`, {
      method: 'POST',
      headers: { ...headers, 'Content-Type': 'application/x-www-form-urlencoded' },
      body: new URLSearchParams(fields as Record<string, string>).toString(),
    });
  const waiting = async (now = 0) =>
    (await (
      await ask(`/shares/${TOKEN}/changes?now=${now}`, addressedTo(KEY))
    ).json()) as SharedChange[];
  const stop = () => {
    server.close();
    store.close();
  };
  return { ask, publish, send, waiting, clock, stop };
}

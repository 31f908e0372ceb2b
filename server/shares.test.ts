import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { tokenFor } from '../src/core/people/shareToken';
import { ROOM } from './store/shareStore';
import { addressedTo, COPY, KEY, serve, TOKEN } from './testing/sharing';

test('what is published is read at its address, as a page and as files', async () => {
  const { ask, publish } = await serve();
  expect((await publish(COPY)).status).toBe(200);
  const page = await ask(`/shared/${TOKEN}`);
  expect(page.headers.get('content-type')).toContain('text/html');
  expect(page.headers.get('cache-control')).toBe('no-store');
  const text = await page.text();
  expect(text).toContain('<h1>Workshop</h1>');
  expect(text).toContain('Times by the clock of London.');
  expect(text).toContain('Bench 2');
  expect(text).toContain(`href="/shared/${TOKEN}/calendar.ics"`);
  expect(text).not.toContain('<script');
  expect(await (await ask(`/shared/${TOKEN}/calendar.ics`)).text()).toBe(COPY.calendar);
  expect(await (await ask(`/shared/${TOKEN}/busy.ics`)).text()).toBe(COPY.freeBusy);
});

test('names and titles are text, whatever stands in them', async () => {
  const { ask, publish } = await serve();
  const bad = '<script>alert(1)</script><img src=x onerror="alert(2)">';
  await publish({
    ...COPY,
    name: bad,
    days: [{ name: bad, lines: [{ when: bad, title: bad, place: bad }] }],
  });
  const text = await (await ask(`/shared/${TOKEN}`)).text();
  expect(text).not.toMatch(/<script|<img/);
  expect(text).toContain('&lt;script&gt;');
});

test('where only taken time is seen, there is no calendar', async () => {
  const { ask, publish } = await serve();
  await publish({ ...COPY, calendar: null });
  expect((await ask(`/shared/${TOKEN}/calendar.ics`)).status).toBe(404);
  expect(await (await ask(`/shared/${TOKEN}`)).text()).toContain(`/shared/${TOKEN}/busy.ics`);
});

test('what is ended, over or never was is told alike, and nothing is listed', async () => {
  const { ask, publish, clock } = await serve();
  await publish({ ...COPY, expires: 2000 });
  expect((await ask(`/shared/${TOKEN}`)).status).toBe(200);
  clock.now = 2000;
  const said = await Promise.all(
    [
      `/shared/${TOKEN}`,
      `/shared/${TOKEN}/busy.ics`,
      `/shared/${'b'.repeat(24)}`,
      '/shared/__proto__',
    ].map(async (at) => {
      const response = await ask(at);
      return [response.status, await response.text()];
    }),
  );
  expect(new Set(said.map(String))).toEqual(
    new Set(['404,There is nothing shared here, or not any more.']),
  );
  await publish(COPY);
  await ask(`/shares/${TOKEN}`, {
    method: 'DELETE',
    headers: { 'X-Orderly-Week': 'shares', 'X-Share-Key': KEY },
  });
  expect((await ask(`/shared/${TOKEN}`)).status).toBe(404);
  for (const at of ['/shares', '/shared', '/shares/', '/shared/'])
    expect((await ask(at)).status).toBe(404);
});

test('only who published it may change or end it, and no other page', async () => {
  const { ask, publish } = await serve();
  await publish(COPY);
  const other = 'o'.repeat(24);
  expect((await publish({ ...COPY, name: 'Theirs' }, other)).status).toBe(400);
  await ask(`/shares/${TOKEN}`, {
    method: 'DELETE',
    headers: { 'X-Orderly-Week': 'shares', 'X-Share-Key': other },
  });
  expect(await (await ask(`/shared/${TOKEN}`)).text()).toContain('<h1>Workshop</h1>');
  const foreign = await ask(`/shares/${TOKEN}`, {
    method: 'PUT',
    headers: { 'X-Share-Key': KEY, 'Content-Type': 'application/json' },
    body: JSON.stringify(COPY),
  });
  expect(foreign.status).toBe(403);
});

test('what can be guessed, is no copy, or is too large is not taken', async () => {
  const { publish } = await serve();
  expect((await publish(COPY, KEY, 'short')).status).toBe(400);
  expect((await publish(COPY, 'o'.repeat(24))).status).toBe(400);
  expect((await publish(COPY, 'short')).status).toBe(400);
  expect((await publish({ ...COPY, days: 'many' })).status).toBe(400);
  expect((await publish({ ...COPY, freeBusy: 'x'.repeat(9e6) })).status).toBe(413);
});

test('nobody but who has its key publishes at an address, also after it was ended', async () => {
  const { ask, publish } = await serve();
  const foreign = 'f'.repeat(24);
  expect((await publish(COPY, foreign)).status).toBe(400);
  await publish(COPY);
  await ask(`/shares/${TOKEN}`, { method: 'DELETE', ...addressedTo(KEY) });
  expect((await publish({ ...COPY, name: 'Taken over' }, foreign)).status).toBe(400);
  expect((await ask(`/shared/${TOKEN}`)).status).toBe(404);
  expect((await publish(COPY)).status).toBe(200);
});

test('what others publish pushes nothing out: each has room of their own', async () => {
  const { ask, publish } = await serve();
  await publish(COPY);
  const answers: number[] = [];
  for (let n = 0; n < 500; n++) {
    const key = `foreign-publisher-${String(n).padStart(6, '0')}`;
    const { status } = await ask(`/shares/${tokenFor(key)}`, {
      method: 'PUT',
      headers: { ...addressedTo(key).headers, 'X-Share-Publisher': 'somebody-else-entirely' },
      body: JSON.stringify(COPY),
    });
    answers.push(status);
  }
  expect(answers.filter((status) => status === 200)).toHaveLength(ROOM.publisher.shares);
  expect(answers.filter((status) => status === 507)).toHaveLength(500 - ROOM.publisher.shares);
  expect((await ask(`/shared/${TOKEN}`)).status).toBe(200);
  expect((await publish({ ...COPY, name: 'Changed' })).status).toBe(200);
});

test('a share, and what a colleague changed of it, are there after the server was started again', async () => {
  const url = `file:${path.join(mkdtempSync(path.join(tmpdir(), 'shares-')), 'test.db')}`;
  const clock = { now: 1000 };
  const base = {
    title: 'Lamps',
    place: '',
    start: '2026-11-24T14:00:00',
    end: '2026-11-24T15:00:00',
  };
  const line = {
    ...{ when: '14:00', title: 'Lamps', place: '' },
    change: { of: { eventId: 'lamps', key: null }, base },
  };
  const copy = {
    days: [{ name: 'Tuesday', lines: [line] }],
    changing: { zone: 'Europe/London', who: null, made: 0, invitations: [] },
  };
  const first = await serve(clock, url);
  await first.publish(copy);
  const form = { event: 'lamps', key: '', base: JSON.stringify(base), by: 'Ida', do: 'change' };
  const to = {
    title: 'Lamps',
    place: 'Bench 3',
    start: '2026-11-24T14:00',
    end: '2026-11-24T15:00',
  };
  expect((await first.send({ ...form, ...to })).status).toBe(303);
  const [before] = await first.waiting();
  first.stop();
  const again = await serve(clock, url);
  expect(await (await again.ask(`/shared/${TOKEN}`)).text()).toContain('Ida: Lamps');
  expect(await again.waiting()).toEqual([before]);
  // Refused by the app, it is told to who sent it.
  await again.ask(`/shares/${TOKEN}/changes/${before!.id}?refused=It+was+moved.`, {
    method: 'DELETE',
    ...addressedTo(KEY),
  });
  expect(await again.waiting()).toEqual([]);
  expect(await (await again.ask(`/shared/${TOKEN}`)).text()).toContain('Ida: Lamps: It was moved.');
  again.stop();
});

test('the app is told which copy lies at an address; nobody else is', async () => {
  const { ask, publish } = await serve();
  const sent = await (await publish(COPY)).json();
  expect(await (await ask(`/shares/${TOKEN}`, addressedTo(KEY))).json()).toEqual(sent);
  expect(await (await publish({ ...COPY, name: 'Other' })).json()).not.toEqual(sent);
  expect((await ask(`/shares/${TOKEN}`, addressedTo('x'.repeat(24)))).status).toBe(404);
});

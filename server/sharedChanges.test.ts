import { addressedTo, KEY, serve, TOKEN } from './testing/sharing';

const BASE = {
  title: 'Lamps',
  place: 'Bench 2',
  start: '2026-11-24T14:00:00',
  end: '2026-11-24T15:00:00',
};
const LINE = {
  ...{ when: '14:00 – 15:00', title: 'Lamps', place: 'Bench 2' },
  change: { of: { eventId: 'lamps', key: null }, base: BASE },
};
const BEGUN = Date.UTC(2026, 10, 24, 10);
const COPY = {
  days: [
    { name: 'Tuesday', lines: [LINE, { when: '16:00 – 17:00', title: 'Private', place: '' }] },
  ],
  changing: { zone: 'Europe/London', who: null, made: BEGUN, invitations: [] as object[] },
};
const IDA = { name: 'Ida Solberg', address: 'ida@lantern-quay.example' };
const FORM = {
  ...{ event: 'lamps', key: '', base: JSON.stringify(BASE), by: 'Ida', do: 'change' },
  ...{ title: 'Lamps', place: 'Bench 3', start: '2026-11-24T14:00', end: '2026-11-24T15:30' },
};

test('a page that may be changed has a form for what is not private, and what is sent waits for the app', async () => {
  const { ask, publish, send, waiting } = await serve();
  await publish(COPY);
  const page = await (await ask(`/shared/${TOKEN}`)).text();
  expect(page.match(/aria-label="Change [^"]*"/g)).toEqual(['aria-label="Change Lamps"']);
  const form = await (await ask(`/shared/${TOKEN}/change?event=lamps&key=`)).text();
  expect(form).toContain('value="2026-11-24T14:00"');
  expect((await send(FORM)).status).toBe(303);
  const [change] = await waiting();
  expect(change).toEqual({
    ...{ id: expect.any(String), by: 'Ida', zone: 'Europe/London', kind: 'change' },
    ...{ of: LINE.change.of, base: BASE },
    to: { ...BASE, place: 'Bench 3', end: '2026-11-24T15:30:00' },
  });
  expect(await (await ask(`/shared/${TOKEN}`)).text()).toContain('Ida: Lamps');
  // Published anew it waits still; taken in, it does not.
  await publish(COPY);
  expect(await waiting()).toHaveLength(1);
  await ask(`/shares/${TOKEN}/changes/${change!.id}`, { method: 'DELETE', ...addressedTo(KEY) });
  expect(await waiting()).toEqual([]);
});

test('what can’t be is told in the form, with what was typed still there', async () => {
  const { publish, send, waiting } = await serve();
  await publish(COPY);
  const told = async (fields: object) => {
    const answer = await send({ ...FORM, ...fields });
    expect(answer.status).toBe(400);
    return answer.text();
  };
  const early = await told({ end: '2026-11-24T13:00' });
  expect(early).toContain('Its end has to lie after its start.');
  expect(early).toContain('value="Bench 3"');
  expect(await told({ title: ' ' })).toContain('It needs a title.');
  expect(await told({ by: '' })).toContain('Say who you are.');
  expect(await told({ title: '<b>"x"', start: 'soon' })).toContain('&lt;b&gt;&quot;x&quot;');
  expect(await waiting()).toEqual([]);
});

test('an event is added or removed, and whole days end by their last day', async () => {
  const { publish, send, waiting } = await serve();
  await publish(COPY);
  await send({ ...FORM, do: 'remove' });
  const { event: _e, base: _b, ...rest } = FORM;
  await send({ ...rest, do: 'add', title: 'Fair' });
  const days = { ...BASE, start: '2026-11-24T00:00:00', end: '2026-11-25T00:00:00' };
  await send({ ...FORM, base: JSON.stringify(days), start: '2026-11-26', end: '2026-11-27' });
  expect(await waiting()).toMatchObject([
    { kind: 'remove', of: LINE.change.of, base: BASE },
    { kind: 'add', to: { title: 'Fair', start: '2026-11-24T14:00:00' } },
    { kind: 'change', to: { start: '2026-11-26T00:00:00', end: '2026-11-28T00:00:00' } },
  ]);
});

test('nobody changes what is only read, comes from another page, or fills it up', async () => {
  const { ask, publish, send, waiting } = await serve();
  await publish({ ...COPY, changing: null });
  expect((await send(FORM)).status).toBe(404);
  expect((await ask(`/shared/${TOKEN}/change`)).status).toBe(404);
  await publish(COPY);
  expect((await send(FORM, { 'Sec-Fetch-Site': 'cross-site' })).status).toBe(403);
  expect(await waiting()).toEqual([]);
  for (let n = 0; n < 100; n++) await send(FORM);
  expect((await send(FORM)).status).toBe(429);
  // Whoever has no key learns nothing of it, and takes nothing away.
  const url = `/shares/${TOKEN}/changes`;
  expect(await (await ask(url, addressedTo('x'.repeat(24)))).json()).toEqual([]);
  expect((await ask(url)).status).toBe(403);
  expect(await waiting()).toHaveLength(100);
  await publish({ ...COPY, changing: null });
  expect(await waiting()).toEqual([]);
});

test('a colleague of the office whom it is shared with moves the next event once, and answers where they may', async () => {
  const { publish, waiting } = await serve();
  const asked = { uid: 'u', key: null, title: 'Fitting', when: 'Thu', who: 'Mei' };
  await publish({ ...COPY, changing: { ...COPY.changing, who: IDA, invitations: [asked] } });
  expect(await waiting(BEGUN + 60_000)).toEqual([]);
  const later = BEGUN + 15 * 60_000;
  expect(await waiting(later)).toMatchObject([
    {
      by: IDA.name,
      kind: 'change',
      to: { start: '2026-11-24T14:30:00', end: '2026-11-24T15:30:00' },
    },
    { by: IDA.name, kind: 'answer', uid: 'u', answer: 'accepted' },
  ]);
  expect(await waiting(later + 60_000)).toHaveLength(2);
});

test('a time that clocks pass over is refused in the form, in words', async () => {
  const { publish, send, waiting } = await serve();
  await publish(COPY);
  const answer = await send({ ...FORM, start: '2027-03-28T01:30', end: '2027-03-28T03:00' });
  expect(answer.status).toBe(400);
  expect(await answer.text()).toContain('that time does not exist');
  expect(await waiting()).toEqual([]);
});

test.each([
  ['an event that the page does not show', { event: 'other' }],
  ['a date that it does not show', { key: '2026-11-24T14:00:00' }],
  ['an invitation that it does not show', { uid: 'u', do: 'accepted' }],
])('%s is not there to be changed', async (_, fields) => {
  const { publish, send, waiting } = await serve();
  await publish(COPY);
  expect((await send({ ...FORM, ...fields })).status).toBe(404);
  expect(await waiting()).toEqual([]);
});

test('a form of another origin is refused, also by a browser that says no more than that', async () => {
  const { ask, publish, send, waiting } = await serve();
  await publish(COPY);
  const here = new URL((await ask('/')).url).origin;
  expect((await send(FORM, { Origin: 'https://elsewhere.example' })).status).toBe(403);
  expect((await send(FORM, { Origin: 'null' })).status).toBe(403);
  expect((await send(FORM, { Origin: here })).status).toBe(303);
  expect(await waiting()).toHaveLength(1);
});

import fc from 'fast-check';
import { revised } from '@/core/model/event';
import { readMessages } from '@/core/invitations/messages';
import { calendar, done, fileOf, NOW, zoned } from './testing/opened';

import type { Said } from './testing/office';
import { robin, ida, tomas, MANNER, office, open, events, asked } from './testing/office';

test('an invitation lies on the sheet as unanswered, takes no time, and is answered', async () => {
  const { engine, sent } = await office();
  const came = await open(engine, { method: 'request' });
  expect(came).toEqual({ did: ['Ida Solberg invites you to “Lens trial”'], problems: [] });
  const [row] = asked(engine);
  expect(row).toMatchObject({ title: 'Lens trial', from: ida, state: 'open', answer: 'none' });
  expect(row?.when).toBe('Wed 25 Nov, 09:00 – 10:00');
  const id = row!.eventId!;
  expect(engine.queries.event(id)).toMatchObject({ availability: 'free', invited: 'unanswered' });

  const answer = { kind: 'answerInvitation', uid: row!.uid, key: null } as const;
  await done(engine, { ...answer, answer: 'accepted', line: 'With the green lens.' });
  expect(engine.queries.event(id)).toMatchObject({ availability: 'busy', invited: 'answered' });
  expect(asked(engine)[0]).toMatchObject({ state: 'answered', answer: 'accepted' });

  await engine.invitations.sync(MANNER);
  const [mail] = sent;
  expect(mail?.mime).toContain('To: "Ida Solberg" <ida@quay.example>');
  const [history] = engine.invitations.guestNews(id, MANNER)!.history;
  const [reply] = readMessages(engine.invitations.calendarFile(history!.id)!, NOW);
  expect(reply).toMatchObject({ method: 'reply', sequence: 0, line: 'With the green lens.' });
  expect(reply?.draft.attendees.map((one) => [one.address, one.answer])).toEqual([
    [robin.address, 'accepted'],
  ]);
  // It is sent once.
  await engine.invitations.sync(MANNER);
  expect(sent).toHaveLength(1);
});

test('what is declined leaves the sheet, unless it is wished there, and can be accepted later', async () => {
  const { engine } = await office();
  await open(engine, { method: 'request' });
  const { uid } = asked(engine)[0]!;
  const answer = { kind: 'answerInvitation', uid, key: null, line: '' } as const;
  await done(engine, { ...answer, answer: 'declined' });
  expect(events(engine)).toEqual([]);
  await done(engine, { ...answer, answer: 'tentative' });
  expect(events(engine).map(({ availability }) => availability)).toEqual(['tentative']);
  const before = engine.queries.settings()!;
  const label = 'Keep declined';
  await done(engine, { kind: 'setSettings', before, fields: { hasDeclined: true }, label });
  await done(engine, { ...answer, answer: 'declined' });
  expect(events(engine).map(({ availability }) => availability)).toEqual(['free']);
});

test('an answer to one date of a series is that date’s alone', async () => {
  const { engine } = await office();
  await open(engine, { method: 'request', fields: { rule: 'FREQ=DAILY;COUNT=3' } });
  const { uid } = asked(engine)[0]!;
  const answer = { kind: 'answerInvitation', uid, line: '' } as const;
  await done(engine, { ...answer, key: null, answer: 'accepted' });
  await done(engine, { ...answer, key: '2026-11-26T09:00:00', answer: 'tentative' });
  expect(events(engine).map(({ availability }) => availability)).toEqual([
    ...['busy', 'tentative', 'busy'],
  ]);
});

test('a new version says what changed; another time asks for an answer anew, another place does not', async () => {
  const { engine } = await office();
  await open(engine, { method: 'request' });
  const { uid, eventId } = asked(engine)[0]!;
  await done(engine, { kind: 'answerInvitation', uid, key: null, answer: 'accepted', line: '' });
  await open(engine, { method: 'request', sequence: 1, at: 1000, fields: { place: 'Hall' } });
  expect(asked(engine)[0]).toMatchObject({
    ...{ state: 'answered', answer: 'accepted', place: 'Hall' },
    changes: [{ what: 'Place', from: 'none', to: 'Hall' }],
  });
  const later = { start: zoned('2026-11-25T14:00:00'), end: zoned('2026-11-25T15:00:00') };
  await open(engine, { method: 'request', sequence: 2, at: 2000, fields: later });
  expect(asked(engine)[0]).toMatchObject({ state: 'open', answer: 'none' });
  expect(engine.queries.event(eventId!)).toMatchObject({ ...later, availability: 'free' });
});

test('what the person made of it on the own calendar stays when a new version comes', async () => {
  const { engine } = await office([calendar('other')]);
  await open(engine, { method: 'request' });
  const id = asked(engine)[0]!.eventId!;
  const before = engine.queries.event(id)!;
  await done(engine, {
    kind: 'editEvent',
    before,
    after: revised(before, { travelBefore: 20 }, NOW),
  });
  await open(engine, { method: 'request', sequence: 1, at: 1000, fields: { title: 'Lens test' } });
  expect(engine.queries.event(id)).toMatchObject({ title: 'Lens test', travelBefore: 20 });
});

test('what is called off stays readable until it is let go', async () => {
  const { engine } = await office();
  await open(engine, { method: 'request' });
  await open(engine, { method: 'cancel', sequence: 1, at: 1000, line: 'The lens broke.' });
  expect(events(engine)).toEqual([]);
  expect(asked(engine)[0]).toMatchObject({ state: 'cancelled', title: 'Lens trial' });
  await done(engine, { kind: 'letGoInvitation', uid: 'm@quay.example' });
  expect(asked(engine)).toEqual([]);
});

test.each<[string, Said, string]>([
  ['the same again', { method: 'request', sequence: 1, at: 1000 }, 'came before'],
  [
    'an older version',
    { method: 'request', sequence: 0, at: 0 },
    'A later message about “Lens trial”',
  ],
  [
    'somebody else’s word',
    { method: 'request', from: tomas, sequence: 5, at: 9000 },
    'Ida Solberg asks to “Lens trial”, not Tomas Reyl',
  ],
  [
    'somebody else’s cancellation',
    { method: 'cancel', from: tomas, sequence: 5, at: 9000 },
    'Ida Solberg asks to “Lens trial”, not Tomas Reyl',
  ],
  [
    'an answer to what somebody else asks',
    { method: 'reply', from: tomas, at: 9000, answer: 'accepted' },
    'to which somebody else asks',
  ],
])('%s is told and changes nothing', async (_, said, why) => {
  const { engine } = await office();
  await open(engine, { method: 'request', sequence: 1, at: 1000 });
  const before = engine.queries.event(asked(engine)[0]!.eventId!);
  const { did, problems } = await open(engine, said, NOW + 60_000);
  expect(did).toEqual([]);
  expect(problems).toEqual([expect.stringContaining(why)]);
  expect(engine.queries.event(before!.id)).toEqual(before);
});

test('a damaged file, and one that is too large, say so', async () => {
  const { engine } = await office();
  const openText = (said: string, name: string) => engine.invitations.open(fileOf(said, name), NOW);
  await expect(openText('BEGIN:VCALENDAR\r\nMETHOD:REQ', 'x.ics')).rejects.toThrow();
  await expect(openText('From: a@b.example\r\n\r\nHello', 'x.eml')).rejects.toThrow(
    'carries no invitation',
  );
  await expect(openText('x'.repeat(2_000_001), 'x.ics')).rejects.toThrow('too large');
  expect(events(engine)).toEqual([]);
});

test('an event ends the same in whatever order messages about it come, and however often', async () => {
  const said = fc.record({
    method: fc.constantFrom('request' as const, 'cancel' as const),
    key: fc.constantFrom(null, '2026-11-26T09:00:00'),
    sequence: fc.integer({ min: 0, max: 2 }),
    at: fc.integer({ min: 0, max: 2 }).map((n) => n * 1000),
    fields: fc.constantFrom({ place: 'Hall' }, { title: 'Lens test' }).map((more) => ({
      ...more,
      rule: 'FREQ=DAILY;COUNT=3',
    })),
  });
  const first: Said = { method: 'request', fields: { rule: 'FREQ=DAILY;COUNT=3' } };
  const state = async (list: readonly Said[]) => {
    const { engine } = await office();
    for (const one of [first, ...list]) await open(engine, one);
    return events(engine).map(({ title, place, start, availability }) => ({
      ...{ title, place, start, availability },
    }));
  };
  await fc.assert(
    fc.asyncProperty(
      fc.array(said, { minLength: 1, maxLength: 4 }).chain((all) =>
        fc.record({
          all: fc.constant(all),
          shuffled: fc.shuffledSubarray([...all, ...all], { minLength: 2 * all.length }),
        }),
      ),
      async ({ all, shuffled }) => {
        expect(await state(shuffled)).toEqual(await state(all));
      },
    ),
    { numRuns: 30 },
  );
});

test('a time that the person proposes is taken or kept by who asks', async () => {
  const { engine } = await office();
  await open(engine, { method: 'request' });
  const times = { start: zoned('2026-11-25T11:00:00'), end: zoned('2026-11-25T12:00:00') };
  await done(engine, { kind: 'proposeTime', uid: 'm@quay.example', key: null, ...times, line: '' });
  expect(asked(engine)[0]).toMatchObject({ proposed: 'Wed 25 Nov, 11:00 – 12:00', state: 'open' });
  const { did } = await open(engine, { method: 'declineCounter', at: 1000 });
  expect(did).toEqual(['Ida Solberg keeps the time of “Lens trial”']);
  expect(asked(engine)[0]).toMatchObject({ proposed: '' });
});

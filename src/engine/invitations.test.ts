import fc from 'fast-check';
import { writeMail } from '@/core/invitations/mime';
import { writeMessage } from '@/core/invitations/write';
import type { Answer } from '@/core/model/attendees';
import type { CalendarEvent } from '@/core/model/event';
import { newEvent, revised } from '@/core/model/event';
import type { MailMethod } from '@/core/model/mail';
import { ALL_SHOWN } from '@/core/query/eventQuery';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import type { TypedRecord } from '@/core/model/records';
import { readMessages } from '@/core/invitations/messages';
import type { Engine } from './engine';
import type { Posted } from './invitations/post';
import { calendar, done, event, fileOf, NOW, opened, zoned } from './testing/opened';
import { outside } from './testing/outside';

const robin = { name: 'Robin', address: 'robin@quay.example' };
const ida = { name: 'Ida Solberg', address: 'ida@quay.example' };
const tomas = { name: 'Tomas Reyl', address: 'tomas@quay.example' };
const guest = (who: typeof ida, answer: Answer = 'none') => ({
  ...{ ...who, role: 'required' as const, answer },
});
const MANNER = {
  now: NOW,
  saying: { wording: { locale: 'en-GB', hourCycle: '24' }, clock: 'Europe/London' },
} as const;

const SEED: TypedRecord[] = [
  { type: 'settings', record: { ...DEFAULT_SETTINGS, me: robin } },
  calendar('work'),
];

/** An engine with a post that keeps what is sent, and has what comes. */
async function office(seed: readonly TypedRecord[] = []) {
  const sent: Posted[] = [];
  const coming: Posted[] = [];
  const post = { isAway: false };
  const assertThere = () => {
    if (post.isAway) throw new Error('The post is closed.');
  };
  const around = {
    ...outside(),
    sendMessage: async () => assertThere(),
    post: {
      send: async (mail: Posted) => (assertThere(), void sent.push(mail)),
      fetch: async () => (assertThere(), [...coming]),
      take: async (id: string) => {
        coming.splice(
          coming.findIndex((mail) => mail.id === id),
          1,
        );
      },
    },
  };
  return { engine: await opened([...SEED, ...seed], { around }), sent, coming, post };
}

interface Said {
  method: MailMethod;
  from?: typeof ida;
  sequence?: number;
  at?: number;
  key?: string | null;
  fields?: Partial<CalendarEvent>;
  answer?: Answer;
  line?: string;
}

/** What Ida, or somebody else, writes about her meeting. */
function text({ method, from = ida, sequence = 0, at = 0, key = null, fields, ...rest }: Said) {
  const { answer, line = '' } = rest;
  const meeting = newEvent(
    {
      ...{ id: 'm', uid: 'm@quay.example', calendarId: 'work', title: 'Lens trial' },
      start: zoned('2026-11-25T09:00:00'),
      end: zoned('2026-11-25T10:00:00'),
      organizer: from,
      attendees: [guest(robin)],
      ...fields,
    },
    0,
  );
  const attendees = answer && [guest(from, answer)];
  return writeMessage({ method, event: meeting, key, sequence, line, now: NOW + at, attendees });
}

const open = (engine: Engine, said: Said, now = NOW) =>
  engine.invitations.open(fileOf(text(said), 'mail.ics'), now);

const events = (engine: Engine) =>
  engine.queries.occurrences({ fromDay: 20_780, toDay: 20_810, zone: 'Europe/London' }, ALL_SHOWN)
    .occurrences;

const asked = (engine: Engine) => engine.invitations.list(MANNER);

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
  ['an older version', { method: 'request', sequence: 0, at: 0 }, 'A later word on “Lens trial”'],
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

test('a mail from somebody else than it says is told and changes nothing', async () => {
  const { engine } = await office();
  const mime = writeMail(
    {
      ...{ id: 'x', from: tomas, to: [robin], subject: 'Invitation', at: NOW, method: 'request' },
      calendar: text({ method: 'request' }),
    },
    'Come',
  );
  const { problems } = await engine.invitations.open(fileOf(mime, 'x.eml'), NOW);
  expect(problems).toEqual([expect.stringContaining('but Tomas Reyl sent it')]);
  expect(events(engine)).toEqual([]);
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

/** The message in the calendar part of a mail. */
function messageIn(mime: string) {
  const [, encoded = ''] = /text\/calendar[\s\S]*?\r\n\r\n([\s\S]*?)\r\n--/.exec(mime) ?? [];
  return readMessages(Buffer.from(encoded, 'base64').toString(), NOW)[0]!;
}
const sequenceOf = (mime: string) => messageIn(mime).sequence;
const guestsIn = (mime: string) => messageIn(mime).draft.attendees.map(({ address }) => address);

describe('asking others', () => {
  const own = event('review', { title: 'Glass review', attendees: [guest(ida), guest(tomas)] });
  const uid = 'review@orderly-week';
  const tell = { kind: 'tellGuests', uid, line: '', only: null } as const;
  const untold = (engine: Engine) => engine.invitations.untold(['review'], MANNER);
  const reply = (engine: Engine, who: typeof ida, more: Partial<Said> = {}) => {
    const { sequence = 0, at = 1000, method = 'reply', ...rest } = more;
    const review = newEvent(
      { ...(own.record as CalendarEvent), organizer: robin, ...rest.fields },
      0,
    );
    const calendarText = writeMessage({
      ...{ method, event: review, key: rest.key ?? null, sequence, line: rest.line ?? '' },
      ...{ now: NOW + at, attendees: [guest(who, rest.answer ?? 'accepted')] },
    });
    return engine.invitations.open(fileOf(calendarText, 'answer.ics'), NOW + at);
  };
  const LATER = { start: zoned('2026-11-25T10:00:00'), end: zoned('2026-11-25T11:00:00') };
  const answers = (engine: Engine) =>
    engine.queries.event('review')!.attendees.map(({ answer }) => answer);

  test('nothing goes out before it is asked for; then each gets it once', async () => {
    const { engine, sent } = await office([own]);
    await engine.invitations.sync(MANNER);
    expect(sent).toEqual([]);
    expect(untold(engine)).toMatchObject([{ title: 'Glass review', to: [ida, tomas], why: 'new' }]);
    await done(engine, { ...tell, line: 'Bring samples.' });
    await engine.invitations.sync(MANNER);
    expect(sent).toHaveLength(1);
    expect(sent[0]?.mime).toContain('Subject: Invitation: Glass review');
    expect(untold(engine)).toEqual([]);
    expect(engine.queries.event('review')?.organizer).toEqual(robin);
  });

  test('guests who do not see each other get a mail each, with nobody else in it', async () => {
    const { engine, sent } = await office([own]);
    await done(engine, { ...tell, asking: { seesList: false, wantsAnswers: false } });
    await engine.invitations.sync(MANNER);
    expect(sent.map(({ mime }) => guestsIn(mime))).toEqual([[ida.address], [tomas.address]]);
    expect(sent[0]?.mime).not.toContain(tomas.address);
    expect(engine.invitations.guestNews('review', MANNER)?.silent).toEqual([]);
    expect(untold(engine)).toEqual([]);
    // Nor do they when another time is taken, or when one alone is left to be told.
    await reply(engine, ida, { method: 'counter', fields: LATER });
    const [proposal] = engine.invitations.guestNews('review', MANNER)!.proposals;
    await done(engine, { kind: 'takeProposal', mailId: proposal!.mailId });
    const before = engine.queries.event('review')!;
    await done(engine, {
      kind: 'editEvent',
      before,
      after: revised(before, { place: 'Hall' }, NOW),
    });
    await done(engine, { ...tell, only: [tomas.address] });
    await engine.invitations.sync(MANNER);
    expect(sent.slice(2).map(({ mime }) => guestsIn(mime))).toEqual([
      ...[[ida.address], [tomas.address], [tomas.address]],
    ]);
  });

  test('nobody can be told; what is changed later is asked about again', async () => {
    const { engine, sent } = await office([own]);
    await done(engine, { ...tell, only: [] });
    expect(untold(engine)).toEqual([]);
    const before = engine.queries.event('review')!;
    await done(engine, {
      kind: 'editEvent',
      before,
      after: revised(before, { place: 'Hall' }, NOW),
    });
    expect(untold(engine)).toMatchObject([{ why: 'changed' }]);
    await engine.invitations.sync(MANNER);
    expect(sent).toEqual([]);
  });

  test('what is removed is called off with a higher sequence', async () => {
    const { engine, sent } = await office([own]);
    await done(engine, tell);
    await done(engine, { kind: 'removeEvents', ids: ['review'] });
    expect(untold(engine)).toMatchObject([{ why: 'off', to: [ida, tomas] }]);
    await done(engine, tell);
    expect(untold(engine)).toEqual([]);
    await engine.invitations.sync(MANNER);
    const sequences = sent.map(({ mime }) => sequenceOf(mime));
    expect(sequences[1]).toBeGreaterThan(sequences[0]!);
    // Brought back, it is asked anew, and later than it was called off.
    await done(engine, { kind: 'bringBackEvents', ids: ['review'] });
    expect(untold(engine)).toMatchObject([{ why: 'new' }]);
    await done(engine, tell);
    await engine.invitations.sync(MANNER);
    expect(sequenceOf(sent[2]!.mime)).toBeGreaterThan(sequences[1]!);
  });

  test('without an address of one’s own nothing is sent, and it is said', async () => {
    const { engine } = await office([own]);
    const before = engine.queries.settings()!;
    const me = { name: '', address: '' };
    await done(engine, { kind: 'setSettings', before, fields: { me }, label: 'x' });
    await expect(done(engine, tell)).rejects.toThrow('under which mail address');
  });

  test('where the post is away mails wait, and go later', async () => {
    const { engine, sent, post } = await office([own]);
    post.isAway = true;
    await done(engine, tell);
    expect(await engine.invitations.sync(MANNER)).toMatchObject({ isAway: true });
    expect(engine.invitations.waiting()).toBe(1);
    post.isAway = false;
    await engine.invitations.sync(MANNER);
    expect([sent.length, engine.invitations.waiting()]).toEqual([1, 0]);
  });

  test('answers come in with their lines; who is silent is asked once more', async () => {
    const { engine, sent } = await office([own]);
    await done(engine, tell);
    await reply(engine, ida, { line: 'With pleasure.' });
    expect(answers(engine)).toEqual(['accepted', 'none']);
    const news = engine.invitations.guestNews('review', MANNER)!;
    expect(news.silent).toEqual([tomas]);
    expect(news.history.map(({ subject, line }) => [subject, line])).toEqual([
      ['answer.ics', 'With pleasure.'],
      ['Invitation: Glass review', ''],
    ]);
    await done(engine, { kind: 'remindSilent', uid, line: '' });
    await engine.invitations.sync(MANNER);
    expect(sent.at(-1)?.mime).toContain('To: "Tomas Reyl" <tomas@quay.example>');
  });

  test('an answer of somebody who was not asked is told', async () => {
    const { engine } = await office([own]);
    await done(engine, tell);
    const { problems } = await reply(engine, { name: 'Wren', address: 'wren@quay.example' });
    expect(problems).toEqual([expect.stringContaining('without being asked')]);
  });

  test('a moved event asks all anew, and answers to the old time are told', async () => {
    const { engine } = await office([own]);
    await done(engine, tell);
    await reply(engine, ida);
    const before = engine.queries.event('review')!;
    const later = { start: zoned('2026-11-25T14:00:00'), end: zoned('2026-11-25T15:00:00') };
    await done(engine, { kind: 'editEvent', before, after: revised(before, later, NOW) });
    await done(engine, tell);
    expect(answers(engine)).toEqual(['none', 'none']);
    const { problems } = await reply(engine, tomas, { at: 5000 });
    expect(problems).toEqual([expect.stringContaining('is asked no more')]);
    expect(answers(engine)).toEqual(['none', 'none']);
  });

  test('a proposed time is taken, and all are told', async () => {
    const { engine, sent } = await office([own]);
    await done(engine, tell);
    await reply(engine, tomas, { answer: 'accepted', at: 500 });
    await reply(engine, ida, { method: 'counter', fields: LATER, line: 'Later?' });
    const [proposal] = engine.invitations.guestNews('review', MANNER)!.proposals;
    expect(proposal).toMatchObject({
      ...{ from: ida, line: 'Later?' },
      ...{ asked: 'Wed 25 Nov, 09:00 – 10:00', wanted: 'Wed 25 Nov, 10:00 – 11:00' },
    });
    await done(engine, { kind: 'takeProposal', mailId: proposal!.mailId });
    expect(engine.queries.event('review')).toMatchObject(LATER);
    expect(answers(engine)).toEqual(['accepted', 'none']);
    expect(untold(engine)).toEqual([]);
    expect(engine.invitations.guestNews('review', MANNER)!.proposals).toEqual([]);
    await engine.invitations.sync(MANNER);
    expect(sent.at(-1)?.mime).toContain('Subject: Changed: Glass review');
  });

  test('a proposed time is turned down, and who proposed it is told', async () => {
    const { engine, sent } = await office([own]);
    await done(engine, tell);
    await reply(engine, ida, { method: 'counter', fields: LATER });
    const [proposal] = engine.invitations.guestNews('review', MANNER)!.proposals;
    await done(engine, { kind: 'turnDownProposal', mailId: proposal!.mailId, line: 'No.' });
    await engine.invitations.sync(MANNER);
    expect(sent.at(-1)?.mime).toContain('Subject: Stays as it is: Glass review');
    expect(engine.queries.event('review')).toMatchObject({ start: zoned('2026-11-25T09:00:00') });
  });
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

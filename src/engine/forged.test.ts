import { MAX_SEQUENCE_STEP } from '@/core/invitations/claims';
import { writeMail } from '@/core/invitations/mime';
import { writeMessage } from '@/core/invitations/write';
import type { CalendarEvent } from '@/core/model/event';
import type { MailMethod, MailParty } from '@/core/model/mail';
import type { Engine } from './engine';
import { asked, guest, ida, MANNER, office, robin, text, tomas } from './testing/office';
import { done, event, fileOf, NOW } from './testing/opened';

const mallory = { name: 'Mallory', address: 'mallory@elsewhere.example' };
const sentBy = ({ address }: MailParty) => ({ 'sent-by': `mailto:${address}` });

/** A calendar text as somebody mails it. */
const mailed = (engine: Engine, from: MailParty, method: MailMethod, calendar: string, at = 0) => {
  const head = { id: 'x', from, to: [robin], subject: 'Mail', at: NOW + at, method, calendar };
  return engine.invitations.open(fileOf(writeMail(head, ''), 'x.eml'), NOW + at);
};

interface Said {
  from: MailParty;
  method?: MailMethod;
  /** Whom the organizer is said to have let write. */
  by?: MailParty;
  sequence?: number;
  at?: number;
  fields?: Partial<CalendarEvent>;
}

/** What somebody mails in Ida's name about her meeting. */
const inHerName = (
  engine: Engine,
  { from, method = 'request', by, sequence, at = 0, fields }: Said,
) =>
  mailed(
    engine,
    from,
    method,
    text({
      ...{ method, sequence, at },
      fields: { organizer: { ...ida, ...(by && { parameters: sentBy(by) }) }, ...fields },
    }),
    at,
  );

const held = (engine: Engine) => engine.invitations.held(MANNER.saying);
const meeting = (engine: Engine) => engine.queries.event(asked(engine)[0]!.eventId!)!;

test.each<[string, Partial<Said>]>([
  ['a cancellation', { method: 'cancel' }],
  ['a change', { fields: { title: 'Elsewhere' } }],
  ['a change that names its sender by SENT-BY', { by: mallory, fields: { title: 'Elsewhere' } }],
  ['a cancellation that names its sender by SENT-BY', { method: 'cancel', by: mallory }],
  [
    'a change that says to be passed on',
    {
      fields: {
        title: 'Elsewhere',
        attendees: [
          { ...guest(robin), parameters: { 'delegated-from': `mailto:${mallory.address}` } },
        ],
      },
    },
  ],
])(
  '%s by a stranger in the name of an organiser has no effect, and both are named',
  async (_, said) => {
    const { engine } = await office();
    await inHerName(engine, { from: ida });
    const before = meeting(engine);
    const { did } = await inHerName(engine, { from: mallory, sequence: 5, at: 9000, ...said });
    expect(did[0]).toContain('Mallory <mallory@elsewhere.example> wrote about');
    expect(meeting(engine)).toEqual(before);
    expect(held(engine)).toMatchObject([{ from: ida, sender: mallory, held: 'sender' }]);
    // True updates go on as if nothing had come.
    await inHerName(engine, { from: ida, sequence: 1, at: 20_000, fields: { place: 'Hall' } });
    expect(meeting(engine)).toMatchObject({ title: before.title, place: 'Hall' });
  },
);

test('whom an organiser named in a message of their own writes for them; so does whom the person let', async () => {
  const { engine } = await office();
  await inHerName(engine, { from: ida, by: tomas });
  await inHerName(engine, {
    from: tomas,
    by: tomas,
    sequence: 1,
    at: 1000,
    fields: { place: 'Hall' },
  });
  expect(meeting(engine).place).toBe('Hall');
  expect(asked(engine)[0]).toMatchObject({ sentBy: tomas });
  await inHerName(engine, { from: mallory, sequence: 2, at: 2000, fields: { place: 'Pier' } });
  await done(engine, { kind: 'acceptHeld', mailId: held(engine)[0]!.mailId });
  expect(meeting(engine).place).toBe('Pier');
  await inHerName(engine, { from: mallory, sequence: 3, at: 3000, fields: { place: 'Quay' } });
  expect(meeting(engine).place).toBe('Quay');
  expect(held(engine)).toEqual([]);
});

test('what a stranger sent first does not keep the true message out', async () => {
  const { engine } = await office();
  await inHerName(engine, { from: mallory });
  expect((await inHerName(engine, { from: ida })).did).toEqual([
    'Ida Solberg invites you to “Lens trial”',
  ]);
});

test('what is ignored stays without effect and is asked no more', async () => {
  const { engine } = await office();
  await inHerName(engine, { from: mallory });
  expect(await done(engine, { kind: 'ignoreHeld', mailId: held(engine)[0]!.mailId })).toContain(
    'Ignored',
  );
  expect([asked(engine), held(engine)]).toEqual([[], []]);
  const again = await inHerName(engine, { from: mallory });
  expect(again.problems).toEqual([expect.stringContaining('came before')]);
});

test('a SEQUENCE beyond reason is shown, and blocks no true update', async () => {
  const { engine } = await office();
  await inHerName(engine, { from: ida });
  const most = 2_147_483_647;
  await inHerName(engine, { from: ida, sequence: most, at: 1000, fields: { place: 'Nowhere' } });
  expect(held(engine)).toMatchObject([{ held: 'sequence', from: ida, sender: null }]);
  await inHerName(engine, {
    from: ida,
    sequence: MAX_SEQUENCE_STEP,
    at: 2000,
    fields: { place: 'Hall' },
  });
  expect(meeting(engine).place).toBe('Hall');
  await done(engine, { kind: 'acceptHeld', mailId: held(engine)[0]!.mailId });
  expect(meeting(engine).place).toBe('Nowhere');
});

describe('answers to an event of one’s own', () => {
  const uid = 'review@orderly-week';
  const own = event('review', { title: 'Glass review', attendees: [guest(ida), guest(tomas)] });
  async function told() {
    const { engine, sent } = await office([own]);
    await done(engine, { kind: 'tellGuests', uid, line: '', only: null });
    await engine.invitations.sync(MANNER);
    return { engine, sent };
  }
  const answers = (engine: Engine) =>
    engine.queries.event('review')!.attendees.map(({ answer }) => answer);
  const reply = (engine: Engine, fields: Partial<CalendarEvent> = {}) =>
    writeMessage({
      ...{ method: 'reply', key: null, sequence: 0, line: '', now: NOW + 1000 },
      event: { ...engine.queries.event('review')!, ...fields },
      attendees: [guest(ida, 'declined')],
    });

  test.each([
    ['nobody', undefined],
    ['the organiser, by SENT-BY', { ...robin, parameters: sentBy(mallory) }],
  ])('a stranger let by %s answers for no guest', async (_, organizer) => {
    const { engine } = await told();
    await mailed(engine, mallory, 'reply', reply(engine, organizer && { organizer }));
    expect(answers(engine)).toEqual(['none', 'none']);
    expect(held(engine)).toMatchObject([{ method: 'reply', from: ida, sender: mallory }]);
  });

  test('a stranger who says to come for a guest becomes none', async () => {
    const { engine } = await told();
    const parameters = { 'delegated-from': `mailto:${ida.address}` };
    const calendar = writeMessage({
      ...{ method: 'reply', key: null, sequence: 0, line: '', now: NOW + 1000 },
      event: engine.queries.event('review')!,
      attendees: [{ ...guest(mallory, 'accepted'), parameters }],
    });
    await mailed(engine, mallory, 'reply', calendar);
    expect(engine.queries.event('review')!.attendees).toHaveLength(2);
  });

  test('a guest who asks how it stands is sent what guests were told', async () => {
    const { engine, sent } = await told();
    const calendar = [
      ...['BEGIN:VCALENDAR', 'VERSION:2.0', 'METHOD:REFRESH', 'BEGIN:VEVENT', `UID:${uid}`],
      ...[`ORGANIZER:mailto:${robin.address}`, `ATTENDEE:mailto:${ida.address}`],
      ...['DTSTAMP:20261124T110000Z', 'END:VEVENT', 'END:VCALENDAR', ''],
    ].join('\r\n');
    await mailed(engine, ida, 'refresh', calendar);
    await engine.invitations.sync(MANNER);
    expect(sent).toHaveLength(2);
    expect(/^To: .*$/m.exec(sent[1]!.mime)?.[0]).toContain(ida.address);
    const forged = calendar.replace('T110000Z', 'T120000Z');
    expect((await mailed(engine, mallory, 'refresh', forged)).did[0]).toContain('in the name of');
  });
});

test('what was called off before it was asked to is called off once it comes', async () => {
  const { engine } = await office();
  const { problems } = await inHerName(engine, {
    from: ida,
    method: 'cancel',
    sequence: 1,
    at: 1000,
  });
  expect(problems[0]).toContain('if its invitation comes later, it counts as called off');
  const { did } = await inHerName(engine, { from: ida });
  expect(did).toEqual(['Ida Solberg called off “Lens trial”']);
  expect(asked(engine)).toMatchObject([{ state: 'cancelled', eventId: null }]);
});

test('a date that is added to a series (ADD) is one of its dates', async () => {
  const { engine } = await office();
  const series = { rule: 'FREQ=DAILY;COUNT=2' };
  await inHerName(engine, { from: ida, fields: series });
  const at = (local: string) => ({ kind: 'zoned', local, zone: 'Europe/London' }) as const;
  const extra = { start: at('2026-11-30T15:00:00'), end: at('2026-11-30T16:00:00') };
  const fields = { ...extra, place: 'Pier 4' };
  const { did } = await inHerName(engine, {
    from: ida,
    method: 'add',
    sequence: 1,
    at: 1000,
    fields,
  });
  expect(did).toEqual(['Ida Solberg added a date to “Lens trial”']);
  expect(meeting(engine)).toMatchObject({
    ...series,
    extraDates: [extra],
    changedDates: { '2026-11-30T15:00:00': { place: 'Pier 4' } },
  });
});

describe('undone after it was sent', () => {
  const uid = 'review@orderly-week';
  const tell = { kind: 'tellGuests', uid, line: '', only: null } as const;
  const own = event('review', { title: 'Glass review', attendees: [guest(ida)] });
  const untold = (engine: Engine) => engine.invitations.untold(MANNER).map(({ why }) => why);
  const sequences = (engine: Engine) =>
    engine.invitations.guestNews('review', MANNER)!.history.map(({ subject }) => subject);

  test('what guests know stays written down, and the difference is offered', async () => {
    const { engine, sent } = await office([own]);
    await done(engine, tell);
    await engine.invitations.sync(MANNER);
    const before = engine.queries.event('review')!;
    await done(engine, { kind: 'editEvent', before, after: { ...before, place: 'Hall' } });
    await done(engine, tell);
    await engine.invitations.sync(MANNER);
    await engine.commands.step('undo');
    await engine.commands.step('undo');
    expect(engine.queries.event('review')!.place).toBe('');
    expect(untold(engine)).toEqual(['changed']);
    await done(engine, tell);
    await engine.invitations.sync(MANNER);
    const said = sent.map(({ mime }) => /SEQUENCE:(\d+)/.exec(calendarIn(mime))![1]);
    expect(said.map(Number)).toEqual([0, 1, 2]);
    expect(sequences(engine)).toHaveLength(3);
  });

  test('a new event that was sent and undone offers its cancellation', async () => {
    const { engine } = await office();
    await done(engine, { kind: 'addEvent', event: own.record } as never);
    await done(engine, tell);
    await engine.invitations.sync(MANNER);
    await engine.commands.step('undo');
    await engine.commands.step('undo');
    expect(engine.queries.event('review')).toBeNull();
    expect(untold(engine)).toEqual(['off']);
    await engine.commands.step('redo');
    await engine.commands.step('redo');
    expect(untold(engine)).toEqual([]);
  });

  test('what was not sent yet is not sent any more', async () => {
    const { engine, sent } = await office([own]);
    await done(engine, tell);
    await engine.commands.step('undo');
    await engine.invitations.sync(MANNER);
    expect(sent).toEqual([]);
    expect(untold(engine)).toEqual(['new']);
  });
});

const calendarIn = (mime: string) =>
  Buffer.from(
    /text\/calendar[\s\S]*?\r\n\r\n([\s\S]*?)\r\n--/.exec(mime)?.[1] ?? '',
    'base64',
  ).toString();

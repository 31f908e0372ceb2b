import { lets, sayAsking } from '@/core/invitations/asking';
import { writeMail } from '@/core/invitations/mime';
import { writeMessage } from '@/core/invitations/write';
import type { Attendee } from '@/core/model/attendees';
import { newEvent } from '@/core/model/event';
import {
  asked,
  guest,
  ida,
  MANNER,
  messageIn,
  office,
  open,
  robin,
  text,
  tomas,
} from './testing/office';
import { done, event, fileOf, NOW, zoned } from './testing/opened';

const people = (attendees: readonly Attendee[]) =>
  attendees.map(({ address, answer, parameters }) => [
    address,
    answer,
    parameters?.['delegated-to'] ?? parameters?.['delegated-from'],
  ]);
const BOTH = [
  [robin.address, 'delegated', `mailto:${tomas.address}`],
  [tomas.address, 'none', `mailto:${robin.address}`],
];

test('what is passed on leaves the sheet; who asks is told, and who comes instead is asked', async () => {
  const { engine, sent } = await office();
  await open(engine, { method: 'request' });
  const { uid, eventId } = asked(engine)[0]!;
  expect(await done(engine, { kind: 'passInvitationOn', uid, to: tomas, line: 'Please go.' })).toBe(
    'Passed “Lens trial” on to Tomas Reyl',
  );
  expect(engine.queries.event(eventId!)).toMatchObject({ removedAt: NOW, availability: 'free' });
  expect(asked(engine)[0]).toMatchObject({ state: 'answered', answer: 'delegated' });
  await engine.invitations.sync(MANNER);
  const [reply, request] = sent.map(({ mime }) => messageIn(mime));
  expect(people(reply!.draft.attendees)).toEqual(BOTH);
  expect(reply).toMatchObject({ method: 'reply', line: 'Please go.' });
  expect(people(request!.draft.attendees)).toEqual(BOTH);
  expect(request).toMatchObject({ method: 'request', draft: { organizer: ida } });
  expect(sent.map(({ mime }) => /^To: .*$/m.exec(mime)?.[0].trim())).toEqual([
    `To: "${ida.name}" <${ida.address}>`,
    `To: "${tomas.name}" <${tomas.address}>`,
  ]);
  await expect(
    done(engine, { kind: 'passInvitationOn', uid, to: tomas, line: '' }),
  ).rejects.toThrow('is asked already');
});

test('who asks hears who comes instead, and does not ask them again; they answer for themselves', async () => {
  const own = event('review', { title: 'Glass review', attendees: [guest(tomas), guest(ida)] });
  const { engine } = await office([own]);
  const { uid } = engine.queries.event('review')!;
  await done(engine, { kind: 'tellGuests', uid, line: '', only: null });
  const review = engine.queries.event('review')!;
  const reply = (attendees: Attendee[]) =>
    engine.invitations.open(
      fileOf(
        writeMessage({
          ...{ method: 'reply', event: review, key: null, sequence: 0, line: '', attendees },
          now: NOW + 1000,
        }),
        'r.ics',
      ),
      NOW + 1000,
    );
  const nell = { name: 'Nell', address: 'nell@quay.example' };
  const passed: Attendee = {
    ...guest(tomas, 'delegated'),
    parameters: { 'delegated-to': `mailto:${nell.address}` },
  };
  const instead: Attendee = {
    ...guest(nell),
    parameters: { 'delegated-from': `mailto:${tomas.address}` },
  };
  await reply([passed, instead]);
  const met = engine.queries.event('review')!.attendees;
  expect(met.map(({ address, answer }) => [address, answer])).toEqual([
    [tomas.address, 'delegated'],
    [ida.address, 'none'],
    [nell.address, 'none'],
  ]);
  expect(engine.invitations.untold(MANNER)).toEqual([]);
  expect(await reply([{ ...instead, answer: 'accepted' }])).toMatchObject({ problems: [] });
  expect(engine.queries.event('review')!.attendees[2]).toMatchObject({ answer: 'accepted' });
});

/** A mail from somebody, with what a guest passes on to the person in it. */
function forwarded(from: typeof ida, passedBy: string) {
  const lens = newEvent(
    {
      ...{ id: 'm', uid: 'm@quay.example', calendarId: 'work', title: 'Lens trial' },
      ...{ start: zoned('2026-11-25T09:00:00'), end: zoned('2026-11-25T10:00:00') },
      organizer: ida,
      attendees: [
        { ...guest(robin), parameters: { 'delegated-from': `mailto:${passedBy}` } },
        guest(tomas, 'delegated'),
      ],
    },
    0,
  );
  const said = { method: 'request', event: lens, key: null, sequence: 0, line: '' } as const;
  const calendar = writeMessage({ ...said, now: NOW });
  const head = { id: 'f', from, to: [robin], subject: 'Lens trial', method: 'request' as const };
  return writeMail({ ...head, at: NOW, calendar }, '');
}

test('what somebody passes on to the person waits until they say that it counts', async () => {
  const { engine, coming } = await office();
  coming.push({ id: '1', mime: forwarded(tomas, tomas.address) });
  await engine.invitations.sync(MANNER);
  expect(asked(engine)).toEqual([]);
  const [row] = engine.invitations.held(MANNER.saying);
  expect(row).toMatchObject({ title: 'Lens trial', from: ida, sender: tomas, held: 'sender' });
  expect(await done(engine, { kind: 'acceptHeld', mailId: row!.mailId })).toBe(
    'Ida Solberg invites you to “Lens trial”',
  );
  expect(asked(engine)).toMatchObject([{ from: ida, sentBy: tomas, state: 'open' }]);
  expect(engine.invitations.held(MANNER.saying)).toEqual([]);
});

test('what guests are not to do is written down, read, and kept to', async () => {
  const { engine, sent } = await office([
    event('review', { title: 'Glass review', attendees: [guest(tomas)] }),
  ]);
  const { uid } = engine.queries.event('review')!;
  const asking = { seesList: true, wantsAnswers: true, mayPropose: false, mayPassOn: false };
  await done(engine, { kind: 'tellGuests', uid, line: '', only: null, asking });
  await engine.invitations.sync(MANNER);
  const said = messageIn(sent[0]!.mime).draft;
  expect([lets(said, 'mayPropose'), lets(said, 'mayPassOn')]).toEqual([false, false]);
  expect(sayAsking({ asking })).toEqual([
    'The time is fixed: please propose no other.',
    'Please do not pass it on to somebody else.',
  ]);

  const there = await office();
  const fixed = text({ method: 'request', fields: { asking } });
  await there.engine.invitations.open(fileOf(fixed, 'mail.ics'), NOW);
  expect(asked(there.engine)[0]).toMatchObject({ mayPropose: false, mayPassOn: false });
  const pass = { kind: 'passInvitationOn', uid: 'm@quay.example', to: tomas, line: '' } as const;
  await expect(done(there.engine, pass)).rejects.toThrow('wants this not to be passed on');
});

test('an event of somebody else’s that is moved here alone is told of, proposed to them or put back', async () => {
  const { engine } = await office();
  await open(engine, { method: 'request' });
  const { uid, eventId } = asked(engine)[0]!;
  const strayed = () => engine.invitations.strayed([eventId!], MANNER.saying);
  expect(strayed()).toEqual([]);
  const before = engine.queries.event(eventId!)!;
  const span = { start: Date.UTC(2026, 10, 25, 14), end: Date.UTC(2026, 10, 25, 15) };
  const move = {
    kind: 'moveEvent',
    id: eventId!,
    span,
    edge: null,
    zone: 'Europe/London',
  } as const;
  await done(engine, move);
  expect(strayed()).toMatchObject([
    { uid, from: ida, start: zoned('2026-11-25T14:00:00'), mayPropose: true },
  ]);
  await done(engine, { kind: 'backToAsked', uid });
  expect(strayed()).toEqual([]);
  const { start, end } = engine.queries.event(eventId!)!;
  expect({ start, end }).toEqual({ start: before.start, end: before.end });
});

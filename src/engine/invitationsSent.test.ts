import { writeMessage } from '@/core/invitations/write';
import type { CalendarEvent } from '@/core/model/event';
import { newEvent, revised } from '@/core/model/event';
import type { Engine } from './engine';
import { done, event, fileOf, NOW, zoned } from './testing/opened';

import type { Said } from './testing/office';
import { robin, ida, tomas, guest, MANNER, messageIn, office } from './testing/office';

const ASKING = { seesList: true, wantsAnswers: true, mayPropose: true, mayPassOn: true };

const sequenceOf = (mime: string) => messageIn(mime).sequence;
const guestsIn = (mime: string) => messageIn(mime).draft.attendees.map(({ address }) => address);

describe('asking others', () => {
  const own = event('review', { title: 'Glass review', attendees: [guest(ida), guest(tomas)] });
  const uid = 'review@orderly-week';
  const tell = { kind: 'tellGuests', uid, line: '', only: null } as const;
  const untold = (engine: Engine) => engine.invitations.untold(MANNER);
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
    await done(engine, { ...tell, asking: { ...ASKING, seesList: false, wantsAnswers: false } });
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

  test('a mail too large for the post is refused in words, and keeps no other back', async () => {
    const other = event('lamps', { title: 'Lamps', attendees: [guest(tomas)] });
    const large = event('plans', {
      title: 'Plans',
      attendees: [guest(ida)],
      notes: 'x'.repeat(1e6),
    });
    const { engine, sent } = await office([large, other]);
    await done(engine, { ...tell, uid: 'plans@orderly-week' });
    await done(engine, { ...tell, uid: 'lamps@orderly-week' });
    const { problems, isAway } = await engine.invitations.sync(MANNER);
    expect(problems).toEqual([expect.stringContaining('too large for email')]);
    expect([isAway, sent.length, engine.invitations.waiting()]).toEqual([false, 1, 0]);
    expect(engine.invitations.guestNews('plans', MANNER)!.history).toMatchObject([
      { isSent: false, problem: expect.stringContaining('could not be sent to Ida') },
    ]);
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
    expect(problems).toEqual([expect.stringContaining('answered an earlier version')]);
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

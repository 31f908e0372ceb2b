import { readMessages } from '@/core/invitations/messages';
import { writeMessage } from '@/core/invitations/write';
import type { Answer } from '@/core/model/attendees';
import type { CalendarEvent } from '@/core/model/event';
import { newEvent } from '@/core/model/event';
import type { MailMethod } from '@/core/model/mail';
import { ALL_SHOWN } from '@/core/query/eventQuery';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import type { TypedRecord } from '@/core/model/records';
import type { Engine } from '../engine';
import type { Posted } from '../invitations/post';
import { calendar, fileOf, NOW, opened, zoned } from './opened';
import { outside } from './outside';

export const robin = { name: 'Robin', address: 'robin@quay.example' };
export const ida = { name: 'Ida Solberg', address: 'ida@quay.example' };
export const tomas = { name: 'Tomas Reyl', address: 'tomas@quay.example' };
export const guest = (who: typeof ida, answer: Answer = 'none') => ({
  ...{ ...who, role: 'required' as const, answer },
});
export const MANNER = {
  now: NOW,
  saying: { wording: { locale: 'en-GB', hourCycle: '24' }, clock: 'Europe/London' },
} as const;

const SEED: TypedRecord[] = [
  { type: 'settings', record: { ...DEFAULT_SETTINGS, me: robin } },
  calendar('work'),
];

/** An engine with a post that keeps what is sent, and has what comes. */
export async function office(seed: readonly TypedRecord[] = []) {
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

export interface Said {
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
export function text({
  method,
  from = ida,
  sequence = 0,
  at = 0,
  key = null,
  fields,
  ...rest
}: Said) {
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

export const open = (engine: Engine, said: Said, now = NOW) =>
  engine.invitations.open(fileOf(text(said), 'mail.ics'), now);

export const events = (engine: Engine) =>
  engine.queries.occurrences({ fromDay: 20_780, toDay: 20_810, zone: 'Europe/London' }, ALL_SHOWN)
    .occurrences;

export const asked = (engine: Engine) => engine.invitations.list(MANNER);

/** The message in the calendar part of a mail. */
export function messageIn(mime: string) {
  const [, encoded = ''] = /text\/calendar[\s\S]*?\r\n\r\n([\s\S]*?)\r\n--/.exec(mime) ?? [];
  return readMessages(Buffer.from(encoded, 'base64').toString(), NOW)[0]!;
}

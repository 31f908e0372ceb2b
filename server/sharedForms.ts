import type { Request, Response } from 'express';
import { nanoid } from 'nanoid';
import type { SharedCopy } from '../src/core/people/shared';
import type { SharedChange, SharedFields } from '../src/core/people/sharedChange';
import { areWholeDays, sharedChange, sharedFields } from '../src/core/people/sharedChange';
import { z } from '../src/core/model/zod';
import { DAY, dayOfWall, formatDate, parseLocal } from '../src/core/time/civil';
import { instantFromWall, wallFromInstant } from '../src/core/time/zones';
import { isSameOrigin } from './onlyOwn';
import type { Form } from './sharedPages';

/** What a browser sends of a form; every field may be missing. */
const sent = z.record(z.string(), z.string()).catch({});
export type Sent = z.infer<typeof sent>;
export const readSent = (body: unknown): Sent => sent.parse(body);

/** Whether a form was sent from its own page; told where it was not: another page's is not sent by somebody who read this one. */
export function isOwnForm(request: Request, response: Response): boolean {
  if (isSameOrigin(request)) return true;
  response.status(403).type('text').send('This was not sent from the page itself.');
  return false;
}

const NOTHING: SharedFields = { title: '', place: '', start: '', end: '' };

/** An hour tomorrow, to begin with. */
const anHour = (made: number): Pick<SharedFields, 'start' | 'end'> => {
  const day = formatDate(Math.floor(made / DAY) + 1);
  return { start: `${day}T09:00:00`, end: `${day}T10:00:00` };
};

/** The form for a line of a copy, or for a new event; null where there is no such line that may be changed. */
export function formFor(copy: SharedCopy, asked: Sent): Form | null {
  const { event = '', key = '' } = asked;
  if (!event) {
    const fields = { ...NOTHING, ...anHour(copy.changing?.made ?? 0) };
    return { of: null, base: fields, fields, by: '' };
  }
  const line = copy.days
    .flatMap(({ lines }) => lines)
    .find(({ change }) => change?.of.eventId === event && (change.of.key ?? '') === key);
  const { change } = line ?? {};
  return change ? { of: change.of, base: change.base, fields: change.base, by: '' } : null;
}

/** Whether a form is about something that the page offers: a line that may be changed, an invitation, or something new. */
export function isOffered(copy: SharedCopy, { event = '', key = '', uid = '' }: Sent): boolean {
  if (uid)
    return (copy.changing?.invitations ?? []).some(
      (one) => one.uid === uid && (one.key ?? '') === key,
    );
  return !event || formFor(copy, { event, key }) !== null;
}

/** The base that a form was opened with, as it came back; null where it is none. */
function baseOf({ base = '' }: Sent): SharedFields | null {
  try {
    const fields = sharedFields.parse(JSON.parse(base));
    // Thrown at once, and not where it is reckoned with.
    parseLocal(fields.start);
    parseLocal(fields.end);
    return fields;
  } catch {
    return null;
  }
}

/** `YYYY-MM-DDTHH:mm:ss` of what a time field sends; a last day ends at the midnight after it. */
function localOf(text: string, isLastDay: boolean): string {
  if (/^\d{4}-\d\d-\d\d$/.test(text)) {
    try {
      const day = dayOfWall(parseLocal(`${text}T00:00:00`)) + (isLastDay ? 1 : 0);
      return `${formatDate(day)}T00:00:00`;
    } catch {
      return text;
    }
  }
  return /^\d{4}-\d\d-\d\dT\d\d:\d\d$/.test(text) ? `${text}:00` : text;
}

function fieldsOf(body: Sent, wholeDay: boolean): SharedFields {
  const { title = '', place = '', start = '', end = '' } = body;
  return { title, place, start: localOf(start, false), end: localOf(end, wholeDay) };
}

/** What is wrong with a form, in words. */
function faultOf(path: string): string {
  if (path.includes('by')) return 'Say who you are.';
  if (path.includes('title')) return 'It needs a title.';
  if (path.includes('end')) return 'Its end has to lie after its start.';
  if (path.includes('start')) return 'Its start is not a date and time.';
  if (path.includes('gap'))
    return 'Clocks are put forward then: that time does not exist. Choose another.';
  return 'This can’t be read. Go back and try again.';
}

/** What a form that was sent asks for, or the form again with what is wrong with it. */
export function readForm(copy: SharedCopy, body: Sent): SharedChange | { form: Form } {
  const { event = '', key = '', by = '', uid = '' } = body;
  const deed = body['do'] ?? '';
  const head = { id: nanoid(12), by: copy.changing?.who?.name ?? by, zone: copy.changing?.zone };
  if (uid) {
    const answered = { ...head, kind: 'answer', uid, key: key || null, answer: deed };
    return settled(answered, { of: null, base: NOTHING, fields: NOTHING, by });
  }
  const of = event ? { eventId: event, key: key || null } : null;
  const base = baseOf(body) ?? NOTHING;
  const wholeDay =
    of !== null && base !== NOTHING && areWholeDays(parseLocal(base.start), parseLocal(base.end));
  const to = fieldsOf(body, wholeDay);
  const form: Form = { of, base, fields: to, by };
  if (!of) return settled({ ...head, kind: 'add', to }, form);
  if (deed === 'remove') return settled({ ...head, kind: 'remove', of, base }, form);
  return settled({ ...head, kind: 'change', of, base, to }, form);
}

/** Whether a time is one that clocks of a zone show: some are passed over where they are put forward. */
const isOnClock = (local: string, zone: string): boolean => {
  const wall = parseLocal(local);
  return wallFromInstant(instantFromWall(wall, zone), zone) === wall;
};

function settled(change: unknown, form: Form): SharedChange | { form: Form } {
  const read = sharedChange.safeParse(change);
  if (read.success) {
    const { data } = read;
    const isMade = data.kind === 'add' || data.kind === 'change';
    const isInGap =
      isMade && [data.to.start, data.to.end].some((local) => !isOnClock(local, data.zone));
    return isInGap ? { form: { ...form, fault: faultOf('gap') } } : data;
  }
  const path = read.error.issues.map((issue) => issue.path.join('.')).join(' ');
  return { form: { ...form, fault: faultOf(path) } };
}

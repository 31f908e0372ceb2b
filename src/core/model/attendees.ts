import type { JcalProperty } from './common';
import { instant } from './common';
import { z } from './zod';

const ROLES = ['required', 'optional', 'chair', 'informed'] as const;
type Role = (typeof ROLES)[number];

/** What somebody answered (PARTSTAT, RFC 5545 §3.2.12); `none` for nothing yet. */
const ANSWERS = ['none', 'accepted', 'tentative', 'declined', 'delegated'] as const;
export type Answer = (typeof ANSWERS)[number];

/** Parameters of the property that it came from, as jCal has them: those that have no field go out again. */
const parameters = z.record(z.string(), z.unknown()).optional();

/** Somebody who is asked to come (ATTENDEE, RFC 5545 §3.8.4.1). */
export const attendee = z.object({
  name: z.string(),
  /** A mail address, or another calendar address whole; empty where none is known. */
  address: z.string(),
  role: z.enum(ROLES),
  answer: z.enum(ANSWERS),
  /** What they wrote with their answer, and when they gave it (DTSTAMP). */
  line: z.string().optional(),
  answeredAt: instant.optional(),
  parameters,
});
export type Attendee = z.infer<typeof attendee>;

/** Who asked (ORGANIZER, RFC 5545 §3.8.4.3). */
export const organizer = z.object({ name: z.string(), address: z.string(), parameters });
export type Organizer = z.infer<typeof organizer>;

const ROLE_NAMES: Readonly<Record<Role, string>> = {
  required: 'REQ-PARTICIPANT',
  optional: 'OPT-PARTICIPANT',
  chair: 'CHAIR',
  informed: 'NON-PARTICIPANT',
};
const ANSWER_NAMES: Readonly<Record<Answer, string>> = {
  none: 'NEEDS-ACTION',
  accepted: 'ACCEPTED',
  tentative: 'TENTATIVE',
  declined: 'DECLINED',
  delegated: 'DELEGATED',
};

const named = <T extends string>(
  names: Readonly<Record<T, string>>,
  said: unknown,
  usual: T,
): T => {
  const text = String(said ?? '').toUpperCase();
  const all = Object.entries(names) as [T, string][];
  return all.find(([, name]) => name === text)?.[0] ?? usual;
};

const text = (value: unknown) => (typeof value === 'string' ? value : '');

/** What stands for an address where none is known: a property needs one. */
const NO_ADDRESS = 'invalid:nomail';

const addressOf = (uri: unknown): string => {
  const said = text(uri).trim();
  return said === NO_ADDRESS ? '' : said.replace(/^mailto:/i, '');
};

/** The address as a file has it: a mail address by `mailto:`, any other as it is. */
const uriOf = (address: string): string =>
  address === ''
    ? NO_ADDRESS
    : /^[a-z][a-z0-9+.-]*:/i.test(address)
      ? address
      : `mailto:${address}`;

const kept = (given: Record<string, unknown>) =>
  Object.keys(given).length ? { parameters: given } : {};

/** An attendee as a property has it. */
export function attendeeOf([, given, , uri]: JcalProperty): Attendee {
  return {
    name: text(given['cn']),
    address: addressOf(uri),
    role: named(ROLE_NAMES, given['role'], 'required'),
    answer: named(ANSWER_NAMES, given['partstat'], 'none'),
    ...kept(given),
  };
}

export function organizerOf([, given, , uri]: JcalProperty): Organizer {
  return { name: text(given['cn']), address: addressOf(uri), ...kept(given) };
}

/** Parameters with a name; those that a file had otherwise stay as they were. */
function withName(
  given: Record<string, unknown> | undefined,
  name: string,
): Record<string, unknown> {
  const all = { ...given };
  if (text(all['cn']) === name) return all;
  if (name === '') delete all['cn'];
  else all['cn'] = name;
  return all;
}

export function attendeeProperty(one: Attendee): JcalProperty {
  const all = withName(one.parameters, one.name);
  if (named(ROLE_NAMES, all['role'], 'required') !== one.role) all['role'] = ROLE_NAMES[one.role];
  if (named(ANSWER_NAMES, all['partstat'], 'none') !== one.answer)
    all['partstat'] = ANSWER_NAMES[one.answer];
  return ['attendee', all, 'cal-address', uriOf(one.address)];
}

export const organizerProperty = (one: Organizer): JcalProperty => [
  'organizer',
  withName(one.parameters, one.name),
  'cal-address',
  uriOf(one.address),
];

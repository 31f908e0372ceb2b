import { parseLocal } from '../time/civil';
import { isKnownZone } from '../time/zones';
import type { EventTime, JcalComponent, JcalProperty } from './common';

/** A task as version 2 stored it. */
interface OldTask {
  id: string;
  uid: string;
  title: string;
  due?: string;
  done: boolean;
  notes: string;
  component?: JcalComponent;
}

/** Properties of a VTODO whose values became fields; the rest is kept for export. */
const BECAME_FIELDS = new Set([
  'uid',
  'summary',
  'description',
  'due',
  'status',
  'url',
  'priority',
  'percent-complete',
  'dtstamp',
]);

function dueOf({ due, component }: OldTask): EventTime | null {
  if (due === undefined) return null;
  const date: EventTime = { kind: 'date', date: due };
  const property = component?.[1].find(([name]) => name === 'due');
  const value = property?.[3];
  if (typeof value !== 'string' || !value.includes('T')) return date;
  const local = value.replace(/Z$/, '');
  try {
    parseLocal(local);
  } catch {
    return date;
  }
  const tzid = value.endsWith('Z') ? 'UTC' : property?.[1]['tzid'];
  return typeof tzid === 'string' && isKnownZone(tzid)
    ? { kind: 'zoned', local, zone: tzid }
    : { kind: 'floating', local };
}

const STATUSES: Readonly<Record<string, string>> = {
  'IN-PROCESS': 'started',
  COMPLETED: 'done',
  CANCELLED: 'dropped',
};

/** A task of version 2, which knew no more than its day, and kept the VTODO that it came from whole. */
export function taskOfOld(data: Record<string, unknown>): Record<string, unknown> {
  const { due: _due, done, component, ...kept } = data as unknown as OldTask;
  const properties = component?.[1] ?? [];
  const text = (name: string) => {
    const value = properties.find((one) => one[0] === name)?.[3];
    return typeof value === 'string' || typeof value === 'number' ? String(value) : '';
  };
  const whole = (name: string, most: number) =>
    Math.min(most, Math.max(0, Math.trunc(Number(text(name))) || 0));
  const others = properties.filter(([name]: JcalProperty) => !BECAME_FIELDS.has(name));
  const components = component?.[2] ?? [];
  return {
    ...kept,
    link: text('url'),
    start: null,
    due: dueOf(data as unknown as OldTask),
    estimate: null,
    importance: whole('priority', 9),
    categoryIds: [],
    reminders: [],
    status: done ? 'done' : (STATUSES[text('status').toUpperCase()] ?? 'open'),
    percent: done ? 100 : whole('percent-complete', 100),
    doneAt: null,
    created: 0,
    updated: 0,
    revision: 0,
    ...(others.length || components.length
      ? { passthrough: { properties: others, components } }
      : {}),
  };
}

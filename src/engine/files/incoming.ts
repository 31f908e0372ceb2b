import type { ImportPlan } from '@/core/files/ics/plan';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import { titleOf } from '@/core/model/titleOf';
import { odditiesOf, tidied } from '@/core/tidy/incoming';
import { ruled, rulesFor } from '@/core/tidy/rules';
import { dayOfWall } from '@/core/time/civil';
import type { EpochMs } from '@/core/time/units';
import { wallFromInstant } from '@/core/time/zones';
import type { Edit } from '../change';
import type { Repository } from '../repository';

type Records = Pick<Repository, 'get' | 'all'>;

/** What is odd about the new events of a file, by their titles. */
export interface Odd {
  /** Those that are there already. */
  doubles: string[];
  /** Those at night that fit another of the person's zones. */
  oddZones: string[];
  /** Those in years far away. */
  farYears: string[];
  /** How many rules for new events shape. */
  ruled: number;
}

/** What is there, and the zone that the person lives by. */
function aroundOf(records: Records) {
  const settings = records.get('settings', 'mine') ?? DEFAULT_SETTINGS;
  const zone = settings.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
  const own = new Set(
    records
      .all('calendar')
      .flatMap((c) => (c.kind === 'own' && c.removedAt === undefined ? [c.id] : [])),
  );
  const events = records
    .all('event')
    .filter(({ removedAt, calendarId }) => removedAt === undefined && own.has(calendarId));
  const today = dayOfWall(wallFromInstant(Date.now(), zone));
  return { settings, zone, events, today };
}

const newOnes = ({ events }: Pick<ImportPlan, 'events'>) =>
  events.flatMap(({ fate, after }) => (fate === 'new' ? [after] : []));

const rulesOf = (records: Records) => records.all('tidyRule').sort((a, b) => a.order - b.order);

/** What is odd about the new events of a file. */
export function oddOf(records: Records, plan: ImportPlan): Odd {
  const incoming = newOnes(plan);
  const { doubles, oddZones, farYears } = odditiesOf(incoming, aroundOf(records));
  const titles = (places: Iterable<number>) => [...places].map((i) => titleOf(incoming[i]!));
  const rules = rulesOf(records);
  return {
    doubles: titles(doubles.keys()),
    oddZones: titles(oddZones.keys()),
    farYears: titles(farYears),
    ruled: incoming.filter(({ title }) => rulesFor(title, rules).length > 0).length,
  };
}

/** New events as the person's rules have them. */
export function asRuled(records: Records, plan: ImportPlan): ImportPlan {
  const rules = rulesOf(records);
  if (!rules.length) return plan;
  const how = {
    viewZone: aroundOf(records).zone,
    said: new Set<never>(),
    calendarOf: (id: string) => records.get('calendar', id),
  };
  const events = plan.events.map((planned) =>
    planned.fate === 'new'
      ? { ...planned, after: ruled(planned.after, rules, how).event }
      : planned,
  );
  return { ...plan, events };
}

/** New events put right: doubles become part of what is there, the rest comes in. */
export function asTidied(
  records: Records,
  plan: ImportPlan,
  now: EpochMs,
): { plan: ImportPlan; joined: Edit[] } {
  const incoming = newOnes(plan);
  const around = aroundOf(records);
  const { incoming: left, joined } = tidied(
    incoming,
    odditiesOf(incoming, around),
    around.zone,
    now,
  );
  const byId = new Map(left.map((event) => [event.id, event]));
  const events = plan.events.flatMap((planned) => {
    if (planned.fate !== 'new') return [planned];
    const after = byId.get(planned.after.id);
    return after ? [{ ...planned, after }] : [];
  });
  const counts = { ...plan.counts, new: left.length };
  return {
    plan: { ...plan, events, counts },
    joined: joined.map(({ before, after }): Edit => ({ type: 'event', before, after })),
  };
}

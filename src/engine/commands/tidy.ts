import type { EventEdit } from '@/core/editing/series/edit';
import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import { revised } from '@/core/model/event';
import { quotedTitle } from '@/core/model/titleOf';
import type { Found } from '@/core/tidy/checks';
import type { CheckName } from '@/core/model/checks';
import { CHECK_WORDS } from '@/core/model/checks';
import { CHECKS, leftKey } from '@/core/tidy/checks';
import type { Hand } from '@/core/tidy/checks/check';
import type { Choices } from '@/core/tidy/doubles';
import { joinDoubles, keptOf } from '@/core/tidy/doubles';
import { count } from '@/core/time/words';
import type { Edit } from '../change';
import { worldOf } from '../tidy/world';
import { eventEdit } from './events';
import type { Planner, Situation } from './plan';
import type { RuleContent } from './rules';
import { withRule } from './rules';

/** A finding with what is to be done about it. */
export interface Mend extends Pick<Found, 'check' | 'key' | 'ids'> {
  how: string;
}

/** Changes records in memory, each from how the ones before left it, and tells what came of it. */
class Recorder implements Hand {
  private readonly edits = new Map<string, Edit>();
  private touched = new Map<string, EventEdit>();

  constructor(private readonly situation: Pick<Situation, 'records' | 'now'>) {}

  private current(type: 'event' | 'calendar' | 'category', id: string): Edit['after'] {
    const edit = this.edits.get(`${type} ${id}`);
    return edit ? edit.after : (this.situation.records.get(type, id) ?? null);
  }

  /** The events that were changed since this was asked last, as they were then and are now. */
  takeTouched(): EventEdit[] {
    const edits = [...this.touched.values()];
    this.touched = new Map();
    return edits;
  }

  private put(type: 'event' | 'calendar' | 'category', id: string, after: Edit['after']): void {
    const before = this.situation.records.get(type, id) ?? null;
    this.edits.set(`${type} ${id}`, { type, before, after });
  }

  event(id: string): CalendarEvent | null {
    const event = this.current('event', id) as CalendarEvent | null;
    return event && event.removedAt === undefined ? event : null;
  }
  calendar(id: string) {
    const calendar = this.current('calendar', id) as Calendar | null;
    return calendar && calendar.removedAt === undefined ? calendar : null;
  }
  category(id: string) {
    return this.current('category', id) as ReturnType<Hand['category']>;
  }
  events(): CalendarEvent[] {
    return this.situation.records.all('event').flatMap(({ id }) => this.event(id) ?? []);
  }
  putEvent(event: CalendarEvent): void {
    const before = this.touched.get(event.id)?.before ?? this.event(event.id);
    this.touched.set(event.id, { before, after: event });
    this.put('event', event.id, event);
  }
  removeEvent(id: string): void {
    const { now } = this.situation;
    const event = this.event(id);
    if (event) this.putEvent(revised(event, { removedAt: now }, now));
  }
  putCalendar(calendar: Calendar): void {
    this.put('calendar', calendar.id, calendar);
  }
  removeCalendar(id: string): void {
    const calendar = this.calendar(id);
    if (calendar) this.putCalendar({ ...calendar, removedAt: this.situation.now });
  }
  removeCategory(id: string): void {
    this.put('category', id, null);
  }

  get made(): Edit[] {
    return [...this.edits.values()];
  }
}

/** What mends of findings come to, and what each does to events. `zone` is the home zone. */
export function mendsOf(
  situation: Pick<Situation, 'records' | 'index' | 'now' | 'saying'>,
  mends: readonly Mend[],
  zone: string,
): { edits: Edit[]; changes: EventEdit[][] } {
  const { records, index, now, saying } = situation;
  const world = worldOf({ records, index }, { now, zone, wording: saying.wording });
  const hand = new Recorder(situation);
  const changes = mends.map((mend) => {
    CHECKS[mend.check].mend(mend, mend.how, world, hand);
    return hand.takeTouched();
  });
  return { edits: hand.made, changes };
}

/**
 * Mends findings of checks, in the ways that were chosen, as one change; new events are made right by
 * `rule` from then on, where there is one. `zone` is the home zone.
 */
export const mendFindings: Planner<{
  mends: readonly Mend[];
  zone: string;
  rule?: RuleContent | undefined;
}> = (situation, { mends, zone, rule }) => {
  const { edits } = mendsOf(situation, mends, zone);
  if (!edits.length) return null;
  const names = [...new Set(mends.map(({ check }) => CHECK_WORDS[check].name.toLowerCase()))];
  const label = `Tidied ${count(mends.length, 'finding')}: ${names.join(', ')}`;
  return withRule({ label, edits }, rule, situation);
};

/** Joins doubles into the one that stays, each field from who was chosen to give it. */
export const joinInto: Planner<{ ids: readonly string[]; choices: Choices }> = (
  situation,
  { ids, choices },
) => {
  const hand = new Recorder(situation);
  const doubles = ids.flatMap((id) => hand.event(id) ?? []);
  if (doubles.length < 2) return null;
  const kept = keptOf(doubles);
  const joined = joinDoubles(doubles, choices, situation.now);
  hand.putEvent(joined);
  for (const { id } of doubles) if (id !== kept.id) hand.removeEvent(id);
  return { label: `Joined ${doubles.length} into ${quotedTitle(joined)}`, edits: hand.made };
};

/** Leaves findings as they are: they don't come back. */
export const leaveFindings: Planner<{
  found: readonly Pick<Found, 'check' | 'key' | 'title'>[];
}> = ({ now, newId }, { found }) => ({
  label: `Left ${count(found.length, 'finding')} as ${found.length === 1 ? 'it is' : 'they are'}`,
  edits: found.map((one): Edit => ({
    type: 'left',
    before: null,
    after: { id: newId(), key: leftKey(one), title: one.title, at: now },
  })),
});

/** Shows again what was left of a check. */
export const showLeft: Planner<{ check: CheckName }> = ({ records }, { check }) => {
  const shown = records.all('left').filter(({ key }) => key.startsWith(`${check} `));
  if (!shown.length) return null;
  return {
    label: `Showed ${count(shown.length, 'finding')} again`,
    edits: shown.map((before): Edit => ({ type: 'left', before, after: null })),
  };
};

/** Takes away events that were written to a file and read back from it. */
export const archiveEvents: Planner<{ ids: readonly string[]; file: string }> = (
  { records, now },
  { ids, file },
) => {
  const events = ids.flatMap((id) => records.get('event', id) ?? []);
  if (!events.length) return null;
  return {
    label: `Archived ${count(events.length, 'event')} to ${file}`,
    edits: events.map((event) => eventEdit(event, revised(event, { removedAt: now }, now))),
  };
};

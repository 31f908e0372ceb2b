import { effective, findSweep, planSweep, SWEEP_REACH, sweepEvents } from '@/core/tidy/sweep';
import type { SweepAction, SweepStep } from '@/core/tidy/sweep';
import type { Workweek } from '@/core/model/others';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import { DAY } from '@/core/time/civil';
import { count } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import type { EventQuery } from '@/core/query/eventQuery';
import { EVERYTHING } from '@/core/query/eventQuery';
import type { Asked } from '../queries/asked';
import { askDates } from '../queries/asked';
import { eventEdit } from './events';
import type { Planner } from './plan';

/** What is to be swept, and how. */
export interface SweepRequest {
  /** The dates of series that are meant. */
  query: EventQuery;
  /** Calendars whose events are in the way. */
  blockerIds: string[];
  /** Day numbers; the last is excluded. */
  fromDay: DayNumber;
  toDay: DayNumber;
  /** The clock that looks at it. */
  zone: string;
  /** What becomes of every date, and of those (by occurrence id) that it was chosen for one by one. */
  action: SweepAction;
  chosen: Record<string, SweepAction>;
}

interface SweepSetting {
  asked: Asked;
  /** Calendars whose events can be changed. */
  ownIds: ReadonlySet<string>;
  workweek: Workweek;
}

/** The dates that a request finds, with what becomes of each. */
export function planned(request: SweepRequest, setting: SweepSetting): SweepStep[] {
  const { fromDay, toDay, zone, action, chosen } = request;
  const blockerIds = new Set(request.blockerIds);
  const window = { fromDay: fromDay - SWEEP_REACH, toDay: toDay + SWEEP_REACH, zone };
  const { occurrences } = askDates(setting.asked, EVERYTHING, window);
  const meant = askDates(setting.asked, request.query, window).occurrences;
  const meantIds = new Set(meant.map(({ id }) => id));
  const inDays = (o: { start: number }) => o.start >= fromDay * DAY && o.start < toDay * DAY;
  const items = findSweep(
    occurrences,
    blockerIds,
    (o) => inDays(o) && setting.ownIds.has(o.calendarId) && meantIds.has(o.id),
  );
  const surroundings = { occurrences, blockerIds, workweek: setting.workweek };
  return planSweep(items, ({ date }) => chosen[date.id] ?? action, surroundings);
}

/** What a sweep looks at, as things are. */
export function sweepSetting(asked: Asked): SweepSetting {
  const { records } = asked;
  const own = records.all('calendar').filter((c) => c.kind === 'own' && c.removedAt === undefined);
  const { workweek } = records.get('settings', 'mine') ?? DEFAULT_SETTINGS;
  return { asked, ownIds: new Set(own.map(({ id }) => id)), workweek };
}

/** Takes the dates of series that fall on other calendars' events out of their way. */
export const sweepSeries: Planner<{ request: SweepRequest }> = (situation, { request }) => {
  const { records, now } = situation;
  const steps = planned(request, sweepSetting(situation));
  const edits = sweepEvents(steps, (id) => records.get('event', id) ?? null, request.zone, now);
  if (!edits.length) return null;
  const done = effective(steps);
  const skipped = done.filter(({ action }) => action === 'skip').length;
  const said = [
    skipped ? `Skipped ${count(skipped, 'date')}` : '',
    done.length > skipped
      ? `${skipped ? 'moved' : 'Moved'} ${count(done.length - skipped, 'date')}`
      : '',
  ];
  return {
    label: said.filter(Boolean).join(', '),
    edits: edits.map(({ before, after }) => eventEdit(before, after)),
  };
};

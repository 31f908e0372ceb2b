import type { EventIndex } from '@/core/agenda/eventIndex';
import type { BulkConsequences } from '@/core/bulk/consequences';
import { bulkConsequences, touchedDays } from '@/core/bulk/consequences';
import type { Difference, DifferenceWording } from '@/core/bulk/differences';
import { differencesOf, sayTimes } from '@/core/bulk/differences';
import type { Subject } from '@/core/bulk/subjects';
import type { EventEdit, Scope } from '@/core/editing/series/edit';
import type { ScopeChoice } from '@/core/editing/series/scopes';
import { scopeChoices } from '@/core/editing/series/scopes';
import type { Saying } from '@/core/editing/sayMove';
import { zoneOf } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { durationOf, isSeries, isWholeDay } from '@/core/model/event';
import { dayOfWall, MINUTE } from '@/core/time/civil';
import type { EpochMs } from '@/core/time/units';
import { wallFromInstant } from '@/core/time/zones';
import type { BulkRequest, BulkTargets, DeedRequest } from '../commands/bulk';
import { bulkOf, chosenOf, deedOf, targetsOf } from '../commands/bulk';
import type { Repository } from '../repository';

/** What is selected, added up. */
export interface SelectionSummary {
  /** Those of the ids that are still there. */
  ids: string[];
  /** Single events, dates of series, and series whole. */
  singles: number;
  dates: number;
  series: number;
  /** Minutes of those that have hours; a series counts by one date. */
  minutes: number;
  /** In the order in which they were met. */
  calendarIds: string[];
  hasFiles: boolean;
}

/** One line of a preview. */
export interface PreviewLine {
  /** As it was selected. */
  id: string;
  eventId: string;
  title: string;
  calendarId: string;
  when: string;
  /** Which dates of its series it reaches; null for a single event. */
  scope: Scope | null;
  differences: Difference[];
  /** What becomes of it as a whole; empty where it is only changed. */
  outcome: string;
  refusals: string[];
  isChanged: boolean;
}

/** A series of which dates were selected, with what each scope would reach. */
export interface SeriesScopes {
  eventId: string;
  title: string;
  choices: ScopeChoice[];
}

export interface BulkPreview {
  lines: PreviewLine[];
  total: number;
  changed: number;
  /** Why things can't be done, and to how many. */
  refused: { reason: string; count: number }[];
  consequences: BulkConsequences | null;
  series: SeriesScopes[];
}

/** How a preview says things, and when it is asked for. */
export interface PreviewManner extends Saying {
  now: EpochMs;
  /** The home zone. */
  home: string;
}

/** Lines that a preview lists, and series whose scopes can be said one by one. */
const LISTED = 300;
const SCOPED = 40;

interface Parts {
  repository: Pick<Repository, 'get' | 'all'>;
  index: EventIndex;
}

/** What would become of many events. Nothing here changes anything. */
export class Bulk {
  constructor(private readonly parts: Parts) {}

  /** What is selected, added up, without what is gone. */
  summary(ids: readonly string[]): SelectionSummary {
    const chosen = chosenOf(this.parts.repository, ids);
    const summary: SelectionSummary = {
      ids: chosen.map(({ id }) => id),
      singles: 0,
      dates: 0,
      series: 0,
      minutes: 0,
      calendarIds: [...new Set(chosen.map(({ event }) => event.calendarId))],
      hasFiles: chosen.some(({ event }) => event.attachments.length > 0),
    };
    for (const { event, dateKey } of chosen) {
      if (!isSeries(event)) summary.singles++;
      else if (dateKey === null) summary.series++;
      else summary.dates++;
      if (!isWholeDay(event)) summary.minutes += durationOf(event) / MINUTE;
    }
    return summary;
  }

  /** What several edits of many events come to. @throws RangeError for a pattern that can't be used. */
  preview(request: BulkRequest, manner: PreviewManner): BulkPreview {
    const { lines, edits } = bulkOf(this.situation(manner), request);
    const wording = this.wording(manner);
    const said = lines.slice(0, LISTED).map(({ subject, after, refusals, isChanged }) => ({
      ...this.line(subject, manner),
      differences: isChanged ? differencesOf(subject.date, after, wording) : [],
      outcome: '',
      refusals,
      isChanged,
    }));
    const changed = lines.filter(({ isChanged }) => isChanged).length;
    const refused = counted(lines.flatMap(({ refusals }) => refusals));
    return {
      lines: said,
      total: lines.length,
      changed,
      refused,
      consequences: this.consequences(edits, request, manner),
      series: this.series(request, manner),
    };
  }

  /** What something done to many events as wholes comes to. @throws RangeError when it can't be done. */
  deedPreview(request: DeedRequest, manner: PreviewManner): BulkPreview {
    const { lines, edits } = deedOf(this.situation(manner), request);
    return {
      lines: lines.slice(0, LISTED).map(({ subject, outcome, isChanged }) => ({
        ...this.line(subject, manner),
        differences: [],
        outcome,
        refusals: [],
        isChanged,
      })),
      total: lines.length,
      changed: lines.filter(({ isChanged }) => isChanged).length,
      refused: [],
      consequences: this.consequences(edits, request, manner),
      series: request.deed.kind === 'skip' ? [] : this.series(request, manner),
    };
  }

  private situation({ now }: PreviewManner) {
    // Names of events that may be made are of no meaning here.
    let nth = 0;
    return { records: this.parts.repository, now, newId: () => `new-${nth++}` };
  }

  private wording({ wording, clock, home }: PreviewManner): DifferenceWording {
    const { repository } = this.parts;
    return {
      ...wording,
      clock,
      home,
      calendarOf: (id) => repository.get('calendar', id),
      categoryName: (id) => repository.get('category', id)?.name ?? 'a removed category',
    };
  }

  private line({ id, event, key, scope, date }: Subject, { wording, clock, home }: PreviewManner) {
    return {
      id,
      eventId: event.id,
      title: date.title,
      calendarId: event.calendarId,
      when: sayTimes(date, { ...wording, clock, home }),
      scope: key === null ? null : scope,
    };
  }

  private consequences(
    edits: readonly EventEdit[],
    { zone }: BulkTargets,
    { now }: PreviewManner,
  ): BulkConsequences | null {
    const days = touchedDays(edits, dayOfWall(wallFromInstant(now, zone)));
    if (!days) return null;
    const calendars = this.parts.repository
      .all('calendar')
      .filter(({ removedAt }) => removedAt === undefined);
    const window = { ...days, zone };
    const ids = new Set(calendars.map(({ id }) => id));
    const closures = new Set(calendars.flatMap(({ id, isClosures }) => (isClosures ? [id] : [])));
    const around = this.parts.index.query(window, ids).occurrences;
    return bulkConsequences(edits, around, window, closures);
  }

  /** The series of which dates were selected, the earliest date of each saying what scopes reach. */
  private series(request: BulkTargets, { now }: PreviewManner): SeriesScopes[] {
    const subjects = targetsOf(this.parts.repository, request).filter(
      ({ id, event, key }) => key !== null && id !== event.id,
    );
    const byEvent = new Map<string, Subject>();
    for (const subject of subjects)
      if (!byEvent.has(subject.event.id)) byEvent.set(subject.event.id, subject);
    return [...byEvent.values()].slice(0, SCOPED).map(({ event, key }) => ({
      eventId: event.id,
      title: event.title,
      choices: scopeChoices(event, key!, null, nowOf(event, now)),
    }));
  }
}

const nowOf = (event: CalendarEvent, now: EpochMs) =>
  wallFromInstant(now, zoneOf(event.start) ?? 'UTC');

function counted(reasons: readonly string[]): BulkPreview['refused'] {
  const counts = new Map<string, number>();
  for (const reason of reasons) counts.set(reason, (counts.get(reason) ?? 0) + 1);
  return [...counts].map(([reason, count]) => ({ reason, count }));
}

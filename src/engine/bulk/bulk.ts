import { partsOfId } from '@/core/agenda/occurrence';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { EventIndex } from '@/core/agenda/eventIndex';
import type { BulkConsequences } from '@/core/bulk/consequences';
import { bulkConsequences, touchedDays } from '@/core/bulk/consequences';
import type { Difference, DifferenceWording } from '@/core/bulk/differences';
import { differencesOf, sayTimes } from '@/core/bulk/differences';
import type { Subject } from '@/core/bulk/subjects';
import { dateAsEvent } from '@/core/editing/series/dates';
import type { EventEdit, Scope } from '@/core/editing/series/edit';
import type { ScopeChoice } from '@/core/editing/series/scopes';
import { scopeChoices } from '@/core/editing/series/scopes';
import type { Saying } from '@/core/editing/sayMove';
import { zoneOf } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { durationOf, isSeries, isWholeDay } from '@/core/model/event';
import { quotedTitle } from '@/core/model/titleOf';
import { dayOfWall, MINUTE } from '@/core/time/civil';
import type { EpochMs } from '@/core/time/units';
import { saySpan } from '@/core/time/words';
import { wallFromInstant } from '@/core/time/zones';
import type { BulkRequest, BulkTargets, DeedRequest } from '../commands/bulk';
import { bulkOf, chosenOf, deedOf, targetsOf } from '../commands/bulk';
import type { Mend } from '../commands/tidy';
import { mendsOf } from '../commands/tidy';
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
  /** What it would clash with that it does not clash with now. */
  clashes: string[];
  isChanged: boolean;
}

/** A mend of a finding, with what the finding is called and what the mend's button says. */
export interface NamedMend extends Mend {
  title: string;
  label: string;
}

/** A series of which dates were selected, with what each scope would reach. */
export interface SeriesScopes {
  eventId: string;
  title: string;
  choices: ScopeChoice[];
}

/** A line before it is known what it would clash with. */
interface DraftLine extends Omit<PreviewLine, 'clashes'> {
  /** The date, by its occurrence's id, or the event whose clashes are its own. */
  about: string;
}

export interface BulkPreview {
  lines: PreviewLine[];
  total: number;
  changed: number;
  /** Why things can't be done, and to how many. */
  refused: { reason: string; count: number }[];
  consequences: (Omit<BulkConsequences, 'made'> & { otherClashes: string[] }) | null;
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
/** Clashes that a preview names. */
const NAMED = 100;
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
      ...this.withConsequences(said, edits, request.zone, manner),
      total: lines.length,
      changed,
      refused,
      series: this.series(request, manner),
    };
  }

  /** What something done to many events as wholes comes to. @throws RangeError when it can't be done. */
  deedPreview(request: DeedRequest, manner: PreviewManner): BulkPreview {
    const { lines, edits } = deedOf(this.situation(manner), request);
    const wording = this.wording(manner);
    const joined =
      request.deed.kind === 'join' ? edits.find(({ before }) => before === null)?.after : undefined;
    const first = lines.findIndex(({ isChanged }) => isChanged);
    const said = lines.slice(0, LISTED).map(({ subject, outcome, isChanged }, nth) => ({
      ...this.line(subject, manner),
      // The first of what is joined says all that it takes over of the others.
      differences: joined && nth === first ? differencesOf(subject.date, joined, wording) : [],
      outcome,
      refusals: [],
      isChanged,
    }));
    return {
      ...this.withConsequences(said, edits, request.zone, manner),
      total: lines.length,
      changed: lines.filter(({ isChanged }) => isChanged).length,
      refused: [],
      series: request.deed.kind === 'skip' ? [] : this.series(request, manner),
    };
  }

  /** What mends of findings come to, those of the keys left out not done; a line a finding. */
  mendPreview(
    mends: readonly NamedMend[],
    leftOut: readonly string[],
    manner: PreviewManner,
  ): BulkPreview {
    const isDone = ({ key }: Mend) => !leftOut.includes(key);
    const situation = { ...this.situation(manner), index: this.parts.index, saying: manner };
    const done = mends.filter(isDone);
    const { edits, changes } = mendsOf(situation, done, manner.home);
    const changesOf = new Map(done.map((mend, nth) => [mend, changes[nth]!]));
    const said = mends
      .slice(0, LISTED)
      .map((mend) => this.mendLine(mend, changesOf.get(mend) ?? [], manner));
    const events = edits.flatMap(({ type, before, after }) =>
      type === 'event' && after ? [{ before, after } as EventEdit] : [],
    );
    return {
      ...this.withConsequences(said, events, manner.clock, manner),
      total: mends.length,
      changed: done.length,
      refused: [],
      series: [],
    };
  }

  /** What a mend does to the first of its events; of others, and of what is no event, its button tells. */
  private mendLine(
    { key, ids, title, label }: NamedMend,
    changes: readonly EventEdit[],
    manner: PreviewManner,
  ): DraftLine {
    const [first, ...others] = changes;
    const id = ids.find((one) => partsOfId(one).eventId === first?.after.id) ?? ids[0] ?? '';
    const { eventId, dateKey } = partsOfId(id);
    const now = this.parts.repository.get('event', eventId);
    const before = first?.before ?? now;
    const dateOf = (event: CalendarEvent) =>
      dateKey === null ? event : dateAsEvent(event, dateKey);
    const differences =
      first?.before && first.after.removedAt === undefined
        ? differencesOf(dateOf(first.before), dateOf(first.after), this.wording(manner))
        : [];
    return {
      id: key,
      eventId,
      about: id,
      title: before?.title ?? title,
      calendarId: before?.calendarId ?? '',
      when: before ? sayTimes(dateOf(before), { ...manner.wording, ...manner }) : '',
      scope: null,
      differences,
      outcome: changes.length > 0 && differences.length > 0 && !others.length ? '' : label,
      refusals: [],
      isChanged: true,
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
      // An edit of this date alone makes clashes of that date; any other may make them of each.
      about: scope === 'this' ? id : event.id,
    };
  }

  /** Lines with the clashes that each would make, and what all edits do to clashes and closures. */
  private withConsequences(
    lines: readonly DraftLine[],
    edits: readonly EventEdit[],
    zone: string,
    { now, wording }: PreviewManner,
  ): Pick<BulkPreview, 'lines' | 'consequences'> {
    const found = this.consequences(edits, zone, now);
    const { made = [], ...sums } = found ?? {};
    const isOf = ({ about }: DraftLine, o: Occurrence) => about === o.id || about === o.eventId;
    const other: string[] = [];
    const byLine = new Map<DraftLine, string[]>();
    for (const { first, second } of made.slice(0, NAMED)) {
      const concerned = lines.filter((line) => isOf(line, first) || isOf(line, second));
      for (const line of concerned) {
        const opposite = isOf(line, first) ? second : first;
        const said = `${quotedTitle(opposite)}, ${saySpan(opposite, wording)}`;
        byLine.set(line, [...(byLine.get(line) ?? []), said]);
      }
      if (!concerned.length)
        other.push(`${quotedTitle(first)} and ${quotedTitle(second)}, ${saySpan(second, wording)}`);
    }
    return {
      lines: lines.map((line) => {
        const { about: _about, ...said } = line;
        return { ...said, clashes: byLine.get(line) ?? [] };
      }),
      consequences: found && {
        ...(sums as Omit<BulkConsequences, 'made'>),
        otherClashes: other,
      },
    };
  }

  private consequences(
    edits: readonly EventEdit[],
    zone: string,
    now: EpochMs,
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

import { keyOfWall } from '../editing/series/dates';
import { changedDateFrom } from '../files/ics/readEvent';
import type { EventDraft } from '../files/ics/readEvent';
import type { EventTime } from '../model/common';
import { wallOf } from '../model/common';
import type { ChangedDate } from '../model/event';
import type { InviteMessage } from './messages';
import { byVersion, isFromGuest, keyOf } from './messages';

/** How an event stands by all that its organizer said of it. */
export interface Standing {
  /** The event as it is asked now, its changed and cancelled dates in it. */
  draft: EventDraft;
  /** The version before, where there was one. */
  before: EventDraft | null;
  /** The last message of the whole, or, where one came later, of a date. */
  last: InviteMessage;
  /** The highest SEQUENCE that counts: what an answer to it names. */
  sequence: number;
  isCancelled: boolean;
  /** The date of a series that is all that was asked to; null where the whole was. */
  alone: EventTime | null;
  /** Names of single dates that were called off. */
  cancelledDates: readonly string[];
}

/** A series whose dates are being put in: mutable, so that thousands of messages take linear time. */
interface Building {
  whole: EventDraft;
  extraDates: EventDraft['extraDates'];
  changed: Map<string, ChangedDate>;
  skipped: Set<string>;
}

const buildingOf = (whole: EventDraft): Building => ({
  whole,
  extraDates: [...whole.extraDates],
  changed: new Map(Object.entries(whole.changedDates)),
  skipped: new Set(whole.skippedDates),
});

const built = ({ whole, extraDates, changed, skipped }: Building): EventDraft => ({
  ...whole,
  extraDates,
  changedDates: Object.fromEntries(changed),
  skippedDates: [...skipped].sort(),
});

/** Puts in a date that was added (ADD, RFC 5546 §3.2.4): an added date, changed where it says something else. */
function putAdded(building: Building, { draft }: InviteMessage): void {
  const { whole, extraDates, changed } = building;
  const { start, end } = draft;
  const key = keyOfWall(whole, wallOf(start));
  if (!extraDates.some((one) => keyOfWall(whole, wallOf(one.start)) === key))
    extraDates.push({ start, end });
  const { revision: _revision, ...change } = changedDateFrom(
    { ...whole, extraDates: [{ start, end }], changedDates: {} },
    asDate(draft),
    { key, andLater: false, isOwnFile: false },
  );
  if (Object.keys(change).length) changed.set(key, { ...change, revision: draft.revision });
}

/** Puts in what the organizer said of a date: called off, or another. */
function putDate(building: Building, message: InviteMessage): void {
  if (message.method === 'add') return putAdded(building, message);
  const { whole, extraDates, changed, skipped } = building;
  const key = keyOf(message, whole.start);
  if (key === null) return;
  changed.delete(key);
  if (message.method === 'cancel') {
    skipped.add(key);
    return;
  }
  skipped.delete(key);
  const change = changedDateFrom(
    { ...whole, extraDates, changedDates: {} },
    asDate(message.draft),
    { key, andLater: message.andLater, isOwnFile: false },
  );
  changed.set(key, change);
}

/** A date's entry without the name of its date, which the series keeps. */
function asDate(draft: EventDraft): EventDraft {
  const { passthrough, ...rest } = draft;
  if (!passthrough) return draft;
  const properties = passthrough.properties.filter(
    ([name]) => name !== 'recurrence-id' && name !== 'comment',
  );
  const isEmpty = !properties.length && !passthrough.components.length && !passthrough.parameters;
  return isEmpty ? rest : { ...rest, passthrough: { ...passthrough, properties } };
}

const isAfter = (whole: InviteMessage) => (date: InviteMessage) =>
  date.sequence > whole.sequence || (date.sequence === whole.sequence && date.stamp >= whole.stamp);

/**
 * Those of the whole among messages in order. Who is asked to one date of a series alone never hears
 * of the whole: that date is the event then.
 */
function wholesAmong(sorted: readonly InviteMessage[]): readonly InviteMessage[] {
  const wholes = sorted.filter(({ time, method }) => time === null && method !== 'add');
  if (wholes.some(({ method }) => method === 'request')) return wholes;
  const request = sorted.find(({ method }) => method === 'request');
  if (!request) return wholes;
  const date = JSON.stringify(request.time);
  // A cancellation of the whole calls that date off as well.
  return sorted.filter(({ time, method }) =>
    time === null ? method === 'cancel' : JSON.stringify(time) === date,
  );
}

/** Requests, additions and cancellations in the order in which they were meant. */
const organizersWords = (messages: readonly InviteMessage[]): InviteMessage[] =>
  messages.filter((one) => !isFromGuest(one) && one.method !== 'declineCounter').sort(byVersion);

/**
 * How an event stands by the requests, additions and cancellations that its organizer sent, in
 * whatever order and however often they came: the latest of the whole counts, with what was said of
 * single dates after it. Null where nothing of the whole is known.
 */
export function standingOf(messages: readonly InviteMessage[]): Standing | null {
  const sorted = organizersWords(messages);
  const wholes = new Set(wholesAmong(sorted));
  const requests = [...wholes].filter(({ method }) => method === 'request');
  const whole = requests.at(-1);
  const last = [...wholes].at(-1);
  if (!whole || !last) return null;
  const dates = sorted.filter((one) => !wholes.has(one)).filter(isAfter(whole));
  const building = buildingOf(asDate(whole.draft));
  let earlier = requests.at(-2) && asDate(requests.at(-2)!.draft);
  dates.forEach((message, nth) => {
    if (nth === dates.length - 1) earlier = built(building);
    putDate(building, message);
  });
  const draft = built(building);
  const planned = new Set(whole.draft.skippedDates);
  const latest = [last, ...dates].sort(byVersion).at(-1)!;
  return {
    draft,
    before: earlier ?? null,
    last: latest,
    sequence: latest.sequence,
    isCancelled: last.method === 'cancel',
    alone: whole.time,
    cancelledDates: draft.skippedDates.filter((key) => !planned.has(key)),
  };
}

import { changedDateFrom } from '../files/ics/readEvent';
import type { EventDraft } from '../files/ics/readEvent';
import type { InviteMessage } from './messages';
import { byVersion, keyOf } from './messages';

/** How an event that somebody else asks to stands, by all that was said of it. */
export interface Standing {
  /** The event as it is asked now, its changed and cancelled dates in it. */
  draft: EventDraft;
  /** The version before, where there was one. */
  before: EventDraft | null;
  /** The last message of the whole, or, where one came later, of a date. */
  last: InviteMessage;
  isCancelled: boolean;
  /** Names of single dates that were called off. */
  cancelledDates: readonly string[];
}

/** What the organizer said of a date put into the series: called off, or another. */
function withDate(draft: EventDraft, message: InviteMessage): EventDraft {
  const key = keyOf(message, draft.start);
  if (key === null) return draft;
  const { [key]: _before, ...changedDates } = draft.changedDates;
  if (message.method === 'cancel')
    return {
      ...draft,
      changedDates,
      skippedDates: [...new Set([...draft.skippedDates, key])].sort(),
    };
  const change = changedDateFrom({ ...draft, changedDates: {} }, asDate(message.draft), {
    key,
    andLater: message.andLater,
    isOwnFile: false,
  });
  return {
    ...draft,
    skippedDates: draft.skippedDates.filter((one) => one !== key),
    changedDates: { ...changedDates, [key]: change },
  };
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
  const wholes = sorted.filter(({ time }) => time === null);
  if (wholes.length) return wholes;
  const date = JSON.stringify(sorted.find(({ method }) => method === 'request')?.time);
  return sorted.filter(({ time }) => JSON.stringify(time) === date);
}

/**
 * How an event stands by the requests and cancellations that its organizer sent, in whatever order
 * and however often they came: the latest of the whole counts, with what was said of single dates
 * after it. Null where nothing of the whole is known.
 */
export function standingOf(messages: readonly InviteMessage[]): Standing | null {
  const sorted = messages
    .filter(({ method }) => method === 'request' || method === 'cancel')
    .sort(byVersion);
  const wholes = wholesAmong(sorted);
  const requests = wholes.filter(({ method }) => method === 'request');
  const whole = requests.at(-1);
  const last = wholes.at(-1);
  if (!whole || !last) return null;
  const dates = sorted.filter((one) => !wholes.includes(one)).filter(isAfter(whole));
  const draft = dates.reduce(withDate, asDate(whole.draft));
  const earlier = dates.length
    ? dates.slice(0, -1).reduce(withDate, asDate(whole.draft))
    : requests.at(-2) && asDate(requests.at(-2)!.draft);
  return {
    draft,
    before: earlier ?? null,
    last: [last, ...dates].sort(byVersion).at(-1)!,
    isCancelled: last.method === 'cancel',
    cancelledDates: draft.skippedDates.filter((key) => !whole.draft.skippedDates.includes(key)),
  };
}

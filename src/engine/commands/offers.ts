import type { CalendarEvent } from '@/core/model/event';
import { revised } from '@/core/model/event';
import type { Offer } from '@/core/model/offer';
import { quotedTitle } from '@/core/model/titleOf';
import { attendeesOf } from '@/core/people/guests';
import { sayStart } from '@/core/editing/sayMove';
import type { EpochMs } from '@/core/time/units';
import { count } from '@/core/time/words';
import { UserError } from '@/core/userError';
import type { Edit } from '../change';
import { eventEdit } from './events';
import type { Planner, Records } from './plan';

/** Holds times that are offered: the offer, with a tentative event for each. */
export const keepOffer: Planner<{ offer: Offer; events: readonly CalendarEvent[] }> = (
  _,
  { offer, events },
) => ({
  label: `Held ${count(offer.times.length, 'time')} for ${quotedTitle(offer)}`,
  edits: [
    { type: 'offer', before: null, after: offer },
    ...events.map((event) => eventEdit(null, event)),
  ],
});

/** Takes away what holds some times of an offer; what was removed by hand meanwhile is gone already. */
const letGo = (records: Records, times: Offer['times']): Edit[] =>
  times.flatMap(({ eventId }): Edit[] => {
    const before = records.get('event', eventId);
    return before ? [{ type: 'event', before, after: null }] : [];
  });

/** One of the offered times was taken: it is booked, with its guests, and the others are let go. */
export const takeOffer: Planner<{ id: string; start: EpochMs }> = (
  { records, now, saying },
  { id, start },
) => {
  const offer = records.get('offer', id);
  const time = offer?.times.find((one) => one.start === start);
  const held = time && records.get('event', time.eventId);
  if (!offer || !held) throw new UserError('gone', 'This time is not held any more.');
  const guests = offer.guestIds.map((guest) => ({ id: guest, isRequired: true }));
  const attendees = attendeesOf(guests, records.all('person'));
  const taken = revised(held, { title: offer.title, availability: 'busy', attendees }, now);
  const others = offer.times.filter((one) => one !== time);
  const rest = others.length ? `, and let go of ${count(others.length, 'other')}` : '';
  return {
    label: `Took ${sayStart(taken, saying)} for ${quotedTitle(offer)}${rest}`,
    about: held.id,
    edits: [
      { type: 'offer', before: offer, after: null },
      eventEdit(held, taken),
      ...letGo(records, others),
    ],
  };
};

/** Lets go of everything that an offer holds. */
export const letGoOffer: Planner<{ id: string }> = ({ records }, { id }) => {
  const offer = records.get('offer', id);
  if (!offer) return null;
  return {
    label: `Let go of ${count(offer.times.length, 'time')} held for ${quotedTitle(offer)}`,
    edits: [{ type: 'offer', before: offer, after: null }, ...letGo(records, offer.times)],
  };
};

/** Lets go of held times that nobody took and that have begun. */
export const letGoPast: Planner<object> = ({ records, now }) => {
  const edits = records.all('offer').flatMap((before): Edit[] => {
    const past = before.times.filter(({ start }) => start <= now);
    if (!past.length) return [];
    const times = before.times.filter(({ start }) => start > now);
    const after = times.length ? { ...before, times } : null;
    return [{ type: 'offer', before, after }, ...letGo(records, past)];
  });
  const events = edits.filter(({ type }) => type === 'event').length;
  return edits.length
    ? { label: `Let go of ${count(events, 'held time')} that nobody took`, edits }
    : null;
};

import { alikeInks, inkName } from '../../calendars/inks';
import { isSeries, revised } from '../../model/event';
import { titleOf } from '../../model/titleOf';
import { count } from '../../time/words';
import { isNear } from '../../query/near';
import { plain } from '../likeness';
import type { Check, World } from './check';
import { asPhrase } from '../../query/words';
import { keyOf } from './check';

/** So many events of one title say where it belongs, where so much of them lie on one calendar. */
const LEAST = 4;
const MOST_PART = 0.7;

/** One title on several calendars, of which one has most. */
export const scattered: Check = {
  find(world) {
    const titles = new Map<string, Map<string, string[]>>();
    for (const { id, title, calendarId } of world.events) {
      const said = plain(title);
      if (!said) continue;
      const calendars = titles.get(said) ?? new Map<string, string[]>();
      titles.set(said, calendars);
      const ids = calendars.get(calendarId);
      if (ids) ids.push(id);
      else calendars.set(calendarId, [id]);
    }
    const byId = new Map(world.events.map((event) => [event.id, event]));
    return [...titles].flatMap(([said, calendars]) => {
      if (calendars.size < 2) return [];
      const sorted = [...calendars].sort((a, b) => b[1].length - a[1].length);
      const total = sorted.reduce((sum, [, ids]) => sum + ids.length, 0);
      const [most] = sorted;
      if (total < LEAST || most![1].length / total < MOST_PART) return [];
      const others = sorted.slice(1).flatMap(([, ids]) => ids);
      const title = titleOf(byId.get(others[0]!)!);
      const name = world.calendars.find(({ id }) => id === most![0])?.name ?? '';
      return {
        key: keyOf(said, most![0], ...others.toSorted()),
        ids: others,
        title,
        reason: `${most![1].length} of ${total} are on ${name}; ${count(others.length, 'is', 'are')} not`,
        ways: [
          {
            how: most![0],
            label: `To ${name}`,
            rule: {
              words: asPhrase(title),
              steps: [{ kind: 'calendar', calendarId: most![0] }],
            },
          },
        ],
      };
    });
  },
  mend({ ids }, how, { now }, hand) {
    for (const id of ids) {
      const event = hand.event(id);
      if (event) hand.putEvent(revised(event, { calendarId: how }, now));
    }
  },
};

/** Calendars that can hardly be told apart. */
export const inks: Check = {
  find: (world) =>
    alikeInks(world.calendars.filter(({ listed }) => listed)).map(
      ({ calendar, like, who, better }) => ({
        key: keyOf(calendar.id, calendar.ink, ...like.map(({ ink }) => ink)),
        ids: [],
        title: calendar.name,
        reason: `Like ${like.map(({ name }) => name).join(', ')}, for ${who === 'everyone' ? 'everyone' : 'people who see colours otherwise'}`,
        ways: [{ how: better, label: `Give it ${inkName(better)}` }],
      }),
    ),
  mend({ key }, how, _world, hand) {
    const calendar = hand.calendar(key.split(' ')[0]!);
    if (calendar) hand.putCalendar({ ...calendar, ink: how });
  },
};

/** How often each category is used. */
function usesOf({ events }: Pick<World, 'events'>): Map<string, number> {
  const uses = new Map<string, number>();
  for (const { categoryIds, changedDates } of events)
    for (const ids of [categoryIds, ...Object.values(changedDates).map((d) => d.categoryIds ?? [])])
      for (const id of ids) uses.set(id, (uses.get(id) ?? 0) + 1);
  return uses;
}

/** Calendars and categories that nothing is on. */
export const unused: Check = {
  find(world) {
    const used = new Set(world.events.map(({ calendarId }) => calendarId));
    const uses = usesOf(world);
    const own = world.calendars.filter(({ kind }) => kind === 'own');
    return [
      // One to put events on is always needed.
      ...own
        .filter(
          ({ id }) => own.length > 1 && !used.has(id) && id !== world.settings.defaultCalendarId,
        )
        .map(({ id, name }) => ({
          key: keyOf('calendar', id),
          ids: [],
          title: name,
          reason: 'A calendar without an event',
          ways: [{ how: 'remove', label: 'Remove it' }],
        })),
      ...world.categories
        .filter(({ id }) => !uses.has(id))
        .map(({ id, name }) => ({
          key: keyOf('category', id),
          ids: [],
          title: name,
          reason: 'A category that no event has',
          ways: [{ how: 'remove', label: 'Remove it' }],
        })),
    ];
  },
  mend({ key }, _how, _world, hand) {
    const [kind, id] = key.split(' ') as [string, string];
    if (kind === 'calendar') hand.removeCalendar(id);
    else hand.removeCategory(id);
  },
};

const LEAST_FOR_SLIP = 5;

/** Categories that are spelled in two ways. */
export const spelledTwice: Check = {
  find(world) {
    const uses = usesOf(world);
    const used = (id: string) => uses.get(id) ?? 0;
    const sorted = world.categories.toSorted((a, b) => used(b.id) - used(a.id));
    return sorted.flatMap((category, i) => {
      const name = plain(category.name);
      const same = sorted.slice(0, i).find((other) => {
        const otherName = plain(other.name);
        const isLong = Math.min(name.length, otherName.length) >= LEAST_FOR_SLIP;
        return (
          name === otherName ||
          name === `${otherName}s` ||
          `${name}s` === otherName ||
          (isLong && isNear(name, otherName, 1))
        );
      });
      if (!same) return [];
      return {
        key: keyOf(category.id, same.id),
        ids: [],
        title: `${category.name} and ${same.name}`,
        reason: `${count(used(category.id), 'event has', 'events have')} “${category.name}”, ${used(same.id)} “${same.name}”`,
        ways: [{ how: 'merge', label: `Merge into ${same.name}` }],
      };
    });
  },
  mend({ key }, _how, { now }, hand) {
    const [fromId, intoId] = key.split(' ') as [string, string];
    if (!hand.category(fromId) || !hand.category(intoId)) return;
    const merged = (ids: readonly string[]) => [
      ...new Set(ids.map((id) => (id === fromId ? intoId : id))),
    ];
    for (const event of hand.events()) {
      const dates = Object.entries(event.changedDates);
      const isOn =
        event.categoryIds.includes(fromId) ||
        (isSeries(event) && dates.some(([, { categoryIds }]) => categoryIds?.includes(fromId)));
      if (!isOn) continue;
      const changedDates = Object.fromEntries(
        dates.map(([name, date]) => [
          name,
          date.categoryIds ? { ...date, categoryIds: merged(date.categoryIds) } : date,
        ]),
      );
      const fields = { categoryIds: merged(event.categoryIds), changedDates };
      hand.putEvent(revised(event, fields, now));
    }
    hand.removeCategory(fromId);
  },
};

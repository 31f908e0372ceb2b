import type { CalendarEvent } from '../../model/event';
import { isSeries, isWholeDay, durationOf, revised } from '../../model/event';
import { wallOf, zoneOf } from '../../model/common';
import { titleOf } from '../../model/titleOf';
import { instantOf } from '../../time/zones';
import { plain } from '../likeness';
import { asPhrase } from '../../query/words';
import { keyOf } from './check';
import type { Check, World } from './check';
import { whenOf } from './words';

/** Words of whole days that tell of something and take no time from the person. */
const TELLS =
  /\b(?:birthday|anniversary|bank holiday|public holiday|school holidays?|clocks? (?:go|change))\b/;
const IS_AWAY = /\b(?:away|leave|holiday|vacation|off|out|ill|sick)\b/;

/** What a whole day that takes time seems to tell of instead; null when it may well take it. */
function tellsOf(event: CalendarEvent, names: readonly string[]): string | null {
  if (!isWholeDay(event)) return null;
  if (event.availability !== 'busy' && event.availability !== 'away') return null;
  const title = plain(event.title);
  if (TELLS.test(title)) return 'a day that is marked, not taken';
  const name = names.find((one) => title.split(' ').includes(one));
  return name && IS_AWAY.test(title) ? 'a colleague who is away' : null;
}

/** First names of colleagues, and of whoever stands in whole days that are free already. */
function colleaguesOf({ people, events }: World): string[] {
  const known = people
    .filter(({ kind }) => kind === 'person')
    .map(({ name }) => plain(name).split(' ')[0]!);
  const told = events.flatMap((event) => {
    const words = plain(event.title).split(' ');
    const isTold =
      isWholeDay(event) &&
      event.availability === 'free' &&
      words.length === 2 &&
      IS_AWAY.test(words[1]!);
    return isTold ? [words[0]!] : [];
  });
  return [...new Set([...known, ...told])].filter(Boolean);
}

/** Whole days that are marked busy and only tell of something. */
export const information: Check = {
  find(world) {
    const names = colleaguesOf(world);
    return world.events.flatMap((event) => {
      const told = tellsOf(event, names);
      if (told === null) return [];
      return {
        key: keyOf(event.id),
        ids: [event.id],
        title: titleOf(event),
        reason: `It looks like ${told} · ${whenOf(event, world)}`,
        ways: [
          {
            how: 'free',
            label: 'Make it free',
            rule: {
              words: asPhrase(event.title),
              steps: [{ kind: 'availability', availability: 'free' }],
            },
          },
        ],
      };
    });
  },
  mend({ ids }, _how, { now }, hand) {
    const event = hand.event(ids[0]!);
    if (event) hand.putEvent(revised(event, { availability: 'free' }, now));
  },
};

/** Reminders that can't remind of anything any more, or of nothing that takes time. */
export const idleReminders: Check = {
  find: (world) =>
    world.events.flatMap((event) => {
      if (!event.reminders?.length) return [];
      const ends =
        instantOf(wallOf(event.start), zoneOf(event.start), world.zone) + durationOf(event);
      const isOver = !isSeries(event) && ends < world.now;
      const isFree = isWholeDay(event) && event.availability === 'free';
      if (!isOver && !isFree) return [];
      return {
        key: keyOf(event.id, isOver ? 'over' : 'free'),
        ids: [event.id],
        title: titleOf(event),
        reason: `${isOver ? 'It is over' : 'A free whole day'} · ${whenOf(event, world)}`,
        ways: [{ how: 'clear', label: 'Clear its reminders' }],
      };
    }),
  mend({ ids }, _how, { now }, hand) {
    const event = hand.event(ids[0]!);
    if (event) hand.putEvent(revised(event, { reminders: [] }, now));
  },
};

/** Words of what people keep to themselves. */
const PRIVATE =
  /\b(?:dentist|doctor|hospital|clinic|therapy|therapist|physio|appraisal|salary|disciplinary|private|personal|solicitor|bank manager)\b/;

/** Entries that look private and can be read by others. */
export const unguarded: Check = {
  find: (world) =>
    world.events.flatMap((event) => {
      if (event.visibility === 'private' || !PRIVATE.test(plain(event.title))) return [];
      return {
        key: keyOf(event.id),
        ids: [event.id],
        title: titleOf(event),
        reason: `Others can read its title · ${whenOf(event, world)}`,
        ways: [
          {
            how: 'hide',
            label: 'Make it private',
            rule: {
              words: asPhrase(event.title),
              steps: [{ kind: 'visibility', visibility: 'private' }],
            },
          },
        ],
      };
    }),
  mend({ ids }, _how, { now }, hand) {
    const event = hand.event(ids[0]!);
    if (event) hand.putEvent(revised(event, { visibility: 'private' }, now));
  },
};

/** Bytes of a file that is large. */
const LARGE = 1_000_000;

/** Files that take much room, or are there twice. */
export const files: Check = {
  find(world) {
    const all = world.events.flatMap((event) => event.attachments.map((file) => ({ event, file })));
    const copies = new Map<string, number>();
    const nameOf = ({ name, bytes }: { name: string; bytes: number }) => `${bytes} ${plain(name)}`;
    for (const { file } of all) copies.set(nameOf(file), (copies.get(nameOf(file)) ?? 0) + 1);
    return all
      .filter(({ file }) => file.bytes >= LARGE || copies.get(nameOf(file))! > 1)
      .sort((a, b) => b.file.bytes - a.file.bytes)
      .map(({ event, file }) => {
        const isDouble = copies.get(nameOf(file))! > 1;
        return {
          key: keyOf(event.id, file.id),
          ids: [event.id],
          title: file.name,
          reason: `${isDouble ? `There ${copies.get(nameOf(file))} times` : `${(file.bytes / 1e6).toFixed(1)} MB`}, on “${titleOf(event)}”`,
          ways: [{ how: 'detach', label: 'Take it off' }],
        };
      });
  },
  mend({ ids, key }, _how, { now }, hand) {
    const event = hand.event(ids[0]!);
    const fileId = key.slice(key.indexOf(' ') + 1);
    if (!event) return;
    const attachments = event.attachments.filter(({ id }) => id !== fileId);
    hand.putEvent(revised(event, { attachments }, now));
  },
};

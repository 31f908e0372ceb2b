import MiniSearch from 'minisearch';
import type { CalendarEvent } from '../model/event';
import type { TextField } from '../model/filter';
import { fold, foldAsTwo } from '../query/fold';
import { isNear } from '../query/near';
import { wordsOf } from '../query/words';

/** The texts that are indexed: what calendars and categories are called is looked up as it is. */
export type IndexedField = Exclude<TextField, 'calendar' | 'category'>;

/** A text that events have in a field, and how many have it. */
export interface FoundText {
  field: IndexedField;
  text: string;
  count: number;
}

/** One text as it is indexed; the same text on many events is one. */
interface Entry {
  key: number;
  field: IndexedField;
  text: string;
  ids: Set<string>;
}

/** Characters of a text that are indexed: of a longer one the beginning. */
const MOST_TEXT = 4000;
/** Words of fewer letters are only looked for as they are typed, and as beginnings. */
const LEAST_FORGIVEN = 4;
const LEAST_FOR_TWO = 8;
/** What stands between words. */
const NOT_A_LETTER = /[^\p{L}\p{N}]+/u;

/** How many slips are forgiven in a word: letters that are wrong, missing, too many or swapped. */
function forgiven(word: string): number {
  if (word.length < LEAST_FORGIVEN || /\d/.test(word)) return 0;
  return word.length < LEAST_FOR_TWO ? 1 : 2;
}

/** The search counts two letters that are swapped as two slips: it looks further, and is narrowed after. */
const reach = (word: string): number | false => (forgiven(word) > 0 ? 2 : false);

const isMeant = (word: string, term: string) =>
  term.startsWith(word) || isNear(word, term, forgiven(word));

const splitWords = (text: string) => text.split(NOT_A_LETTER).filter(Boolean);

/** Every text of an event, with the field that it stands in; also of its dates that were changed. */
function* textsOf(event: CalendarEvent): Generator<[IndexedField, string]> {
  const { title, place, notes, link, attendees, organizer, attachments, agenda } = event;
  yield ['title', title];
  yield ['place', place];
  yield ['notes', notes];
  yield ['link', link];
  for (const { name, address } of organizer ? [organizer, ...attendees] : attendees)
    yield ['people', name || address];
  for (const { name } of attachments) yield ['file', name];
  for (const { text } of agenda) yield ['agenda', text];
  for (const change of Object.values(event.changedDates)) {
    if (change.title !== undefined) yield ['title', change.title];
    if (change.place !== undefined) yield ['place', change.place];
    if (change.notes !== undefined) yield ['notes', change.notes];
  }
}

const nameOf = (field: IndexedField, text: string) => `${field} ${text}`;

/**
 * What events say, kept so that a word is found as it is typed. Different texts are indexed once,
 * however many events have them; an edit costs what it changes.
 */
export class TextIndex {
  private readonly search = new MiniSearch<Pick<Entry, 'key' | 'text'>>({
    idField: 'key',
    fields: ['text'],
    tokenize: splitWords,
    // “Söhne” is found by “sohne” and by “soehne”.
    processTerm: (term) => [...new Set([fold(term), foldAsTwo(term)])].filter(Boolean),
    searchOptions: { processTerm: (term) => fold(term) || null },
  });
  private readonly entries = new Map<string, Entry>();
  private readonly byKey = new Map<number, Entry>();
  private readonly namesOf = new Map<string, readonly string[]>();
  private nextKey = 0;

  /** Adds an event, or replaces the one with its id; a removed one is taken out. */
  put(event: CalendarEvent): void {
    const names: string[] = [];
    if (event.removedAt === undefined) {
      for (const [field, whole] of textsOf(event)) {
        const text = whole.trim().slice(0, MOST_TEXT);
        if (!text) continue;
        names.push(nameOf(field, text));
        this.add(field, text, event.id);
      }
    }
    const before = this.namesOf.get(event.id) ?? [];
    const now = new Set(names);
    for (const name of before) if (!now.has(name)) this.letGo(name, event.id);
    if (names.length) this.namesOf.set(event.id, names);
    else this.namesOf.delete(event.id);
  }

  remove(id: string): void {
    for (const name of this.namesOf.get(id) ?? []) this.letGo(name, id);
    this.namesOf.delete(id);
  }

  private add(field: IndexedField, text: string, id: string): void {
    const name = nameOf(field, text);
    const known = this.entries.get(name);
    if (known) {
      known.ids.add(id);
      return;
    }
    const entry: Entry = { key: this.nextKey++, field, text, ids: new Set([id]) };
    this.entries.set(name, entry);
    this.byKey.set(entry.key, entry);
    this.search.add(entry);
  }

  private letGo(name: string, id: string): void {
    const entry = this.entries.get(name);
    if (!entry?.ids.delete(id) || entry.ids.size) return;
    this.entries.delete(name);
    this.byKey.delete(entry.key);
    this.search.discard(entry.key);
  }

  private ranked(text: string) {
    const plain = this.rankedBy(wordsOf(text).flatMap(splitWords));
    const asTwo = wordsOf(text, foldAsTwo).flatMap(splitWords);
    if (plain.length || asTwo.join(' ') === fold(text)) return plain;
    return this.rankedBy(asTwo);
  }

  private rankedBy(words: readonly string[]) {
    return this.search.search(words.join(' '), {
      combineWith: 'AND',
      prefix: true,
      fuzzy: reach,
      // A word as it was typed comes before one like it.
      weights: { prefix: 0.7, fuzzy: 0.2 },
      filter: ({ terms }) => words.every((word) => terms.some((term) => isMeant(word, term))),
    });
  }

  /** Texts that have all of the words, or begin like them, or nearly; the nearest first. */
  find(text: string): FoundText[] {
    return this.ranked(text)
      .map(({ id, score }) => ({ score, entry: this.byKey.get(id as number)! }))
      .sort(
        (a, b) =>
          b.score - a.score ||
          b.entry.ids.size - a.entry.ids.size ||
          (a.entry.text < b.entry.text ? -1 : 1),
      )
      .map(({ entry: { field, text: found, ids } }) => ({ field, text: found, count: ids.size }));
  }

  /**
   * The words as they may have been meant: each that no text begins with is put right by the nearest
   * one that there is. Null when nothing had to be, or nothing is near.
   */
  corrected(text: string): string | null {
    const words = wordsOf(text).flatMap(splitWords);
    const meant = words.map((word) => {
      const plain = this.search.search(word, { prefix: true, fuzzy: false });
      if (plain.length) return word;
      const near = this.search
        .search(word, { prefix: false, fuzzy: reach })
        .flatMap(({ terms }) => terms.find((term) => isMeant(word, term)) ?? []);
      return near[0] ?? null;
    });
    if (meant.includes(null) || meant.join(' ') === words.join(' ')) return null;
    return meant.join(' ');
  }
}

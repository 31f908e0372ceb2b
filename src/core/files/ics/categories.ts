import type { JcalProperty, Passthrough } from '../../model/common';
import type { ChangedDate } from '../../model/event';
import type { Category } from '../../model/others';
import type { EventDraft } from './readEvent';
import type { FileContents } from './readFile';

const keyOf = (name: string) => name.trim().toLocaleLowerCase('en');

/** The names in CATEGORIES lines (RFC 5545 §3.8.1.2), and what passes through besides them. */
function splitCategories(passthrough: Passthrough | undefined): {
  names: string[];
  rest: Passthrough | undefined;
} {
  const isCategories = ([name]: JcalProperty) => name === 'categories';
  const lines = passthrough?.properties.filter(isCategories) ?? [];
  if (!passthrough || !lines.length) return { names: [], rest: passthrough };
  const names = lines.flatMap((line) => line.slice(3).map((value) => String(value).trim()));
  const properties = passthrough.properties.filter((line) => !isCategories(line));
  const isEmpty = !properties.length && !passthrough.components.length && !passthrough.parameters;
  return {
    names: names.filter((name) => name !== ''),
    rest: isEmpty ? undefined : { ...passthrough, properties },
  };
}

/**
 * The contents of a file with its CATEGORIES as categories of the app: those that are here by name,
 * and new ones, which `make` makes. What else the lines hold (parameters) is not kept.
 */
export function takeCategories(
  contents: FileContents,
  present: readonly Category[],
  make: (name: string, nth: number) => Category,
): { contents: FileContents; made: Category[] } {
  const known = new Map(present.map((category) => [keyOf(category.name), category]));
  const made: Category[] = [];
  function idOf(name: string): string {
    let category = known.get(keyOf(name));
    if (!category) {
      category = make(name, made.length);
      known.set(keyOf(name), category);
      made.push(category);
    }
    return category.id;
  }

  function takeFrom<T extends { passthrough?: Passthrough }>(
    holder: T,
  ): { ids: string[]; rest: T } {
    const { names, rest } = splitCategories(holder.passthrough);
    const { passthrough: _passthrough, ...others } = holder;
    return {
      ids: [...new Set(names.map(idOf))],
      rest: { ...others, ...(rest && { passthrough: rest }) } as T,
    };
  }

  function draftWith(draft: EventDraft): EventDraft {
    const { ids, rest } = takeFrom(draft);
    const changedDates = Object.fromEntries(
      Object.entries(draft.changedDates).map(([key, date]): [string, ChangedDate] => {
        const own = takeFrom(date);
        const isSame = own.ids.join() === ids.join();
        return [key, isSame ? own.rest : { ...own.rest, categoryIds: own.ids }];
      }),
    );
    return { ...rest, categoryIds: ids, changedDates };
  }

  return {
    contents: {
      ...contents,
      events: contents.events.map(draftWith),
      tasks: contents.tasks.map((task) => {
        const { ids, rest } = takeFrom(task);
        return { ...rest, categoryIds: ids };
      }),
      looseDates: contents.looseDates.map((loose) => ({ ...loose, draft: draftWith(loose.draft) })),
    },
    made,
  };
}

import type { Calendar } from '../model/calendar';
import type { Settings } from '../model/others';

type Shown = Pick<Calendar, 'id' | 'shown' | 'listed'>;

/** The listed calendar that is shown alone; null when none or several are. */
function shownAlone<T extends Shown>(calendars: readonly T[]): T | null {
  const shown = calendars.filter((calendar) => calendar.shown && calendar.listed);
  return shown.length === 1 ? shown[0]! : null;
}

/** The calendars whose `shown` changes when these, by id, are to be shown and no others. */
function toShow<T extends Shown>(calendars: readonly T[], ids: ReadonlySet<string>): T[] {
  return calendars.flatMap((calendar) => {
    const shown = ids.has(calendar.id);
    return calendar.shown === shown ? [] : [{ ...calendar, shown }];
  });
}

/** Shows one calendar and no other; what was shown is remembered, unless one was alone already. */
export function showOnly<T extends Shown>(
  calendars: readonly T[],
  id: string,
  remembered: Settings['shownBefore'],
): { calendars: T[]; shownBefore: string[] } {
  const wasAlone = remembered !== null && shownAlone(calendars) !== null;
  const before = calendars.filter(({ shown }) => shown).map((calendar) => calendar.id);
  return {
    calendars: toShow(calendars, new Set([id])),
    shownBefore: wasAlone ? remembered : before,
  };
}

/** Shows again what was shown before one was alone. */
export function showAsBefore<T extends Shown>(
  calendars: readonly T[],
  shownBefore: readonly string[],
): T[] {
  return toShow(calendars, new Set(shownBefore));
}

/** Whether there is something to go back to. */
export function canShowAsBefore(calendars: readonly Shown[], { shownBefore }: Settings): boolean {
  return shownBefore !== null && shownAlone(calendars) !== null;
}

/**
 * The calendar that new events go to: the one shown alone, else the chosen one, else the first
 * shown. Only calendars that can be changed are asked for.
 */
export function calendarForNew<T extends Shown & Pick<Calendar, 'kind'>>(
  calendars: readonly T[],
  chosenId: string | null,
): T | null {
  const own = calendars.filter(({ kind }) => kind === 'own');
  const alone = shownAlone(calendars);
  if (alone?.kind === 'own') return alone;
  const chosen = own.find(({ id }) => id === chosenId);
  return chosen ?? own.find(({ shown, listed }) => shown && listed) ?? own[0] ?? null;
}

/** The calendars with new places when one is moved to another's; only those whose place changes. */
export function reordered<T extends Pick<Calendar, 'id' | 'order'>>(
  calendars: readonly T[],
  id: string,
  toId: string,
): T[] {
  const from = calendars.findIndex((calendar) => calendar.id === id);
  const to = calendars.findIndex((calendar) => calendar.id === toId);
  if (from < 0 || to < 0 || from === to) return [];
  const moved = calendars.toSpliced(from, 1).toSpliced(to, 0, calendars[from]!);
  return moved.flatMap((calendar, order) =>
    calendar.order === order ? [] : [{ ...calendar, order }],
  );
}

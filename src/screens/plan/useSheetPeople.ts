import { useMemo } from 'react';
import type { Occurrence, Window } from '@/core/agenda/occurrence';
import { MINE } from '@/core/layout/tracks';
import type { Calendar } from '@/core/model/calendar';
import { newCalendar } from '@/core/model/calendar';
import { INKS } from '@/core/model/inks';
import type { Person } from '@/core/model/person';
import { personCalendarId } from '@/core/model/person';
import { usePeople, usePeopleTime } from '@/data/people';

/** What stands for a person where bars ask for their calendar: it can be looked at, not changed. */
const asCalendar = ({ id, name, ink, mark, order }: Person): Calendar =>
  newCalendar({ id: personCalendarId(id), name, ink, mark, order, kind: 'followed' });

/** What stands for the person, where rows and columns stand for people. */
const ME = newCalendar({ id: MINE, name: 'You', ink: INKS.Kelp, mark: 'circle', order: -1 });

/** People whose time is on the sheet, as its forms draw them. */
export function useShownPeople(): { shown: readonly Person[]; asCalendars: readonly Calendar[] } {
  const people = usePeople();
  return useMemo(() => {
    const shown = people.filter((one) => one.shown);
    return { shown, asCalendars: shown.length ? [ME, ...shown.map(asCalendar)] : [] };
  }, [people]);
}

const NONE: readonly Occurrence[] = [];

/** What the people whose time is on the sheet do in a window, and of whom that is not known. */
export function useSheetPeople(
  shown: readonly Person[],
  window: Window,
  isWanted: boolean,
): { theirs: readonly Occurrence[]; unknown: readonly string[] } {
  const ids = useMemo(() => shown.map(({ id }) => id), [shown]);
  const { times } = usePeopleTime(ids, window, isWanted);
  return useMemo(() => {
    // What was asked for somebody who is not shown any more is drawn no longer.
    const those = times.filter(({ personId }) => ids.includes(personId));
    return {
      theirs: those.length ? those.flatMap(({ occurrences }) => occurrences) : NONE,
      unknown: those.flatMap(({ personId, problem }) => (problem === null ? [] : [personId])),
    };
  }, [times, ids]);
}

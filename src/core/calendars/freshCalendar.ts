import type { Calendar } from '../model/calendar';
import { newCalendar } from '../model/calendar';
import { nextInkAndMark } from '../model/inks';
import { freeInk } from './inks';

/** A new calendar after all others, in an ink that is not easily taken for theirs. */
export const freshCalendar = (id: string, name: string, others: readonly Calendar[]): Calendar =>
  newCalendar({
    id,
    name,
    order: Math.max(-1, ...others.map(({ order }) => order)) + 1,
    mark: nextInkAndMark(others).mark,
    ink: freeInk(others.map(({ ink }) => ink)),
  });

import { at, timed, TODAY } from '@/core/testing/occurrences';
import type { Window } from '@/core/agenda/occurrence';
import { DAY } from '@/core/time/civil';
import { agendaPage } from './queries/agendaPages';

const LONDON = 'Europe/London';

/** Pages over a store with so many events on each of some days (counted from today). */
function pagesOver(eventsOn: (day: number) => number) {
  const asked: number[] = [];
  const query = ({ fromDay, toDay }: Window) => {
    asked.push(toDay - fromDay);
    const occurrences = [];
    for (let day = fromDay; day < toDay; day++)
      for (let i = 0; i < eventsOn(day - TODAY); i++)
        occurrences.push(timed(`${day}-${i}`, day, at(9), at(9, 30)));
    return { occurrences, hidden: 1 };
  };
  const page = (direction: 'on' | 'back') =>
    agendaPage({ day: TODAY, direction, zone: LONDON }, query);
  return { asked, page };
}

test('a page of busy days ends as soon as it is full, so that little is drawn at first', () => {
  const { page, asked } = pagesOver(() => 34);
  const { fromDay, toDay, occurrences, hidden } = page('on');
  expect([fromDay - TODAY, toDay - TODAY, occurrences.length]).toEqual([0, 2, 68]);
  expect(asked).toEqual([1, 1]);
  expect(hidden).toBe(2);
});

test('empty stretches are stepped over in ever longer steps, up to three years', () => {
  const { page, asked } = pagesOver(() => 0);
  const { toDay, occurrences } = page('on');
  expect(occurrences).toEqual([]);
  expect(asked.slice(0, 9)).toEqual([1, 1, 2, 4, 8, 16, 32, 64, 64]);
  expect(Math.max(...asked)).toBe(64);
  expect(toDay - TODAY).toBeGreaterThanOrEqual(1096);
});

test('the way back is in order, and goes on where the last page ended', () => {
  const { page } = pagesOver((day) => (day < 0 ? 15 : 0));
  const back = page('back');
  expect([back.fromDay - TODAY, back.toDay - TODAY]).toEqual([-4, 0]);
  const days = back.occurrences.map(({ start }) => Math.floor(start / DAY) - TODAY);
  expect(days).toEqual([...days].sort((a, b) => a - b));
  expect(new Set(days)).toEqual(new Set([-4, -3, -2, -1]));
});

test('an event over the edge of two stretches is there once', () => {
  const long = timed('long', TODAY, at(9), at(10 * 24));
  const page = agendaPage({ day: TODAY, direction: 'on', zone: LONDON }, ({ fromDay, toDay }) => ({
    occurrences: fromDay < TODAY + 10 && toDay > TODAY ? [long] : [],
    hidden: 0,
  }));
  expect(page.occurrences).toEqual([long]);
});

import fc from 'fast-check';
import { wallOf, zoneOf } from '../../model/common';
import type { CalendarEvent } from '../../model/event';
import { event as eventSchema, isWholeDay } from '../../model/event';
import type { NaiveDate } from '../../testing/naiveSeries';
import { anySeries, HORIZON, naiveDates } from '../../testing/naiveSeries';
import { DAY, dayOfWall, HOUR, parseDate, parseLocal } from '../../time/civil';
import { movedTimes } from '../times';
import { copySeriesTo } from './copy';
import { dateAsEvent } from './dates';
import type { DateEdit, Scope } from './edit';
import { editSeries } from './edit';
import { RefusedEdit } from './fit';
import { scopeChoices } from './scopes';

/** Every move by hours and days, and what else a person does to a date, against a slow reading of the rules. */

const RUNS = Number(process.env['PROPERTY_RUNS'] ?? 120);

const NAMES = { id: 'new', uid: 'new@orderly-week' };

type Act = (date: CalendarEvent) => Partial<CalendarEvent>;

const move = (days: number, hours: number): Act => {
  return (date) =>
    movedTimes(
      date,
      wallOf(date.start) + days * DAY + (isWholeDay(date) ? 0 : hours * HOUR),
      zoneOf(date.start) ?? 'UTC',
    );
};

const acts = fc.oneof(
  fc
    .tuple(fc.integer({ min: -9, max: 9 }), fc.integer({ min: -6, max: 6 }))
    .map(([d, h]) => move(d, h)),
  fc.integer({ min: -40, max: 40 }).map((days) => move(days, 0)),
  fc.constantFrom<Act>(
    () => ({ title: 'Quay round' }),
    () => ({ reminders: [{ minutes: -5, from: 'start' }] }),
    () => ({ icon: undefined, inkOverride: '#9A3A2C' }),
    () => ({ icon: 'lamp' }),
  ),
);

const scopes = fc.constantFrom<Scope>('this', 'later', 'every');

interface Case {
  event: CalendarEvent;
  key: string;
  edit: DateEdit;
}

const cases = fc
  .record({ event: anySeries, nth: fc.nat({ max: 12 }), act: acts })
  .map(({ event, nth, act }): Case | null => {
    // What is moved stays before the horizon.
    const dates = naiveDates(event, HORIZON - 90);
    if (!dates.length) return null;
    const { key } = dates[nth % dates.length]!;
    const before = dateAsEvent(event, key);
    return { event, key: key!, edit: { before, after: { ...before, ...act(before) } } };
  })
  .filter((one) => one !== null);

/** Whether all dates of a series, and of what an edit makes of it, lie before the horizon. */
const endsSoon = ({ rule = '' }: CalendarEvent) => /COUNT|UNTIL/.test(rule) && !/YEARLY/.test(rule);
const bare = ({ key: _key, ...date }: NaiveDate) => JSON.stringify(date);
const planned = (event: CalendarEvent, key: string) => {
  const { changedDates: _changes, ...rest } = event;
  const [date] = naiveDates({ ...rest, changedDates: {} }, HORIZON).filter((d) => d.key === key);
  return date!;
};

function done({ event, key, edit }: Case, scope: Scope): CalendarEvent[] | null {
  try {
    const plan = { scope, fate: 'keep' as const, names: NAMES, now: 9 };
    const edits = editSeries(event, key, edit, plan);
    for (const { after } of edits) expect(eventSchema.safeParse(after).error).toBeUndefined();
    return edits.map(({ after }) => after);
  } catch (error) {
    if (error instanceof RefusedEdit) return null;
    throw error;
  }
}

test('the dates outside of the scope stay, those inside are as many as before, and the edited one is as it was put', () => {
  let refused = 0;
  fc.assert(
    fc.property(cases, scopes, (one, scope) => {
      const { event, key, edit } = one;
      const after = done(one, scope);
      if (!after) {
        expect(scope).not.toBe('this');
        refused++;
        return;
      }
      const before = naiveDates(event, HORIZON);
      const now = after.flatMap((each) => naiveDates(each, HORIZON));
      const isOutside = ({ key: name }: NaiveDate) =>
        scope === 'this' ? name !== key : scope === 'later' && parseLocal(name!) < parseLocal(key);
      const left = new Set(now.map(bare));
      const lost = before.filter(isOutside).filter((date) => !left.has(bare(date)));
      expect(lost).toEqual([]);
      if (endsSoon(event)) expect(now).toHaveLength(before.length);
      const wanted = naiveDates(edit.after, HORIZON)[0]!;
      expect([...left]).toContain(bare(wanted));
    }),
    { numRuns: RUNS },
  );
  // Most can be done; those that can't are rules without a single day to move.
  expect(refused).toBeLessThan(RUNS / 3);
});

test('what the dialog says of a scope is what becomes of it', () => {
  fc.assert(
    fc.property(cases, (one) => {
      const { event, key, edit } = one;
      for (const { scope, refusal, dates } of scopeChoices(event, key, edit, 0)) {
        expect(done(one, scope) === null).toBe(refusal !== null);
        if (scope === 'this' || !endsSoon(event)) continue;
        const from = scope === 'later' ? parseLocal(key) : -Infinity;
        const reached = naiveDates(event, HORIZON).filter(
          ({ key: name }) => parseLocal(name!) >= from,
        );
        expect(dates.count).toBe(reached.length);
      }
    }),
    { numRuns: Math.ceil(RUNS / 5) },
  );
});

test('a move of every date moves those that stand for the same as the edited one alike', () => {
  fc.assert(
    fc.property(cases, fc.constantFrom(-6, -1, 1, 3), (one, hours) => {
      const event = { ...one.event, changedDates: {}, extraDates: [] };
      const keys = naiveDates(event, HORIZON).map((date) => date.key!);
      const key = keys.includes(one.key) ? one.key : keys[0];
      if (key === undefined || isWholeDay(event) || !endsSoon(event)) return;
      const before = dateAsEvent(event, key);
      const after = { ...before, ...move(0, hours)(before) };
      const by = wallOf(after.start) - wallOf(before.start);
      if (dayOfWall(wallOf(after.start)) !== dayOfWall(wallOf(before.start))) return;
      const moved = done({ event, key, edit: { before, after } }, 'every');
      expect(moved).not.toBeNull();
      const walls = (e: CalendarEvent) => naiveDates(e, HORIZON).map((d) => parseLocal(d.key!));
      expect(walls(moved![0]!)).toEqual(walls(event).map((wall) => wall + by));
    }),
    { numRuns: RUNS },
  );
});

test('a copy has as many dates as what it is a copy of, and leaves that as it is', () => {
  fc.assert(
    fc.property(cases, fc.integer({ min: -70, max: 70 }), fc.boolean(), (one, by, isAll) => {
      const { event, key } = one;
      const day = dayOfWall(wallOf(dateAsEvent(event, key).start)) + by;
      const to = { day, calendarId: 'clients', id: 'copy', now: 5 };
      const copy = copySeriesTo(event, key, isAll ? 'every' : 'later', to);
      expect(eventSchema.safeParse(copy).error).toBeUndefined();
      if (!endsSoon(event)) return;
      const from = isAll ? -Infinity : parseLocal(key);
      const copied = naiveDates(event, HORIZON).filter(
        ({ key: name }) => parseLocal(name!) >= from,
      );
      const far = HORIZON + 366;
      const dates = naiveDates(copy, far);
      expect(dates).toHaveLength(copied.length);
      expect(dates.map(({ title }) => title).sort()).toEqual(
        copied.map(({ title }) => title).sort(),
      );
    }),
    { numRuns: RUNS },
  );
});

test('a date planned by the rule is where it was before anything was changed about it', () => {
  fc.assert(
    fc.property(cases, ({ event, key }) => {
      const { changedDates: _changes, ...rest } = event;
      const date = dateAsEvent({ ...rest, changedDates: {} }, key);
      const { from, to } = planned(event, key);
      expect(naiveDates(date, parseDate('2099-01-01'))[0]).toMatchObject({ from, to });
    }),
    { numRuns: RUNS },
  );
});

import { RefusedEdit } from './fit';
import fc from 'fast-check';
import { EventIndex } from '../../agenda/eventIndex';
import type { CalendarEvent } from '../../model/event';
import { event as eventSchema, newEvent } from '../../model/event';
import { DAY, formatLocal, HOUR, parseDate, parseLocal } from '../../time/civil';
import { movedTimes } from '../times';
import { copySeriesTo } from './copy';
import { dateAsEvent } from './dates';
import type { ChangedDatesFate, DateEdit, Scope } from './edit';
import { editSeries } from './edit';
import { scopeChoices } from './scopes';
import { exceptionsOf, removeDates, restoreChanged, restoreSkipped } from './skips';

const LONDON = 'Europe/London';
const zoned = (local: string, zone = LONDON) => ({ kind: 'zoned', local, zone }) as const;

function series(rule: string | undefined, more: Partial<CalendarEvent> = {}): CalendarEvent {
  return newEvent(
    {
      id: 'round',
      calendarId: 'workshop',
      title: 'Bench round',
      start: zoned('2026-11-02T09:00:00'),
      end: zoned('2026-11-02T09:30:00'),
      rule,
      ...more,
    },
    1,
  );
}

const NAMES = { id: 'new', uid: 'new@orderly-week' };

function run(
  event: CalendarEvent,
  key: string,
  change: Partial<CalendarEvent> | ((date: CalendarEvent) => Partial<CalendarEvent>),
  scope: Scope,
  fate: ChangedDatesFate = 'keep',
  repeat?: DateEdit['repeat'],
) {
  const before = dateAsEvent(event, key);
  const fields = typeof change === 'function' ? change(before) : change;
  const edit: DateEdit = { before, after: { ...before, ...fields }, ...(repeat ? { repeat } : {}) };
  const edits = editSeries(event, key, edit, { scope, fate, names: NAMES, now: 9 });
  for (const { after } of edits) expect(eventSchema.safeParse(after).error).toBeUndefined();
  return edits.map(({ after }) => after);
}

/** What a person sees of events up to a day: local start, minutes, title. */
function seen(events: readonly CalendarEvent[], to = '2027-02-01'): string[] {
  const index = new EventIndex();
  for (const event of events) index.put(event);
  const window = { fromDay: parseDate('2026-10-01'), toDay: parseDate(to), zone: LONDON };
  return index
    .query(window, null)
    .occurrences.map(
      (o) => `${formatLocal(o.start).slice(5, 16)} ${(o.end - o.start) / 60_000} ${o.title}`,
    );
}

const movedTo = (local: string) => (date: CalendarEvent) =>
  movedTimes(date, parseLocal(local), LONDON);

describe('this date alone', () => {
  test('takes its own time, and is as planned again when it is put back', () => {
    const event = series('FREQ=WEEKLY;COUNT=3');
    const [moved] = run(event, '2026-11-09T09:00:00', movedTo('2026-11-10T14:00:00'), 'this');
    expect(seen([moved!])).toEqual([
      '11-02T09:00 30 Bench round',
      '11-10T14:00 30 Bench round',
      '11-16T09:00 30 Bench round',
    ]);
    const [back] = run(moved!, '2026-11-09T09:00:00', movedTo('2026-11-09T09:00:00'), 'this');
    expect(back!.changedDates).toEqual({});
    expect(back!.revision).toBe(2);
  });

  test('takes along what its file held, and is no change for that alone', () => {
    const alarm = ['valarm', [], []] as ['valarm', [], []];
    const passthrough = {
      properties: [['x-lamp', {}, 'text', 'port'] as ['x-lamp', object, 'text', string]],
      components: [alarm],
    };
    const event = series('FREQ=WEEKLY;COUNT=3', { passthrough: passthrough as never });
    const [moved] = run(event, '2026-11-09T09:00:00', movedTo('2026-11-10T14:00:00'), 'this');
    expect(moved!.changedDates['2026-11-09T09:00:00']?.passthrough).toEqual(passthrough);
    const [back] = run(moved!, '2026-11-09T09:00:00', movedTo('2026-11-09T09:00:00'), 'this');
    expect(back!.changedDates).toEqual({});
  });

  test('on another calendar leaves its series', () => {
    const [rest, alone] = run(
      series('FREQ=WEEKLY;COUNT=3'),
      '2026-11-09T09:00:00',
      { calendarId: 'clients', title: 'With client' },
      'this',
    );
    expect(rest!.skippedDates).toEqual(['2026-11-09T09:00:00']);
    expect(alone).toMatchObject({ id: 'new', calendarId: 'clients', title: 'With client' });
    expect(alone!.passthrough?.properties[0]?.[0]).toBe('related-to');
    expect(seen([rest!, alone!])).toHaveLength(3);
  });
});

describe('every date', () => {
  test.each([
    ['FREQ=DAILY;COUNT=4', '2026-11-03T09:00:00', '2026-11-04T10:00:00', 'FREQ=DAILY;COUNT=4'],
    [
      'FREQ=WEEKLY;BYDAY=MO,WE;COUNT=6',
      '2026-11-04T09:00:00',
      '2026-11-05T10:00:00',
      'FREQ=WEEKLY;BYDAY=MO,TH;COUNT=6',
    ],
    [
      'FREQ=MONTHLY;BYDAY=1MO;COUNT=3',
      '2026-12-07T09:00:00',
      '2026-12-11T09:00:00',
      'FREQ=MONTHLY;BYDAY=2FR;COUNT=3',
    ],
    [
      'FREQ=MONTHLY;BYMONTHDAY=2,20;COUNT=6',
      '2026-11-20T09:00:00',
      '2026-11-24T09:00:00',
      'FREQ=MONTHLY;BYMONTHDAY=2,24;COUNT=6',
    ],
    [
      'FREQ=YEARLY',
      '2026-11-02T09:00:00',
      '2026-12-03T09:00:00',
      'FREQ=YEARLY;BYMONTH=12;BYMONTHDAY=3',
    ],
  ])('%s: %s to %s gives %s', (rule, from, to, expected) => {
    const [after] = run(series(rule), from, movedTo(to), 'every');
    expect(after!.rule).toBe(expected);
    expect(seen([after!], '2027-12-31').some((line) => line.startsWith(to.slice(5, 16)))).toBe(
      true,
    );
  });

  test('a weekday put before the first date begins where the earliest one lies', () => {
    const event = series('FREQ=WEEKLY;BYDAY=MO,TH;COUNT=4');
    const [after] = run(event, '2026-11-02T09:00:00', movedTo('2026-11-07T09:00:00'), 'every');
    expect(seen([after!])).toEqual([
      '11-05T09:00 30 Bench round',
      '11-07T09:00 30 Bench round',
      '11-12T09:00 30 Bench round',
      '11-14T09:00 30 Bench round',
    ]);
  });

  test('an UNTIL on the last date goes with it', () => {
    const event = series('FREQ=WEEKLY;UNTIL=20261123T090000Z');
    const [after] = run(event, '2026-11-09T09:00:00', movedTo('2026-11-10T15:00:00'), 'every');
    expect(after!.rule).toBe('FREQ=WEEKLY;BYDAY=TU;UNTIL=20261124T150000Z');
    expect(seen([after!])).toHaveLength(4);
  });

  test('skipped and changed dates go where the dates go', () => {
    const event = series('FREQ=WEEKLY;COUNT=4', {
      skippedDates: ['2026-11-09T09:00:00'],
      changedDates: { '2026-11-16T09:00:00': { title: 'Long round' } },
    });
    const [after] = run(event, '2026-11-02T09:00:00', movedTo('2026-11-03T10:00:00'), 'every');
    expect(seen([after!])).toEqual([
      '11-03T10:00 30 Bench round',
      '11-17T10:00 30 Long round',
      '11-24T10:00 30 Bench round',
    ]);
  });

  test('changed dates keep their own times, or follow, as was chosen', () => {
    const event = series('FREQ=WEEKLY;COUNT=3', {
      changedDates: {
        '2026-11-09T09:00:00': {
          start: zoned('2026-11-10T12:00:00'),
          end: zoned('2026-11-10T13:00:00'),
          title: 'Long round',
        },
      },
    });
    const to = movedTo('2026-11-02T08:00:00');
    const [kept] = run(event, '2026-11-02T09:00:00', to, 'every', 'keep');
    expect(seen([kept!])[1]).toBe('11-10T12:00 60 Long round');
    const [followed] = run(event, '2026-11-02T09:00:00', to, 'every', 'follow');
    expect(seen([followed!])[1]).toBe('11-09T08:00 30 Long round');
    const [choice] = scopeChoices(
      event,
      '2026-11-02T09:00:00',
      {
        before: dateAsEvent(event, '2026-11-02T09:00:00'),
        after: { ...dateAsEvent(event, '2026-11-02T09:00:00'), title: 'X' },
      },
      0,
    ).filter(({ scope }) => scope === 'every');
    expect(choice).toMatchObject({ changed: 1, contradicted: 1 });
  });

  test('another zone keeps the clock time, in the new zone', () => {
    const event = series('FREQ=WEEKLY;UNTIL=20261116T090000Z');
    const [after] = run(
      event,
      '2026-11-02T09:00:00',
      {
        start: zoned('2026-11-02T09:00:00', 'Asia/Tokyo'),
        end: zoned('2026-11-02T09:30:00', 'Asia/Tokyo'),
      },
      'every',
    );
    expect(after!.rule).toBe('FREQ=WEEKLY;BYDAY=MO;UNTIL=20261116T000000Z');
    expect(seen([after!])).toEqual([
      '11-02T00:00 30 Bench round',
      '11-09T00:00 30 Bench round',
      '11-16T00:00 30 Bench round',
    ]);
  });

  test('whole days and back', () => {
    const event = series('FREQ=WEEKLY;UNTIL=20261116T090000Z', {
      skippedDates: ['2026-11-09T09:00:00'],
    });
    const [whole] = run(
      event,
      '2026-11-02T09:00:00',
      { start: { kind: 'date', date: '2026-11-02' }, end: { kind: 'date', date: '2026-11-03' } },
      'every',
    );
    expect(whole).toMatchObject({
      rule: 'FREQ=WEEKLY;BYDAY=MO;UNTIL=20261116',
      skippedDates: ['2026-11-09'],
    });
    const [back] = run(
      whole!,
      '2026-11-02',
      { start: zoned('2026-11-02T09:00:00'), end: zoned('2026-11-02T09:30:00') },
      'every',
    );
    expect(seen([back!])).toEqual(seen([event]));
  });

  test('another rule keeps changed dates that it does not give, or lets them go', () => {
    const event = series('FREQ=DAILY;COUNT=10', {
      skippedDates: ['2026-11-05T09:00:00', '2026-11-09T09:00:00'],
      changedDates: { '2026-11-04T09:00:00': { title: 'Own' } },
    });
    const repeat = { rule: 'FREQ=WEEKLY;BYDAY=MO;COUNT=3', keepsEnd: false };
    const [kept] = run(event, '2026-11-02T09:00:00', {}, 'every', 'keep', repeat);
    expect(kept!.skippedDates).toEqual(['2026-11-09T09:00:00']);
    expect(seen([kept!])).toEqual([
      '11-02T09:00 30 Bench round',
      '11-04T09:00 30 Own',
      '11-16T09:00 30 Bench round',
    ]);
    const [gone] = run(event, '2026-11-02T09:00:00', {}, 'every', 'follow', repeat);
    expect(seen([gone!])).toHaveLength(2);
    const [once] = run(event, '2026-11-06T09:00:00', {}, 'every', 'keep', {
      rule: undefined,
      keepsEnd: false,
    });
    expect(seen([once!])).toEqual(['11-06T09:00 30 Bench round']);
  });

  test('another rule with the end as it was counts on where it stands', () => {
    const event = series('FREQ=DAILY;COUNT=10');
    const repeat = { rule: 'FREQ=WEEKLY;BYDAY=MO;COUNT=10', keepsEnd: true };
    const [head, tail] = run(event, '2026-11-05T09:00:00', {}, 'later', 'keep', repeat);
    expect([head!.rule, tail!.rule]).toEqual([
      'FREQ=DAILY;COUNT=3',
      'FREQ=WEEKLY;BYDAY=MO;COUNT=7',
    ]);
  });

  test('another rule and another day at once: both are taken', () => {
    const event = series('FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=1');
    const repeat = { rule: 'FREQ=WEEKLY;BYDAY=TH;COUNT=2', keepsEnd: false };
    const to = movedTo('2026-12-03T15:00:00');
    const [, tail] = run(event, '2026-12-01T09:00:00', to, 'later', 'keep', repeat);
    expect(seen([tail!])).toEqual(['12-03T15:00 30 Bench round', '12-10T15:00 30 Bench round']);
  });

  test('a rule without a single day to move says so and is left', () => {
    const event = series('FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1', {
      start: zoned('2026-11-30T09:00:00'),
      end: zoned('2026-11-30T09:30:00'),
    });
    const key = '2026-12-31T09:00:00';
    const before = dateAsEvent(event, key);
    const edit = { before, after: { ...before, ...movedTo('2026-12-30T09:00:00')(before) } };
    const choices = scopeChoices(event, key, edit, 0);
    expect(choices.map(({ scope, refusal }) => [scope, refusal === null])).toEqual([
      ['this', true],
      ['later', false],
      ['every', false],
    ]);
    expect(() =>
      editSeries(event, key, edit, { scope: 'every', fate: 'keep', names: NAMES, now: 9 }),
    ).toThrow(RefusedEdit);
    // Its hours can still be moved.
    const [later] = run(event, key, movedTo('2026-12-31T11:00:00'), 'every');
    expect(later!.rule).toBe('FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1');
  });
});

test('this date and later: the ones before stay, the rest is another series', () => {
  const event = series('FREQ=WEEKLY;COUNT=4', {
    changedDates: { '2026-11-23T09:00:00': { title: 'Last' } },
  });
  const [head, tail] = run(event, '2026-11-16T09:00:00', movedTo('2026-11-17T10:00:00'), 'later');
  expect(head!.rule).toBe('FREQ=WEEKLY;BYDAY=MO;COUNT=2');
  expect(tail).toMatchObject({ id: 'new', rule: 'FREQ=WEEKLY;BYDAY=TU;COUNT=2' });
  expect(seen([head!, tail!])).toEqual([
    '11-02T09:00 30 Bench round',
    '11-09T09:00 30 Bench round',
    '11-17T10:00 30 Bench round',
    '11-24T10:00 30 Last',
  ]);
});

test('any move by hours and days, for all dates, leaves as many dates as there were', () => {
  const rules = [
    'FREQ=DAILY;INTERVAL=2',
    'FREQ=WEEKLY;BYDAY=TU,FR',
    'FREQ=WEEKLY;INTERVAL=2',
    'FREQ=MONTHLY;BYDAY=2TU',
  ];
  fc.assert(
    fc.property(
      fc.constantFrom(...rules),
      fc.integer({ min: -2, max: 2 }),
      fc.integer({ min: -8, max: 8 }),
      fc.integer({ min: 1, max: 5 }),
      (rule, days, hours, nth) => {
        const event = series(`${rule};COUNT=8`, {
          start: zoned('2026-11-10T09:00:00'),
          end: zoned('2026-11-10T09:30:00'),
        });
        const keys = seen([event], '2028-01-01');
        const [key] = [`2026-${keys[0]!.slice(0, 11)}:00`];
        fc.pre(nth > 0);
        const to = parseLocal(key!) + days * DAY + hours * HOUR;
        const before = dateAsEvent(event, key!);
        const edit = { before, after: { ...before, ...movedTimes(before, to, LONDON) } };
        const plan = { scope: 'every', fate: 'keep', names: NAMES, now: 9 } as const;
        const after = editSeries(event, key!, edit, plan)[0]!.after;
        const moved = seen([after], '2028-01-01');
        expect(moved).toHaveLength(8);
        expect(moved).toContain(`${formatLocal(to).slice(5, 16)} 30 Bench round`);
      },
    ),
  );
});

describe('skipping and removing', () => {
  test('a date, then the rest, then what is left', () => {
    const event = series('FREQ=WEEKLY;COUNT=4');
    const one = removeDates(event, '2026-11-09T09:00:00', 'this', 9);
    expect(seen([one])).toHaveLength(3);
    const ended = removeDates(one, '2026-11-16T09:00:00', 'later', 10);
    expect(seen([ended])).toEqual(['11-02T09:00 30 Bench round']);
    expect(removeDates(ended, '2026-11-02T09:00:00', 'this', 11).removedAt).toBe(11);
    expect(removeDates(event, '2026-11-02T09:00:00', 'later', 12).removedAt).toBe(12);
  });

  test('skipped and changed dates are listed in order, and restored one by one', () => {
    const event = series('FREQ=DAILY', {
      skippedDates: ['2026-11-12T09:00:00', '2026-11-03T09:00:00'],
      changedDates: {
        '2026-11-05T09:00:00': { title: 'X' },
        '2026-11-03T09:00:00': { title: 'Y' },
      },
    });
    expect(exceptionsOf(event)).toEqual([
      { key: '2026-11-03T09:00:00', isSkipped: true },
      { key: '2026-11-05T09:00:00', isSkipped: false },
      { key: '2026-11-12T09:00:00', isSkipped: true },
    ]);
    const back = restoreSkipped(event, '2026-11-03T09:00:00', 9);
    expect(seen([back], '2026-11-04')).toContain('11-03T09:00 30 Y');
    expect(restoreChanged(back, '2026-11-05T09:00:00', 9).changedDates).not.toHaveProperty(
      '2026-11-05T09:00:00',
    );
  });
});

test('counts say what each scope touches', () => {
  const event = series('FREQ=WEEKLY;COUNT=6', { skippedDates: ['2026-11-30T09:00:00'] });
  const now = parseLocal('2026-11-20T12:00:00');
  const counts = scopeChoices(event, '2026-11-16T09:00:00', null, now).map(
    ({ scope, dates, past }) => [scope, dates.count, past],
  );
  expect(counts).toEqual([
    ['this', 1, 1],
    ['later', 3, 1],
    ['every', 5, 3],
  ]);
  const [, endless] = scopeChoices(series('FREQ=WEEKLY'), '2026-11-02T09:00:00', null, now);
  expect(endless).toMatchObject({ scope: 'every', past: 3, dates: { isEndless: true } });
});

test('a copied series is a new one, from the date on, beginning on another day', () => {
  const event = series('FREQ=WEEKLY;COUNT=4', { skippedDates: ['2026-11-23T09:00:00'] });
  const to = { day: parseDate('2026-12-02'), id: 'copy', calendarId: 'clients', now: 9 };
  const copy = copySeriesTo(event, '2026-11-16T09:00:00', 'later', to);
  expect(copy).toMatchObject({ id: 'copy', uid: 'copy@orderly-week', calendarId: 'clients' });
  expect(copy.passthrough?.properties).toEqual([]);
  expect(seen([copy])).toEqual(['12-02T09:00 30 Bench round']);
  const all = copySeriesTo(event, '2026-11-16T09:00:00', 'every', {
    ...to,
    day: parseDate('2026-11-17'),
  });
  expect(seen([all]).map((line) => line.slice(0, 5))).toEqual(['11-03', '11-10', '11-17']);
});

test('a series of more dates than are gone through keeps its end when it is moved', () => {
  const event = series('FREQ=DAILY;UNTIL=20601101T090000Z');
  const [after] = run(event, '2026-11-03T09:00:00', movedTo('2026-11-03T11:00:00'), 'every');
  expect(after!.rule).toBe('FREQ=DAILY;UNTIL=20601101T090000Z');
});

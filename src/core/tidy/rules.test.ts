import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import { DEFAULT_SETTINGS } from '../model/others';
import type { TidyRule } from '../model/tidyRule';
import { parseDate } from '../time/civil';
import { odditiesOf, tidied } from './incoming';
import { ruled, ruledSteps, rulesFor } from './rules';

const LONDON = 'Europe/London';
const zoned = (local: string, zone = LONDON) => ({ kind: 'zoned', local, zone }) as const;
const event = (id: string, fields: Partial<CalendarEvent> = {}): CalendarEvent =>
  newEvent(
    {
      id,
      calendarId: 'work',
      title: 'Gasket delivery',
      start: zoned('2026-11-25T09:00:00'),
      end: zoned('2026-11-25T10:00:00'),
      ...fields,
    },
    1,
  );
const rule = (id: string, words: string, steps: TidyRule['steps'], isOn = true): TidyRule => ({
  id,
  order: 0,
  words,
  steps,
  isOn,
});
const NO_REMINDERS = {
  defaultReminders: [],
  defaultWholeDayReminders: [],
  remindsOf: 'all' as const,
};
const HOW = {
  viewZone: LONDON,
  said: new Set<keyof CalendarEvent>(),
  calendarOf: (id: string) =>
    id === 'gone' ? undefined : { ...NO_REMINDERS, kind: 'own' as const },
};

const RULES = [
  rule('a', '"gasket delivery"', [{ kind: 'calendar', calendarId: 'stores' }]),
  rule('b', 'gasket', [
    { kind: 'categories', add: ['freight'], remove: [], isReplaced: false },
    { kind: 'availability', availability: 'free' },
  ]),
  rule('c', 'gasket', [{ kind: 'importance', importance: 'high' }], false),
  rule('d', 'delivery', [{ kind: 'calendar', calendarId: 'gone' }]),
];

test('rules go by words of the title, in any case and with accents, and only when they are on', () => {
  const ids = (title: string) => rulesFor(title, RULES).map(({ id }) => id);
  expect(ids('GÁSKET Delivery at the quay')).toEqual(['a', 'b', 'd']);
  expect(ids('Delivery of gaskets')).toEqual(['b', 'd']);
  expect(ids('  ')).toEqual([]);
});

test('a new event gets what rules say, but for what was said about it and for calendars that are gone', () => {
  expect(ruled(event('x'), RULES, HOW).event).toEqual(
    event('x', { calendarId: 'stores', categoryIds: ['freight'], availability: 'free' }),
  );
  const said = new Set<keyof CalendarEvent>(['calendarId', 'availability']);
  expect(ruled(event('x'), RULES, { ...HOW, said }).event).toEqual(
    event('x', { categoryIds: ['freight'] }),
  );
  expect(ruled(event('x', { title: 'Lamp' }), RULES, HOW)).toEqual({
    event: event('x', { title: 'Lamp' }),
    by: [],
  });
});

test('when an event is and what it is called are no rules', () => {
  expect(
    ruledSteps([
      { kind: 'shiftDays', days: 7 },
      { kind: 'prefix', text: 'New ' },
      { kind: 'calendar', calendarId: 'stores' },
    ]),
  ).toEqual([{ kind: 'calendar', calendarId: 'stores' }]);
});

test('what comes in is looked at beside what is there, and put right on the way', () => {
  const known = event('known', { place: 'Quay 3', created: 5 });
  const incoming = [
    event('double', { title: 'Gasket Delivery', notes: 'Door 3', calendarId: 'new' }),
    event('night', {
      title: 'Freight',
      start: zoned('2026-11-26T02:00:00'),
      end: zoned('2026-11-26T03:00:00'),
    }),
    event('far', {
      title: 'Old',
      start: zoned('1999-11-26T09:00:00'),
      end: zoned('1999-11-26T10:00:00'),
    }),
    event('plain', { title: 'Lens' }),
  ];
  const world = {
    events: [known],
    settings: {
      ...DEFAULT_SETTINGS,
      zones: [{ zone: 'Asia/Tokyo', label: 'Osaka', onSheet: false }],
    },
    zone: LONDON,
    today: parseDate('2026-11-24'),
  };
  const odd = odditiesOf(incoming, world);
  expect(odd).toEqual({
    doubles: new Map([[0, known]]),
    oddZones: new Map([[1, 'Asia/Tokyo']]),
    farYears: new Set([2]),
  });
  const result = tidied(incoming, odd, LONDON, 9);
  expect(result.incoming).toEqual([
    {
      ...incoming[1],
      start: zoned('2026-11-26T11:00:00', 'Asia/Tokyo'),
      end: zoned('2026-11-26T12:00:00', 'Asia/Tokyo'),
    },
    incoming[2],
    incoming[3],
  ]);
  expect(result.joined).toEqual([
    {
      before: known,
      after: { ...known, notes: 'Door 3', updated: 9, revision: 1 },
    },
  ]);
});

import { DAY } from '../../time/civil';
import { findingsOf, leftKey } from './index';
import { timeIn } from './wording';
import {
  NOW,
  zoned,
  on,
  days,
  event,
  CALENDARS,
  category,
  worldOf,
  mended,
  said,
} from './testing/mended';

test('doubles become one, and what is left as it is does not come back', () => {
  const events = [
    event({ title: 'Gasket delivery', notes: 'Door 3' }),
    event({ title: 'Gasket Delivery ', place: 'Quay' }),
    event({ title: 'Gasket delivery', calendarId: 'quay' }),
  ];
  const { found, events: after, again } = mended('doubles', { events });
  expect(said(found)).toEqual([
    'Gasket delivery: 2 events, nearly the same title at the same time · Wed, 25 Nov 2026, 09:00 – 10:00',
  ]);
  expect(after).toHaveLength(2);
  expect(after[0]).toMatchObject({ notes: 'Door 3', place: 'Quay' });
  expect(again).toEqual([]);
  const left = new Set([leftKey(found[0]!)]);
  expect(findingsOf('doubles', worldOf({ events }), left)).toEqual([]);
});

test('a clash is moved to the next clear time, made tentative, or declined; two are not put on one place', () => {
  const events = [
    event({ title: 'Survey', ...on('2026-11-25', '09:00', '11:00') }),
    event({ title: 'Call', ...on('2026-11-25', '09:30', '10:00') }),
    event({ title: 'Visit', ...on('2026-11-25', '10:00', '10:30') }),
    event({ title: 'Lunch', ...on('2026-11-25', '11:00', '12:00') }),
  ];
  const { found, events: after, again } = mended('clashing', { events });
  expect(said(found)).toEqual([
    'Survey and Call: Wed 25 Nov, 09:00 – 11:00, and Wed 25 Nov, 09:30 – 10:00',
    'Survey and Visit: Wed 25 Nov, 09:00 – 11:00, and Wed 25 Nov, 10:00 – 10:30',
  ]);
  expect(after.map(({ start }) => (start as { local: string }).local.slice(11, 16))).toEqual([
    '09:00',
    '12:00',
    '12:30',
    '11:00',
  ]);
  expect(again).toEqual([]);
  expect(mended('clashing', { events }, 1).events[1]!.availability).toBe('tentative');
  expect(mended('clashing', { events }, 2).events[1]!.availability).toBe('free');
  // The other one of the two may give way as well.
  const { events: other } = mended('clashing', { events }, 3);
  expect(other[0]!.start).toMatchObject({ local: '2026-11-25T12:00:00' });
  expect(other.slice(1)).toEqual(events.slice(1));
});

test('of a series one date gives way, and a followed calendar’s never does', () => {
  const round = event({
    title: 'Round',
    rule: 'FREQ=DAILY;COUNT=3',
    ...on('2026-11-25', '09:30', '10:00'),
  });
  const gate = event({ title: 'Gate', calendarId: 'quay', ...on('2026-11-25', '09:45', '10:15') });
  const { events: after } = mended('clashing', { events: [round, gate] });
  expect(Object.keys(after[0]!.changedDates)).toEqual(['2026-11-25T09:30:00']);
  expect(after[1]).toEqual(gate);
});

test('doubles of one event are no clash', () => {
  const two = { title: 'Gasket delivery', ...on('2026-11-25', '09:30', '10:00') };
  const other = event({ title: 'Survey', ...on('2026-11-25', '09:00', '11:00') });
  const { found } = mended('clashing', { events: [event(two), event(two), other] });
  expect(found).toEqual([]);
});

test('a date of a series stays before the day of the next one', () => {
  const round = event({ title: 'Round', rule: 'FREQ=DAILY;COUNT=3', ...on('2026-11-25') });
  const gate = event({
    title: 'Gate',
    calendarId: 'quay',
    ...on('2026-11-25', '09:00', '17:30'),
  });
  const { found } = mended('clashing', { events: [round, gate] });
  expect(found[0]!.ways.map(({ label }) => label)).toEqual(['Round tentative', 'Decline Round']);
  const weekly = { ...round, rule: 'FREQ=WEEKLY;COUNT=3' };
  const { found: other } = mended('clashing', { events: [weekly, gate] });
  expect(other[0]!.ways[0]!.label).toBe('Round to Thu 26 Nov, 08:30');
});

test('series over closures are skipped on them', () => {
  const events = [
    event({ title: 'Round', rule: 'FREQ=DAILY;COUNT=4' }),
    event({ title: 'Winter closing', calendarId: 'quay', ...days('2026-11-26', '2026-11-28') }),
  ];
  const { found, events: after, again } = mended('overClosures', { events });
  expect(said(found)).toEqual(['Round: 2 dates on “Winter closing”']);
  expect(after[0]!.skippedDates).toEqual(['2026-11-26T09:00:00', '2026-11-27T09:00:00']);
  expect(again).toEqual([]);
});

test('a series that nobody touched for a year, or that is mostly skipped, is ended before its next date', () => {
  const old = {
    ...event({ title: 'Old', rule: 'FREQ=WEEKLY', ...on('2024-11-26') }),
    updated: NOW - 400 * DAY,
  };
  const skipped = event({
    title: 'Skipped',
    rule: 'FREQ=DAILY',
    ...on('2026-11-01'),
    skippedDates: ['15', '17', '18', '20', '21', '22'].map((day) => `2026-11-${day}T09:00:00`),
  });
  const {
    found,
    events: after,
    again,
  } = mended('stale', {
    events: [
      old,
      skipped,
      event({ rule: 'FREQ=WEEKLY' }),
      { ...old, id: 'ends', rule: 'FREQ=WEEKLY;COUNT=900' },
    ],
  });
  expect(said(found)).toEqual([
    'Old: It has no end, and nothing about it was changed for a year',
    'Skipped: 6 of its last 10 dates were skipped',
  ]);
  expect(after.slice(0, 2).every(({ rule }) => /UNTIL=202611/.test(rule!))).toBe(true);
  expect(again).toEqual([]);
});

test('what has no title is called by what it says otherwise', () => {
  const events = [
    event({ title: '', notes: 'Check the gauge\nand the lamp' }),
    event({
      title: 'Meeting',
      attendees: [{ name: 'Mei Lund', address: '', role: 'required', answer: 'none' }],
    }),
    event({ title: ' ? ', place: 'Quay 3' }),
    event({ title: 'Call' }),
    event({ title: 'Call with Mei' }),
  ];
  const { found, events: after } = mended('untitled', { events });
  expect(found.map(({ ways }) => ways[0]?.label)).toEqual([
    'Call it “Check the gauge”',
    'Call it “Meeting with Mei Lund”',
    'Call it “? Quay 3”',
    undefined,
  ]);
  expect(after.map(({ title }) => title)).toEqual([
    'Check the gauge',
    'Meeting with Mei Lund',
    '? Quay 3',
    'Call',
    'Call with Mei',
  ]);
});

test.each([
  ['10:30 visit', 630, 'visit'],
  ['Visit at 2.15 pm', 855, 'Visit'],
  ['Van @ 9 am, quay', 540, 'Van , quay'],
  ['12 am watch', 0, 'watch'],
])('“%s” says a time', (title, minute, rest) => {
  expect(timeIn(title)).toEqual({ minute, rest });
});

test.each(['Lamp 14', '13 pm', '24:00 x', '10:30', 'Version 2.15.3', '100:30 x', 'Sales 9.50%'])(
  '“%s” says none',
  (title) => {
    expect(timeIn(title)).toBeNull();
  },
);

test('a time in the title of a whole day becomes its time', () => {
  const events = [
    event({ title: '10:30 visit', ...days('2026-11-25', '2026-11-26') }),
    event({ title: '10:30 visit' }),
  ];
  const { events: after, again } = mended('timeInTitle', { events });
  expect(after[0]).toMatchObject({
    title: 'visit',
    start: zoned('2026-11-25T10:30:00'),
    end: zoned('2026-11-25T11:00:00'),
  });
  expect(after[1]).toEqual(events[1]);
  expect(again).toEqual([]);
});

test('links and known places go to their fields, and nothing else is taken', () => {
  const events = [
    event({ place: 'Quay 3' }),
    event({ place: 'Quay 3' }),
    event({ title: 'Visit at quay 3' }),
    event({ title: 'Dinner at eight' }),
    event({ notes: 'Join at https://rooms.example/a\nBring wire' }),
    event({ title: 'See https://rooms.example/b now', link: 'https://x.example' }),
  ];
  const { events: after, again } = mended('misplaced', { events });
  expect(after[2]).toMatchObject({ title: 'Visit', place: 'Quay 3' });
  expect(after[3]).toEqual(events[3]);
  expect(after[4]).toMatchObject({ link: 'https://rooms.example/a', notes: 'Join at\nBring wire' });
  expect(after[5]).toEqual(events[5]);
  expect(again).toEqual([]);
});

test('a night by one clock that is a day by another is put on that', () => {
  const watched = { zones: [{ zone: 'Asia/Tokyo', label: 'Osaka', onSheet: true }] };
  const events = [
    event({ title: 'Freight', ...on('2026-11-25', '02:00', '03:00') }),
    event({
      title: 'Watch',
      ...on('2026-11-25', '22:00', '23:59'),
      end: zoned('2026-11-26T06:00:00'),
    }),
    event({ title: 'Day', ...on('2026-11-25') }),
  ];
  const { found, events: after, again } = mended('oddHours', { events, settings: watched });
  expect(found.map(({ title }) => title)).toEqual(['Freight']);
  expect(after[0]).toMatchObject(on('2026-11-25', '11:00', '12:00', 'Asia/Tokyo'));
  expect(again).toEqual([]);
});

test('no length and far too long are given one', () => {
  const events = [
    event({ title: 'None', ...on('2026-11-25', '09:00', '09:00') }),
    event({ title: 'Long', ...on('2026-11-25'), end: zoned('2026-11-26T12:00:00') }),
    event({
      title: 'Flight',
      ...on('2026-11-25'),
      end: zoned('2026-11-26T12:00:00', 'Asia/Tokyo'),
    }),
    event({ title: 'Leave', ...days('2026-01-01', '2026-06-01') }),
  ];
  const { found, events: after } = mended('lengths', { events });
  expect(found.map(({ title, ways }) => [title, ways.map(({ how }) => how)])).toEqual([
    ['None', ['usual']],
    ['Long', ['days', 'usual']],
    ['Leave', []],
  ]);
  expect(after[0]!.end).toEqual(zoned('2026-11-25T09:30:00'));
  expect(after[1]).toMatchObject(days('2026-11-25', '2026-11-27'));
});

test('what is booked outside of work goes to the next working hours', () => {
  const events = [
    event({ title: 'Evening', ...on('2026-11-25', '18:00', '19:00') }),
    event({ title: 'Early', ...on('2026-11-25', '07:00', '07:30') }),
    event({ title: 'Saturday', ...on('2026-11-28', '10:00', '11:00') }),
    event({ title: 'Free', availability: 'free', ...on('2026-11-28', '10:00', '11:00') }),
  ];
  const { found, events: after, again } = mended('outsideHours', { events });
  expect(found.map(({ title }) => title)).toEqual(['Early', 'Evening', 'Saturday']);
  expect(after.map(({ start }) => (start as { local: string }).local.slice(5, 16))).toEqual([
    '11-26T08:30',
    '11-25T08:30',
    '11-30T08:30',
    '11-28T10:00',
  ]);
  expect(again).toEqual([]);
});

test('whole days that only tell of something become free', () => {
  const events = [
    event({ title: 'Ida on leave', ...days('2026-11-25', '2026-11-27') }),
    event({ title: 'Mei’s birthday', ...days('2026-11-25', '2026-11-26') }),
    event({ title: 'Own leave', availability: 'away', ...days('2026-11-25', '2026-11-26') }),
    event({ title: 'Ida off', ...on('2026-11-25') }),
  ];
  const { events: after, again } = mended('information', { events });
  expect(after.map(({ availability }) => availability)).toEqual(['free', 'free', 'away', 'busy']);
  expect(again).toEqual([]);
});

test('a title that is nearly always on one calendar goes there', () => {
  const events = [
    ...['24', '25', '26'].map((day) => event({ title: 'Tea', ...on(`2026-11-${day}`) })),
    event({ title: 'tea ', calendarId: 'clients' }),
    event({ title: 'Wire', calendarId: 'clients' }),
    event({ title: 'Wire' }),
  ];
  const { found, events: after, again } = mended('scattered', { events });
  expect(said(found)).toEqual(['tea: 3 of 4 are on Workshop; 1 is not']);
  expect(after[3]!.calendarId).toBe('work');
  expect(after[4]!.calendarId).toBe('clients');
  expect(again).toEqual([]);
});

test('reminders of what is over or free are cleared, others stay', () => {
  const reminders = [{ minutes: -10, from: 'start' as const }];
  const events = [
    event({ reminders, ...on('2026-11-20') }),
    event({ reminders, availability: 'free', ...days('2026-11-30', '2026-12-01') }),
    event({ reminders }),
    event({ reminders: null, ...on('2026-11-20') }),
  ];
  const { events: after } = mended('idleReminders', { events });
  expect(after.map((one) => one.reminders)).toEqual([[], [], reminders, null]);
});

test('what looks private is made so', () => {
  const events = [
    event({ title: 'Dentist' }),
    event({ title: 'Dentist’s lamp', visibility: 'private' }),
    event({}),
  ];
  const { found, events: after } = mended('unguarded', { events });
  expect(found).toHaveLength(1);
  expect(after.map(({ visibility }) => visibility)).toEqual(['private', 'private', 'public']);
});

test('look-alike inks, unused calendars and categories, and two spellings are put right', () => {
  const alike = [...CALENDARS, { ...CALENDARS[0]!, id: 'twin', name: 'Twin' }];
  const inked = mended('inks', { events: [], calendars: alike });
  expect(inked.again.length).toBeLessThan(inked.found.length);

  const categories = [
    category('a', 'Barometers'),
    category('b', 'Baromters'),
    category('c', 'Regatta'),
  ];
  const events = [
    event({ categoryIds: ['a'] }),
    event({ categoryIds: ['a'] }),
    event({
      categoryIds: ['b', 'a'],
      rule: 'FREQ=DAILY',
      changedDates: { '2026-11-26T09:00:00': { categoryIds: ['b'] } },
    }),
  ];
  const merged = mended('spelledTwice', { events, categories });
  expect(said(merged.found)).toEqual([
    'Baromters and Barometers: 2 events have “Baromters”, 3 “Barometers”',
  ]);
  expect(merged.events[2]).toMatchObject({
    categoryIds: ['a'],
    changedDates: { '2026-11-26T09:00:00': { categoryIds: ['a'] } },
  });
  expect(merged.categories.map(({ name }) => name)).toEqual(['Barometers', 'Regatta']);

  const cleared = mended('unused', { events, categories });
  expect(said(cleared.found)).toEqual([
    'Clients: A calendar without an event',
    'Regatta: A category that no event has',
  ]);
  expect(cleared.calendars.map(({ name }) => name)).toEqual(['Workshop', 'Quay']);
  expect(cleared.again).toEqual([]);
});

test('large files and those that are there twice are named, the largest first', () => {
  const file = (id: string, name: string, bytes: number) => ({ id, name, mediaType: 'x/y', bytes });
  const events = [
    event({
      title: 'One',
      attachments: [file('f1', 'Plan.pdf', 400), file('f2', 'Big.pdf', 3_000_000)],
    }),
    event({ title: 'Two', attachments: [file('f3', 'plan.PDF', 400), file('f4', 'Small.pdf', 4)] }),
  ];
  const { found, events: after } = mended('files', { events });
  expect(said(found)).toEqual([
    'Big.pdf: 3.0 MB, on “One”',
    'Plan.pdf: There 2 times, on “One”',
    'plan.PDF: There 2 times, on “Two”',
  ]);
  expect(after.map(({ attachments }) => attachments.map(({ id }) => id))).toEqual([[], ['f4']]);
});

test('a category that is spelled twice is merged on whole events and on single dates', () => {
  const categories = [category('lamp', 'Lamps'), category('lamps', 'lamps')];
  const changed = { '2026-11-26T09:00:00': { categoryIds: ['lamp'] } };
  const events = [
    event({ categoryIds: ['lamp', 'lamps'] }),
    event({ rule: 'FREQ=DAILY;COUNT=3', changedDates: changed }),
    event({ categoryIds: [] }),
  ];
  const { events: after, categories: left } = mended('spelledTwice', {
    events,
    categories,
  });
  const kept = left[0]!.id;
  expect(left).toHaveLength(1);
  expect(after[0]!.categoryIds).toEqual([kept]);
  expect(after[1]!.changedDates['2026-11-26T09:00:00']!.categoryIds).toEqual([kept]);
  expect(after[2]).toEqual(events[2]);
});

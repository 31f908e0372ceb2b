import { migrate } from './migrate';

const alarm = [
  'valarm',
  [
    ['action', {}, 'text', 'DISPLAY'],
    ['trigger', {}, 'duration', '-PT15M'],
  ],
  [],
];
const other = [
  'valarm',
  [
    ['action', {}, 'text', 'PROCEDURE'],
    ['trigger', {}, 'duration', '-PT15M'],
  ],
  [],
];
const passthrough = { properties: [['x-lamp', {}, 'text', 'port']], components: [alarm, other] };
const kept = { ...passthrough, components: [other] };
const reminder = { minutes: -15, from: 'start', alarm };

test('alarms that an event of version 1 only kept are its reminders, beside those it had', () => {
  const own = { minutes: -5, from: 'start' };
  const data = {
    id: 'a',
    reminders: [own],
    passthrough,
    changedDates: {
      '2026-11-24': { title: 'Late', passthrough },
      '2026-11-25': { title: 'Later' },
    },
  };
  expect(migrate('event', data, 1, undefined, 2)).toEqual({
    id: 'a',
    isQuiet: false,
    reminders: [own, reminder],
    passthrough: kept,
    changedDates: {
      '2026-11-24': { title: 'Late', reminders: [reminder], passthrough: kept },
      '2026-11-25': { title: 'Later' },
    },
  });
  expect(migrate('calendar', { passthrough }, 1, undefined, 2)).toEqual({ passthrough });
});

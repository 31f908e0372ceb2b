import { timeIn } from './wording';
import { differingFields } from '../doubles';
import { event, mended, mendedWhenGone, on } from './testing/mended';

test('a better title comes from the first line of the notes, then from people, then from the place', () => {
  const person = (name: string) => ({
    name,
    address: `${name}@x.example`,
    role: 'required' as const,
    answer: 'none' as const,
  });
  const names = [
    event({ title: '', notes: 'Check the gauge\nand the lens' }),
    event({
      title: 'Call',
      notes: 'https://quay.example/x',
      attendees: [person('Ida'), person('Oskar'), person('Mei')],
    }),
    event({ title: '', attendees: [person('Ida')] }),
    event({ title: '', place: ' Quay 3 ' }),
    event({ title: 'Meeting', place: 'Quay 3' }),
    event({ title: '' }),
    event({ title: 'Lamp check' }),
  ];
  const { found, events: after } = mended('untitled', { events: names });
  expect(found).toHaveLength(6);
  expect(after.map(({ title }) => title)).toEqual([
    'Check the gauge',
    'Call with Ida and Oskar',
    'Meeting with Ida',
    'At Quay 3',
    'Meeting Quay 3',
    '',
    'Lamp check',
  ]);
});

test.each([
  ['Van at 14:15', { minute: 855, rest: 'Van' }],
  ['9am round', { minute: 540, rest: 'round' }],
  ['Round, 12 am', { minute: 0, rest: 'Round' }],
  ['12.30 pm tea', { minute: 750, rest: 'tea' }],
  ['Tea 0 pm', null],
  ['Tea 13 pm', null],
  ['14:15', null],
  ['Lens 3.5%', null],
  ['Order 12', null],
])('the time in “%s” is %j', (title, found) => {
  expect(timeIn(title)).toEqual(found);
});

test('what is gone by the time that it is mended is let alone', () => {
  const titled = (title: string, more = {}) => event({ title, ...more });
  const link = 'https://quay.example/x';
  for (const [check, events] of [
    ['untitled', [titled('', { notes: 'Check the gauge' })]],
    ['timeInTitle', [titled('Van at 14:15')]],
    ['misplaced', [titled(`Call ${link}`)]],
    ['outsideHours', [titled('Round', on('2026-11-25', '04:00', '05:00'))]],
    ['oddHours', [titled('Round', on('2026-11-25', '23:00', '23:30'))]],
    ['lengths', [titled('Round', on('2026-11-25', '09:00', '09:00'))]],
    [
      'scattered',
      ['a', 'b', 'c']
        .map(() => titled('Bench round'))
        .concat(titled('Bench round', { calendarId: 'clients' })),
    ],
    ['doubles', [titled('Twice'), titled('Twice')]],
  ] as const) {
    const { changed } = mendedWhenGone(check, { events: [...events] });
    expect([check, changed]).toEqual([check, []]);
  }
  expect(mendedWhenGone('misplaced', { events: [titled(`Call ${link}`)] }).found).toBe(1);
  expect(
    mendedWhenGone('outsideHours', {
      events: [titled('Round', on('2026-11-25', '04:00', '05:00'))],
    }).found,
  ).toBe(1);
});

test('it is said what goes to which field, and where it stood', () => {
  const link = 'https://quay.example/x';
  const { found } = mended('misplaced', {
    events: [
      event({ title: `Call ${link}` }),
      event({ title: 'Talk', notes: link }),
      event({ title: 'Visit', place: link }),
    ],
  });
  expect(found.map(({ reason, ways }) => [reason, ways[0]!.label])).toEqual([
    [`The link ${link} is in the title`, 'Put the link to its field'],
    [`The link ${link} is in the notes`, 'Put the link to its field'],
    [`The link ${link} is in the place`, 'Put the link to its field'],
  ]);
});

test('doubled series are counted as series; what matters is taken from the one that says so', () => {
  const series = [1, 2].map((importance) =>
    event({ title: 'Round', rule: 'FREQ=DAILY;COUNT=3', importance: importance - 1 }),
  );
  const { found } = mended('doubles', { events: series });
  expect(found[0]!.reason).toMatch(/^2 series, the same title/);
  const single = mended('doubles', {
    events: [event({ title: 'Once' }), event({ title: 'Once' })],
  });
  expect(single.found[0]!.reason).toMatch(/^2 events, /);
  const [plain, matters] = [
    event({ importance: 0, updated: 2 }),
    event({ importance: 1, updated: 1 }),
  ];
  expect(differingFields([plain, matters])).toContainEqual({
    field: 'importance',
    proposed: matters.id,
  });
});

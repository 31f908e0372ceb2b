import { timeIn } from './wording';
import { event, mended } from './testing/mended';

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

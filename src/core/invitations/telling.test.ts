import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import { outgoing, tellings } from './telling';

const zoned = (local: string) =>
  ({ kind: 'zoned', local: `2026-11-${local}:00`, zone: 'Europe/London' }) as const;
const me = { name: 'Robin', address: 'robin@quay.example' };
const guest = (name: string) => ({
  ...{ name, address: `${name}@quay.example` },
  ...{ role: 'required' as const, answer: 'none' as const },
});

const meeting = (fields: Partial<CalendarEvent> = {}): CalendarEvent =>
  outgoing(
    newEvent(
      {
        ...{ id: 'm', calendarId: 'work', title: 'Glass review' },
        start: zoned('25T09:00'),
        end: zoned('25T10:00'),
        rule: 'FREQ=DAILY;COUNT=5',
        attendees: [guest('ida'), guest('tomas')],
        ...fields,
      },
      0,
    ),
    me,
  );

/** What is to be told, in short. */
const told = (now: CalendarEvent | null, before: CalendarEvent | null) =>
  tellings(now, before, me.address).map(
    ({ method, key, to, why }) =>
      `${method} ${key ?? 'whole'} to ${to.map(({ name }) => name).join('+')}: ${why}`,
  );

const KEY = '2026-11-26T09:00:00';

test.each<[string, CalendarEvent | null, CalendarEvent | null, string[]]>([
  ['nothing is known yet', meeting(), null, ['request whole to ida+tomas: new']],
  ['nothing changed', meeting(), meeting(), []],
  [
    'only an answer came',
    meeting({ attendees: [{ ...guest('ida'), answer: 'accepted' }, guest('tomas')] }),
    meeting(),
    [],
  ],
  [
    'it has another place',
    meeting({ place: 'Hall' }),
    meeting(),
    ['request whole to ida+tomas: changed'],
  ],
  ['it is gone', null, meeting(), ['cancel whole to ida+tomas: off']],
  ['it is gone, and nobody knew', null, null, []],
  [
    'one date is off',
    meeting({ skippedDates: [KEY] }),
    meeting(),
    [`cancel ${KEY} to ida+tomas: date off`],
  ],
  [
    'one date is moved',
    meeting({ changedDates: { [KEY]: { start: zoned('26T11:00'), end: zoned('26T12:00') } } }),
    meeting(),
    [`request ${KEY} to ida+tomas: date changed`],
  ],
  [
    'a date that was off is back',
    meeting(),
    meeting({ skippedDates: [KEY] }),
    ['request whole to ida+tomas: changed'],
  ],
  [
    'somebody else is asked, and one no more',
    meeting({ attendees: [guest('ida'), guest('mei')] }),
    meeting(),
    ['cancel whole to tomas: left out', 'request whole to mei: new'],
  ],
  [
    'nobody but the person is there',
    meeting({ attendees: [{ ...guest('robin'), address: me.address }] }),
    null,
    [],
  ],
])('%s', (_, now, before, expected) => {
  expect(told(now, before)).toEqual(expected);
});

test('what is one’s own does not go out', () => {
  const event = newEvent(
    {
      ...{ id: 'm', calendarId: 'work', title: 'Glass review' },
      start: zoned('25T09:00'),
      end: zoned('25T10:00'),
      travelBefore: 30,
      agenda: [{ id: 'p', text: 'Ask for the price first', done: false, minutes: 5 }],
      attachments: [{ id: 'f', name: 'margin.txt', mediaType: 'text/plain', bytes: 3 }],
      inkOverride: '#112233',
      passthrough: { properties: [['x-note', {}, 'text', 'mine']], components: [] },
      changedDates: { [KEY]: { agenda: [], notes: 'for all', travelBefore: 10 } },
    },
    0,
  );
  const out = outgoing(event, me);
  expect(out).toMatchObject({ travelBefore: 0, agenda: [], attachments: [] });
  expect(out.inkOverride).toBeUndefined();
  expect(out.passthrough).toBeUndefined();
  expect(out.changedDates).toEqual({ [KEY]: { notes: 'for all' } });
});

test.each([
  [undefined, 'TRUE'],
  [{ seesList: true, wantsAnswers: false, mayPropose: true, mayPassOn: true }, 'FALSE'],
])('asked with %j, guests are told that an answer is wanted: %s', (asking, rsvp) => {
  const { attendees } = meeting(asking && { asking });
  expect(attendees.map(({ parameters }) => parameters?.['rsvp'])).toEqual([rsvp, rsvp]);
});

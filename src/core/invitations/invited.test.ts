import type { Answer } from '../model/attendees';
import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import { availabilityFor, invitedEvent, partOf } from './invited';
import { readMessages } from './messages';
import { standingOf } from './standing';
import { writeMessage } from './write';

const zoned = (local: string) =>
  ({ kind: 'zoned', local: `2026-11-${local}:00`, zone: 'Europe/London' }) as const;
const NOW = Date.parse('2026-11-24T10:00:00Z');
const ME = 'robin@quay.example';
const KEY = '2026-11-26T09:00:00';

const asked = (fields: Partial<CalendarEvent>, sequence = 0) => {
  const event = newEvent(
    {
      ...{ id: 'm', uid: 'm@quay.example', calendarId: 'theirs', title: 'Lens trial' },
      ...{ start: zoned('25T09:00'), end: zoned('25T10:00'), rule: 'FREQ=DAILY;COUNT=5' },
      organizer: { name: 'Ida Solberg', address: 'ida@quay.example' },
      attendees: [{ name: 'Robin', address: ME, role: 'required', answer: 'none' }],
      ...fields,
    },
    0,
  );
  const what = { method: 'request' as const, event, key: null, sequence, line: '' };
  const text = writeMessage({ ...what, now: NOW + sequence });
  return standingOf(readMessages(text, NOW))!;
};

const setting = {
  ...{ was: null, me: ME, id: 'own', calendarId: 'work', now: NOW },
  ...{ written: [], versions: [] },
};

test('what is asked for the first time takes no time, and is the guest’s own otherwise', () => {
  const event = invitedEvent(asked({ place: 'Pier' }), undefined, setting);
  expect(event).toMatchObject({
    ...{ id: 'own', uid: 'm@quay.example', calendarId: 'work', title: 'Lens trial', place: 'Pier' },
    ...{ availability: 'free', invited: 'unanswered', reminders: null, categoryIds: [] },
    ...{ revision: 0, rule: 'FREQ=DAILY;COUNT=5' },
  });
});

test('a change by the organizer writes what differs, and leaves what the guest changed', () => {
  const first = asked({ place: 'Pier' });
  const taken = invitedEvent(first, undefined, setting);
  const own = {
    ...taken,
    ...{ place: 'Pier, by the stairs', categoryIds: ['lamps'], calendarId: 'clients' },
    changedDates: { [KEY]: { place: 'Bench 2' } },
  };
  const next = asked({ place: 'Pier', title: 'Lens trial 2' }, 1);
  const event = invitedEvent(next, own, { ...setting, was: first.draft });
  expect(event).toMatchObject({
    ...{ title: 'Lens trial 2', place: 'Pier, by the stairs', categoryIds: ['lamps'] },
    ...{ calendarId: 'clients', revision: 1 },
  });
  expect(event.changedDates).toEqual(own.changedDates);
  // A date that the organizer changes is theirs from then on.
  const dated = asked({ place: 'Pier', changedDates: { [KEY]: { title: 'Other' } } }, 2);
  const after = invitedEvent(dated, own, { ...setting, was: first.draft });
  expect(after.changedDates[KEY]).toMatchObject({ title: 'Other' });
  expect(after.changedDates[KEY]).not.toHaveProperty('place');
});

test('a series that becomes single has no rule any more', () => {
  const first = asked({});
  const taken = invitedEvent(first, undefined, setting);
  const { rule: _rule, ...single } = asked({}, 1).draft;
  const standing = { ...asked({}, 1), draft: { ...single } as typeof first.draft };
  const event = invitedEvent(standing, taken, { ...setting, was: first.draft });
  expect(event).not.toHaveProperty('rule');
});

test('an answer that the organizer knows counts while it is to the same time', () => {
  const answered = (answer: Answer, sequence: number, fields: Partial<CalendarEvent> = {}) =>
    asked(
      { attendees: [{ name: 'Robin', address: ME, role: 'required', answer }], ...fields },
      sequence,
    );
  const first = answered('accepted', 0);
  const taken = invitedEvent(first, undefined, setting);
  expect([taken.availability, taken.invited]).toEqual(['busy', 'answered']);
  const same = invitedEvent(answered('none', 1), taken, { ...setting, was: first.draft });
  expect(partOf(same, ME)?.answer).toBe('accepted');
  const moved = answered('none', 1, { start: zoned('25T11:00'), end: zoned('25T12:00') });
  const other = invitedEvent(moved, taken, { ...setting, was: first.draft });
  expect(partOf(other, ME)?.answer).toBe('none');
  expect([other.availability, other.invited]).toEqual(['free', 'unanswered']);
});

test.each([
  ['accepted', 'busy', 'busy'],
  ['accepted', 'tentative', 'busy'],
  ['accepted', 'free', 'free'],
  ['tentative', 'busy', 'tentative'],
  ['declined', 'busy', 'free'],
  ['none', 'away', 'free'],
] as const)('%s to what is %s takes time as %s', (answer, is, availability) => {
  expect(availabilityFor(answer, is)).toBe(availability);
});

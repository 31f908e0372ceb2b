import { newPerson } from '@/core/model/person';
import { HOUR } from '@/core/time/civil';
import type { CalendarEvent } from '@/core/model/event';
import { calendar, done, event, NOW, opened, zoned } from './testing/opened';

const START = Date.UTC(2026, 10, 26, 10);
const held = (n: number) => {
  const one = event(`held-${n}`, {
    title: 'Held: Lens order',
    availability: 'tentative',
    start: zoned(`2026-11-26T${10 + n}:00:00`),
    end: zoned(`2026-11-26T${11 + n}:00:00`),
  });
  return one.record as CalendarEvent;
};
const EVENTS = [held(0), held(1), held(2)];
const OFFER = {
  id: 'o',
  title: 'Lens order',
  minutes: 60,
  guestIds: ['ida'],
  zones: ['Europe/London'],
  times: EVENTS.map(({ id }, i) => ({ start: START + i * HOUR, eventId: id })),
  made: NOW,
};
const ida = newPerson({ id: 'ida', name: 'Ida Solberg', zone: 'Europe/London' });

async function offered() {
  const engine = await opened([calendar('work'), { type: 'person', record: ida }]);
  const label = await done(engine, { kind: 'keepOffer', offer: OFFER, events: EVENTS });
  expect(label).toBe('Held 3 times for “Lens order”');
  return engine;
}

test('the time that is taken is booked with its guests, the others are let go, and all of it is one change', async () => {
  const engine = await offered();
  expect(await done(engine, { kind: 'takeOffer', id: 'o', start: START + HOUR })).toBe(
    'Took Thu 26 Nov, 11:00 for “Lens order”, and let go of 2 others',
  );
  expect(engine.people.offers()).toEqual([]);
  expect(engine.queries.event('held-1')).toMatchObject({
    title: 'Lens order',
    availability: 'busy',
    attendees: [{ name: 'Ida Solberg', role: 'required', answer: 'none' }],
  });
  expect(engine.queries.event('held-0')).toBeNull();
  await engine.commands.step('undo');
  expect(engine.people.offers()).toEqual([OFFER]);
  expect(engine.queries.event('held-0')).toEqual(EVENTS[0]);
  expect(engine.queries.event('held-1')).toEqual(EVENTS[1]);
});

test('all are let go at once, also where one was removed by hand', async () => {
  const engine = await offered();
  await done(engine, { kind: 'removeEvents', ids: ['held-0'] });
  expect(await done(engine, { kind: 'letGoOffer', id: 'o' })).toBe(
    'Let go of 3 times held for “Lens order”',
  );
  expect(engine.queries.event('held-2')).toBeNull();
  expect(await done(engine, { kind: 'letGoOffer', id: 'o' })).toBeNull();
  await expect(done(engine, { kind: 'takeOffer', id: 'o', start: START })).rejects.toThrow(
    'This time is not held any more.',
  );
});

test('what nobody took goes once it has begun, and the rest stays', async () => {
  const engine = await offered();
  expect(await done(engine, { kind: 'letGoPast' }, START - 1)).toBeNull();
  expect(await done(engine, { kind: 'letGoPast' }, START + HOUR)).toBe(
    'Let go of 2 held times that nobody took',
  );
  expect(engine.people.offers().map(({ times }) => times)).toEqual([[OFFER.times[2]]]);
  expect(engine.queries.event('held-2')).toEqual(EVENTS[2]);
  await done(engine, { kind: 'letGoPast' }, START + 3 * HOUR);
  expect(engine.people.offers()).toEqual([]);
});

test('the file of an offer has each time, tentative', async () => {
  const { people } = await offered();
  const text = people.offerFile(EVENTS, NOW);
  expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(3);
  expect(text.match(/STATUS:TENTATIVE/g)).toHaveLength(3);
});

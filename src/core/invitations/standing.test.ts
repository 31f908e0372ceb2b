import fc from 'fast-check';
import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import type { InviteMessage } from './messages';
import { readMessages } from './messages';
import { standingOf } from './standing';
import { writeMessage } from './write';

const zoned = (local: string) =>
  ({ kind: 'zoned', local: `2026-11-${local}:00`, zone: 'Europe/London' }) as const;

const ida = { name: 'Ida Solberg', address: 'ida@quay.example' };

const meeting = (fields: Partial<CalendarEvent> = {}): CalendarEvent =>
  newEvent(
    {
      ...{ id: 'm', uid: 'm@quay.example', calendarId: 'work', title: 'Lens trial' },
      start: zoned('25T09:00'),
      end: zoned('25T10:00'),
      organizer: ida,
      attendees: [
        { name: 'Robin', address: 'robin@quay.example', role: 'required', answer: 'none' },
      ],
      ...fields,
    },
    0,
  );

interface Said {
  method?: 'request' | 'cancel';
  key?: string | null;
  sequence: number;
  stamp: number;
  fields?: Partial<CalendarEvent>;
}

/** A message as it comes out of its text. */
function message({ method = 'request', key = null, sequence, stamp, fields }: Said): InviteMessage {
  const now = Date.parse('2026-11-24T10:00:00Z') + stamp * 1000;
  const event = meeting({ rule: 'FREQ=DAILY;COUNT=5', ...fields });
  const text = writeMessage({ method, event, key, sequence, line: '', now });
  const [read] = readMessages(text, now);
  return read!;
}

test('the last request counts, with what was there before', () => {
  const first = message({ sequence: 0, stamp: 0 });
  const moved = message({ sequence: 1, stamp: 5, fields: { place: 'Bench hall' } });
  const standing = standingOf([moved, first])!;
  expect(standing.draft.place).toBe('Bench hall');
  expect(standing.before?.place).toBe('');
  expect(standing.isCancelled).toBe(false);
});

test('one date is called off, another is moved; a later word on the whole takes both back', () => {
  const whole = message({ sequence: 0, stamp: 0 });
  const off = message({ method: 'cancel', key: '2026-11-26T09:00:00', sequence: 1, stamp: 1 });
  const changed = { start: zoned('27T11:00'), end: zoned('27T12:00') };
  const moved = message({
    ...{ key: '2026-11-27T09:00:00', sequence: 2, stamp: 2 },
    fields: { changedDates: { '2026-11-27T09:00:00': changed } },
  });
  const standing = standingOf([moved, off, whole])!;
  expect(standing.draft.skippedDates).toEqual(['2026-11-26T09:00:00']);
  expect(standing.cancelledDates).toEqual(['2026-11-26T09:00:00']);
  expect(standing.draft.changedDates['2026-11-27T09:00:00']).toMatchObject(changed);
  const again = message({ sequence: 3, stamp: 3 });
  const after = standingOf([moved, off, whole, again])!;
  expect(after.draft.skippedDates).toEqual([]);
  expect(after.draft.changedDates).toEqual({});
});

test('a cancellation counts until it is asked anew', () => {
  const asked = message({ sequence: 0, stamp: 0 });
  const off = message({ method: 'cancel', sequence: 1, stamp: 1 });
  expect(standingOf([off, asked])?.isCancelled).toBe(true);
  const anew = message({ sequence: 2, stamp: 2 });
  expect(standingOf([off, anew, asked])?.isCancelled).toBe(false);
});

test('who is asked to one date alone has that date', () => {
  const date = message({ key: '2026-11-26T09:00:00', sequence: 0, stamp: 0 });
  const standing = standingOf([date])!;
  expect(standing.draft.start).toEqual(zoned('26T09:00'));
  expect(standing.draft.rule).toBeUndefined();
});

test('messages end in the same state in whatever order they come, and however often', () => {
  const keys = [null, '2026-11-26T09:00:00', '2026-11-27T09:00:00'];
  const said = fc.record({
    method: fc.constantFrom('request' as const, 'cancel' as const),
    key: fc.constantFrom(...keys),
    sequence: fc.integer({ min: 0, max: 3 }),
    stamp: fc.integer({ min: 0, max: 3 }),
    fields: fc.constantFrom({}, { place: 'Bench hall' }, { title: 'Lens test' }),
  });
  fc.assert(
    fc.property(
      fc.array(said, { minLength: 1, maxLength: 6 }).chain((all) =>
        fc.record({
          all: fc.constant(all),
          shuffled: fc.shuffledSubarray([...all, ...all], { minLength: 2 * all.length }),
        }),
      ),
      ({ all, shuffled }) => {
        const state = (list: readonly Said[]) => {
          const standing = standingOf(list.map(message));
          return standing && [standing.draft, standing.isCancelled, standing.cancelledDates];
        };
        expect(state(shuffled)).toEqual(state(all));
      },
    ),
    { numRuns: 60 },
  );
});

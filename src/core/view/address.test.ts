import fc from 'fast-check';
import type { ViewSpan } from '../model/view';
import { FORMS } from '../model/view';
import { dayNumber } from '../time/civil';
import { readAddress, writeAddress } from './address';

const span = fc.oneof(
  fc.constantFrom(...(['day', 'workweek', 'week', 'month', 'year'] as const)).map((kind) => ({
    kind,
  })),
  fc.integer({ min: 2, max: 7 }).map((count) => ({ kind: 'days' as const, count })),
  fc.integer({ min: 2, max: 6 }).map((count) => ({ kind: 'weeks' as const, count })),
  fc.stringMatching(/^[\w-]{1,12}$/).map((id) => ({ kind: 'period' as const, id })),
) as fc.Arbitrary<ViewSpan>;

const address = fc.record(
  {
    day: fc.integer({ min: dayNumber(1, 1, 1), max: dayNumber(9999, 12, 31) }),
    span,
    form: fc.constantFrom(...FORMS),
    lensId: fc.string({ minLength: 1 }),
    event: fc.string({ minLength: 1 }),
  },
  { requiredKeys: [] },
);

test('an address says again what it was made of', () => {
  fc.assert(
    fc.property(address, (said) => {
      expect(readAddress(writeAddress(said))).toEqual(said);
    }),
  );
});

test('an address can be read by people', () => {
  const said = writeAddress({
    day: dayNumber(2026, 11, 25),
    span: { kind: 'days', count: 3 },
    form: 'columns',
    event: 'quay@2026-11-25T09:00',
  });
  expect(said).toBe('on=2026-11-25&span=days-3&form=columns&event=quay%402026-11-25T09%3A00');
});

test.each([
  ['', {}],
  ['on=2026-02-30&span=fortnight&form=pie', {}],
  ['span=days-9&on=today&event=', {}],
  ['span=week&on=2026-11-25', { span: { kind: 'week' }, day: dayNumber(2026, 11, 25) }],
  ['span=period&form=rows', { form: 'rows' }],
])('what can’t be understood of %p is left out', (query, understood) => {
  expect(readAddress(query)).toEqual(understood);
});

import fc from 'fast-check';
import type { SharedField, SharedFields } from './sharedChange';
import { areWholeDays, mergeShared, SHARED_FIELDS, sharedChange } from './sharedChange';

const HOURS = ['2026-11-25T09:00:00', '2026-11-25T10:00:00', '2026-11-26T14:00:00'];
const fields = fc.record<SharedFields>({
  title: fc.constantFrom('Lamp', 'Lens', 'Crate'),
  place: fc.constantFrom('', 'Pier', 'Quay'),
  start: fc.constantFrom(...HOURS),
  end: fc.constantFrom(...HOURS),
});
/** What belongs together: when it is counts as one. */
const PART: Record<SharedField, readonly SharedField[]> = {
  title: ['title'],
  place: ['place'],
  start: ['start', 'end'],
  end: ['start', 'end'],
};

test('each field goes to who changed it; where both did, otherwise, it stays and theirs is told', () => {
  fc.assert(
    fc.property(fields, fields, fields, (base, theirs, mine) => {
      const { taken, kept } = mergeShared(base, theirs, mine);
      for (const field of SHARED_FIELDS) {
        const differs = (a: SharedFields, b: SharedFields) =>
          PART[field].some((f) => a[f] !== b[f]);
        const [they, I] = [differs(base, theirs), differs(base, mine)];
        const isAgreed = !differs(theirs, mine);
        expect(taken[field]).toBe(they && !I && !isAgreed ? theirs[field] : undefined);
        expect(kept[field]).toBe(they && I && !isAgreed ? theirs[field] : undefined);
      }
    }),
  );
});

test('a change whose end is not after its start, or that has no title or name, is none', () => {
  const to = { title: 'Lamp', place: '', start: HOURS[0]!, end: HOURS[1]! };
  const add = { id: 'a', by: 'Ida', zone: 'Europe/London', kind: 'add', to };
  const reads = (change: object) => sharedChange.safeParse(change).success;
  expect(reads(add)).toBe(true);
  expect(reads({ ...add, to: { ...to, end: to.start } })).toBe(false);
  expect(reads({ ...add, to: { ...to, title: '  ' } })).toBe(false);
  expect(reads({ ...add, by: '' })).toBe(false);
  expect(reads({ ...add, zone: 'Nowhere/Else' })).toBe(false);
  expect(reads({ ...add, to: { ...to, start: '2026-02-30T09:00:00' } })).toBe(false);
});

test('whole days go from one midnight to a later one', () => {
  const day = 86_400_000;
  expect(areWholeDays(0, day)).toBe(true);
  expect(areWholeDays(0, 0)).toBe(false);
  expect(areWholeDays(day, 0)).toBe(false);
  expect(areWholeDays(1000, day)).toBe(false);
  expect(areWholeDays(0, day + 1000)).toBe(false);
});

import fc from 'fast-check';
import type { History } from './change';
import {
  applyEdit,
  applyReverse,
  CHANGES_KEPT,
  EMPTY_HISTORY,
  mergeFields,
  pushChange,
  stepHistory,
} from './change';

const anyRecord = fc.dictionary(
  fc.constantFrom('title', 'place', 'notes', 'rule'),
  fc.constantFrom('a', 'b', 'c'),
  { noNullPrototype: true },
);

test('an edit of what nobody else touched is the edit itself', () => {
  fc.assert(
    fc.property(anyRecord, anyRecord, (before, after) => {
      expect(mergeFields(before, after, before)).toEqual(after);
    }),
  );
});

test('an edit that changes nothing leaves what others did', () => {
  fc.assert(
    fc.property(anyRecord, anyRecord, (before, latest) => {
      expect(mergeFields(before, before, latest)).toEqual(latest);
    }),
  );
});

test('parts of a field are merged only where each says something for itself', () => {
  const merged = (field: string) =>
    mergeFields(
      { [field]: { a: 1, b: 1 } },
      { [field]: { a: 2, b: 1 } },
      { [field]: { a: 1, b: 3 } },
    );
  expect(merged('changedDates')).toEqual({ changedDates: { a: 2, b: 3 } });
  expect(merged('organizer')).toEqual({ organizer: { a: 2, b: 1 } });
  // Where one of the three has none there is nothing to merge with.
  expect(mergeFields({}, { exceptions: { a: 1 } }, { exceptions: { b: 2 } })).toEqual({
    exceptions: { a: 1 },
  });
});

test('edits of different fields hold in either order', () => {
  fc.assert(
    fc.property(
      anyRecord,
      fc.constantFrom('a', 'b'),
      fc.constantFrom('a', 'b'),
      (before, title, place) => {
        const one = { ...before, title };
        const two = { ...before, place };
        const expected = { ...before, title, place };
        expect(mergeFields(before, two, one)).toEqual(expected);
        expect(mergeFields(before, one, two)).toEqual(expected);
      },
    ),
  );
});

test('a reverse takes back its own fields alone', () => {
  fc.assert(
    fc.property(anyRecord, anyRecord, (before, after) => {
      expect(applyReverse({ key: 'event/a', before, after }, after)).toEqual(before);
      const later = { ...after, link: 'later' };
      expect(applyReverse({ key: 'event/a', before, after }, later)).toEqual({
        ...before,
        link: 'later',
      });
    }),
  );
});

test('changed dates of a series are edited one by one', () => {
  const before = { changedDates: { monday: { title: 'A' } } };
  const mine = { changedDates: { monday: { title: 'A' }, tuesday: { title: 'B' } } };
  const theirs = { changedDates: { monday: { title: 'A, moved' } } };
  expect(mergeFields(before, mine, theirs)).toEqual({
    changedDates: { monday: { title: 'A, moved' }, tuesday: { title: 'B' } },
  });
});

test('lists and nested values are told apart by what they hold', () => {
  const before = {
    reminders: [{ minutes: -10, from: 'start' }],
    start: { kind: 'date', date: '2026-11-24' },
  };
  const same = structuredClone(before);
  const latest = { ...before, reminders: [] };
  expect(mergeFields(before, same, latest)).toEqual(latest);
});

test('adding and taking away are no merges', () => {
  expect(applyEdit(null, { title: 'new' }, null)).toEqual({ title: 'new' });
  expect(applyEdit({ title: 'old' }, null, { title: 'old' })).toBeNull();
  expect(
    applyReverse({ key: 'event/a', before: null, after: { title: 'new' } }, { title: 'new' }),
  ).toBeNull();
  expect(applyReverse({ key: 'event/a', before: { title: 'old' }, after: null }, null)).toEqual({
    title: 'old',
  });
});

test('what was cleared away for good stays away', () => {
  const step = { key: 'event/a', before: { title: 'a' }, after: { title: 'b' } };
  expect(applyReverse(step, null)).toBeNull();
});

function filled(n: number): History {
  let history = EMPTY_HISTORY;
  for (let i = 1; i <= n; i++) ({ history } = pushChange(history, { label: `Change ${i}` }));
  return history;
}

test('the history keeps the last changes and names those that it forgets', () => {
  const history = filled(CHANGES_KEPT);
  const { history: next, forgotten, id } = pushChange(history, { label: 'One more' });
  expect(id).toBe(CHANGES_KEPT + 1);
  expect(forgotten).toEqual([1]);
  expect(next.done).toHaveLength(CHANGES_KEPT);
});

test('undo and redo walk the same changes to and fro', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 20 }),
      fc.array(fc.constantFrom('undo', 'redo')),
      (n, steps) => {
        let history = filled(n);
        let at = n;
        for (const direction of steps as ('undo' | 'redo')[]) {
          const step = stepHistory(history, direction);
          const expected = direction === 'undo' ? at : at + 1;
          if (expected < 1 || expected > n) {
            expect(step).toBeNull();
            continue;
          }
          expect(step?.label).toBe(`Change ${expected}`);
          at += direction === 'undo' ? -1 : 1;
          history = step!.history;
        }
        expect(history.done).toHaveLength(at);
        expect(history.undone).toHaveLength(n - at);
      },
    ),
  );
});

test('a new change forgets those that could be done again', () => {
  const undone = stepHistory(filled(3), 'undo')!.history;
  const { history, forgotten } = pushChange(undone, { label: 'Another' });
  expect(forgotten).toEqual([3]);
  expect(history.undone).toEqual([]);
  expect(history.done.map(({ label }) => label)).toEqual(['Change 1', 'Change 2', 'Another']);
});

test('start and end go together: no edit of one is mixed with another of both', () => {
  const before = { start: 9, end: 10 };
  const stretched = { start: 9, end: 11 };
  const moved = { start: 14, end: 15 };
  expect(mergeFields(before, stretched, moved)).toEqual(stretched);
  expect(mergeFields(before, moved, stretched)).toEqual(moved);
  expect(mergeFields(before, { ...before, place: 'Quay 3' }, moved)).toEqual({
    ...moved,
    place: 'Quay 3',
  });
});

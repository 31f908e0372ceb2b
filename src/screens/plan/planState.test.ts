import { at, timed, TODAY } from '@/core/testing/occurrences';
import type { PlanAction, PlanState } from './planState';
import { NOTHING_OPEN, planReducer, selectedIn } from './planState';

const CALL = timed('Osaka call', TODAY, at(9), at(10), { id: 'call' });
const HOME = 'Europe/London';
const after = (...actions: PlanAction[]): PlanState => actions.reduce(planReducer, NOTHING_OPEN);
const details = { do: 'open', panel: { kind: 'details', occurrence: CALL } } as const;

test('another clock closes what tells times by the one before, and leaves the zones open', () => {
  const osaka = { do: 'seeAs', zone: 'Asia/Tokyo', home: HOME } as const;
  expect(after(details, osaka)).toEqual({ ...NOTHING_OPEN, seenAs: 'Asia/Tokyo' });
  expect(after({ do: 'open', panel: { kind: 'zones' } }, osaka).panel).toEqual({ kind: 'zones' });
  // One's own zone is no other one.
  expect(after(osaka, { do: 'seeAs', zone: HOME, home: HOME }).seenAs).toBeNull();
});

test('going back to an address without an event closes its details, and nothing else', () => {
  expect(after(details, { do: 'leaveDetails' }).panel).toBeNull();
  const editing: PlanAction = {
    do: 'open',
    panel: {
      kind: 'edit',
      eventId: 'call',
      dateKey: null,
      occurrenceId: 'call',
      start: CALL.start,
    },
  };
  expect(after(editing, { do: 'leaveDetails' })).toEqual(after(editing));
});

test('dialogs, a menu and what is being added stand beside the panel', () => {
  const all = after(details, { do: 'ask', dialog: 'date' }, { do: 'menu', of: CALL });
  expect(all).toEqual({
    ...NOTHING_OPEN,
    panel: details.panel,
    dialog: 'date',
    menuFor: CALL,
  });
  expect(planReducer(all, { do: 'close', panel: details.panel })).toEqual({ ...all, panel: null });
});

test('what closes later than another panel was opened leaves that one open', () => {
  const load = after(details, { do: 'open', panel: { kind: 'load' } });
  expect(planReducer(load, { do: 'close', panel: details.panel })).toEqual(load);
  // The same event may have been drawn anew meanwhile.
  const anew = { kind: 'details', occurrence: { ...CALL } } as const;
  expect(planReducer(after(details), { do: 'close', panel: anew }).panel).toBeNull();
});

test('what a panel is about is selected', () => {
  expect(selectedIn(details.panel)).toBe(CALL);
  expect(selectedIn({ kind: 'copy', occurrence: CALL })).toBe(CALL);
  expect(
    selectedIn({ kind: 'edit', eventId: 'e', dateKey: null, occurrenceId: 'e@1', start: 7 }),
  ).toEqual({ id: 'e@1', start: 7 });
  expect(selectedIn({ kind: 'load' })).toBeUndefined();
  expect(selectedIn(null)).toBeUndefined();
});

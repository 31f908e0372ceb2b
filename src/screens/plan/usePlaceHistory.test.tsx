import { act, render, waitFor } from '@testing-library/react';
import { DEFAULT_VIEW } from '@/core/model/view';
import { TODAY } from '@/core/testing/occurrences';
import { useBackCloses } from '@/ui/backStack';
import type { DayNumber } from '@/core/time/units';
import { usePlaceHistory } from './usePlaceHistory';
import type { SheetPlace } from './useSheetPlace';

const restore = jest.fn();
/** How much later it is than it would be, in ms. */
let later = 0;
const sinceOpened = performance.now.bind(performance);
jest.spyOn(performance, 'now').mockImplementation(() => sinceOpened() + later);

function Panel({ onClose }: { onClose(): void }) {
  useBackCloses(onClose);
  return null;
}

/** The sheet at a day, with an event open beside it or not. */
function Sheet({ day, event }: { day: DayNumber; event: string | null }) {
  const place = { view: DEFAULT_VIEW, lensId: null, day, restore } as unknown as SheetPlace;
  usePlaceHistory({ place, event, onEvent: () => undefined });
  return event === null ? null : <Panel onClose={() => undefined} />;
}

const dayOf = (days: number) => new Date((TODAY + days) * 86_400_000).toISOString().slice(0, 10);

beforeEach(() => window.history.pushState(null, '', '/'));

test('a day that is gone to right after an event was closed by hand is an entry of its own', async () => {
  const { rerender } = render(<Sheet day={TODAY} event={null} />);
  await act(() => new Promise((resolve) => setTimeout(resolve)));
  const before = window.history.length;
  rerender(<Sheet day={TODAY + 7} event={null} />);
  expect(window.history.length).toBe(before + 1);
  rerender(<Sheet day={TODAY + 7} event="call-0" />);
  expect(window.location.search).toMatch(/&event=call-0$/);
  rerender(<Sheet day={TODAY + 7} event={null} />);
  // Soon enough to be taken for one step with the last: but the entry stood at is the event's.
  rerender(<Sheet day={TODAY + 14} event={null} />);
  expect(window.location.search).toContain(`on=${dayOf(14)}`);
  window.history.back();
  await waitFor(() => expect(window.location.search).toContain(`on=${dayOf(7)}`));
  expect(restore).toHaveBeenLastCalledWith(expect.objectContaining({ day: TODAY + 7 }));
});

test('days that follow each other within a moment are one entry', () => {
  const { rerender } = render(<Sheet day={TODAY} event={null} />);
  rerender(<Sheet day={TODAY + 1} event={null} />);
  const before = window.history.length;
  rerender(<Sheet day={TODAY + 2} event={null} />);
  expect(window.history.length).toBe(before);
  expect(window.location.search).toContain(`on=${dayOf(2)}`);
  later = 1000;
  rerender(<Sheet day={TODAY + 3} event={null} />);
  expect(window.history.length).toBe(before + 1);
});

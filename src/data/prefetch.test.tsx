import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import type { Window } from '@/core/agenda/occurrence';
import { ALL_SHOWN } from '@/core/query/eventQuery';
import type { DayNumber } from '@/core/time/units';
import { usePrefetchAround } from './queries';

const mockEngine = { queries: { occurrences: jest.fn() } };
jest.mock('./engineContext', () => ({ useEngine: () => ({ engine: mockEngine }) }));

const windowAt = (fromDay: DayNumber): Window => ({ fromDay, toDay: fromDay + 7, zone: 'UTC' });

async function prefetching() {
  mockEngine.queries.occurrences
    .mockReset()
    .mockResolvedValue({ occurrences: [], cut: [], hidden: 0 });
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  );
  const hook = renderHook(
    ({ around, shownAt }: { around: number[]; shownAt: number }) =>
      usePrefetchAround(around.map(windowAt), ALL_SHOWN, shownAt),
    { wrapper, initialProps: { around: [93, 107], shownAt: 0 } },
  );
  const show = (around: number[], shownAt: number) =>
    act(async () => hook.rerender({ around, shownAt }));
  const asked = () => {
    const days = mockEngine.queries.occurrences.mock.calls.map(
      ([{ fromDay }]) => fromDay as number,
    );
    mockEngine.queries.occurrences.mockClear();
    return days;
  };
  return { client, show, asked };
}

test('the windows beside are asked for once the one shown is there, each once', async () => {
  const { show, asked } = await prefetching();
  expect(asked()).toEqual([]);
  await show([93, 107], 1);
  expect(asked()).toEqual([93, 107]);
  await show([93, 107], 1);
  expect(asked()).toEqual([]);
  await show([100, 114], 2);
  expect(asked()).toEqual([100, 114]);
});

test('they are asked for again when what is shown came anew because something changed', async () => {
  const { client, show, asked } = await prefetching();
  await show([93, 107], 1);
  asked();
  await client.invalidateQueries();
  await show([93, 107], 2);
  expect(asked()).toEqual([93, 107]);
  // Shown anew although nothing changed: what is here still holds.
  await show([93, 107], 3);
  expect(asked()).toEqual([]);
});

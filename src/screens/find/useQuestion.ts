import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { meantFilter } from '@/core/find/meant';
import type { Filter } from '@/core/model/filter';
import { readFilter, writeFilter } from '@/core/query/filterAddress';
import { useCurrentFilter, useDayContext } from '@/features/query/useCurrentFilter';

/**
 * The question that is asked. It stands in the address too, so that it can be sent and gone back to;
 * what is typed is there at once, and an address that was gone to asks anew.
 */
export function useQuestion(): [Filter, (filter: Filter) => void] {
  const { q = '' } = useLocalSearchParams<{ q?: string }>();
  const router = useRouter();
  const [asked, setAsked] = useState(() => ({
    address: q,
    filter: readFilter(q),
    isWritten: true,
  }));
  if (asked.isWritten && asked.address !== q)
    setAsked({ address: q, filter: readFilter(q), isWritten: true });
  else if (!asked.isWritten && asked.address === q) setAsked({ ...asked, isWritten: true });

  function ask(filter: Filter) {
    const address = writeFilter(filter);
    setAsked({ address, filter, isWritten: address === q });
    router.setParams({ q: address === '' ? undefined : address });
  }

  return [useCurrentFilter(asked.filter), ask];
}

/** A question as its words mean it: days that they name are days. */
export function useMeantFilter(filter: Filter): Filter {
  const context = useDayContext();
  return useMemo(() => meantFilter(filter, context), [filter, context]);
}

import { useMemo } from 'react';
import type { CheckName } from '@/core/model/checks';
import type { DayNumber } from '@/core/time/units';
import { withoutClocks } from '@/core/time/words';
import type { NamedMend } from '@/engine/bulk/bulk';
import type { Looking } from '@/engine/tidy/world';
import { useEngine } from './engineContext';
import { useEngineQuery } from './engineQuery';
import { usePreferences } from './preferences';

/** By what checks look: the home zone and the person's words, at the moment. */
export function useLooking(): () => Looking {
  const { zone, wording } = usePreferences();
  return useMemo(
    () => () => ({ now: Date.now(), zone, wording: withoutClocks(wording) }),
    [zone, wording],
  );
}

/** Whether everything is here: before that there would be findings that are none. */
function useIsReady(): boolean {
  return useEngine().status.ready;
}

/** How much each check finds. */
export function useCheckCounts() {
  const looking = useLooking();
  const enabled = useIsReady();
  return useEngineQuery(['checks'], (engine) => engine.tidying.counts(looking()), { enabled });
}

/** What a check finds. */
export function useFindings(check: CheckName | null) {
  const looking = useLooking();
  const isReady = useIsReady();
  return useEngineQuery(
    ['findings', check],
    (engine) => engine.tidying.findings(check!, looking()),
    { enabled: isReady && check !== null, keep: false },
  );
}

/** A few findings that concern this week and the next. */
export function useSoonFindings() {
  const looking = useLooking();
  const enabled = useIsReady();
  return useEngineQuery(['soon'], (engine) => engine.tidying.soon(looking()), { enabled });
}

/** What mends of findings come to, those of the keys left out not done. */
export function useMendPreview(mends: readonly NamedMend[], leftOut: readonly string[]) {
  const { wording, clock, zone: home } = usePreferences();
  return useEngineQuery(['mendPreview', mends, leftOut, clock], (engine) =>
    engine.bulk.mendPreview(mends, leftOut, { now: Date.now(), wording, clock, home }),
  );
}

export function useSideBySide(ids: readonly string[]) {
  return useEngineQuery(['sideBySide', ids], (engine) => engine.tidying.sideBySide(ids), {
    keep: false,
  });
}

/** Ids of what was over before a day. */
export function useOverBefore(day: DayNumber) {
  const looking = useLooking();
  return useEngineQuery(['overBefore', day], (engine) => engine.tidying.overBefore(day, looking()));
}

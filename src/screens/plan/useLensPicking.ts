import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import type { Lens } from '@/core/model/view';
import { dayOfLens, isChanged } from '@/core/view/lenses';
import type { Preferences } from '@/data/preferences';
import { useLenses } from '@/data/queries';
import type { SheetPlace } from './useSheetContent';

/**
 * The lenses and which of them is picked. The address names it, so that a window or a link opens
 * with it; a new window without one opens with what the person starts with.
 */
export function useLensPicking(
  place: SheetPlace,
  { settings }: Pick<Preferences, 'settings'>,
  today: number,
) {
  const lenses = useLenses();
  const router = useRouter();
  const { lens: asked } = useLocalSearchParams<{ lens?: string }>();
  const current = lenses.find(({ id }) => id === place.lensId) ?? null;
  const [lastAsked, setLastAsked] = useState<string | null>(null);

  const apply = (lens: Lens) => place.showLens(lens.view, lens.id, dayOfLens(lens, today));

  const wanted = asked ?? (place.isNew ? (settings.defaultLensId ?? undefined) : undefined);
  const found = lenses.find(({ id }) => id === wanted);
  if (found && lastAsked !== found.id) {
    setLastAsked(found.id);
    // What was changed since it was picked outlives a reload.
    if (place.lensId !== found.id) apply(found);
  }

  // Without a lens, a new window opens with the span that the person starts with.
  const { startSpan } = settings;
  const [hasStarted, setStarted] = useState(false);
  if (place.isNew && startSpan && wanted === undefined && !hasStarted) {
    setStarted(true);
    place.showSpan(startSpan, today);
  }

  return {
    lenses,
    current,
    isChanged: current !== null && isChanged(current, place.view),
    pick: (lens: Lens) => {
      setLastAsked(lens.id);
      apply(lens);
      router.setParams({ lens: lens.id });
    },
  };
}

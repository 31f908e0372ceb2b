import { useState } from 'react';
import type { Lens } from '@/core/model/view';
import type { Address } from '@/core/view/address';
import { dayOfLens, isChanged } from '@/core/view/lenses';
import type { Preferences } from '@/data/preferences';
import { useLenses } from '@/data/queries';
import type { DayNumber } from '@/core/time/units';
import { addressAtOpening } from './usePlaceHistory';
import type { SheetPlace } from './useSheetPlace';

/**
 * The lenses and which of them is picked. The address names it, so that a window or a link opens
 * with it; a new window without one opens with what the person starts with.
 */
export function useLensPicking(
  place: SheetPlace,
  { settings }: Pick<Preferences, 'settings'>,
  today: DayNumber,
) {
  const lenses = useLenses();
  const [address] = useState(addressAtOpening);
  const { lensId: asked } = address;
  const current = lenses.find(({ id }) => id === place.lensId) ?? null;
  const [lastAsked, setLastAsked] = useState<string | null>(null);

  const apply = (lens: Lens, { day, span, form }: Address = {}) =>
    place.showLens(
      { ...lens.view, ...(span && { span }), ...(form && { form }) },
      lens.id,
      day ?? dayOfLens(lens, today),
    );

  const wanted = asked ?? (place.isNew ? (settings.defaultLensId ?? undefined) : undefined);
  const found = lenses.find(({ id }) => id === wanted);
  if (found && lastAsked !== found.id) {
    setLastAsked(found.id);
    // What was changed since it was picked outlives a reload.
    if (place.lensId !== found.id) apply(found, address);
  }

  // Without a lens, a new window opens with the span that the person starts with.
  const { startSpan } = settings;
  const [hasStarted, setStarted] = useState(false);
  if (place.isNew && startSpan && wanted === undefined && !address.span && !hasStarted) {
    setStarted(true);
    place.showSpan(startSpan, today);
  }

  return {
    lenses,
    current,
    isChanged: current !== null && isChanged(current, place.view),
    pick: (lens: Lens) => apply(lens),
  };
}

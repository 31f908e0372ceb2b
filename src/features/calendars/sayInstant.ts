import { saySpan } from '@/core/time/words';
import type { EpochMs } from '@/core/time/units';
import { wallFromInstant } from '@/core/time/zones';
import type { Preferences } from '@/data/preferences';

/** When something was, for example "Tue, 24 Nov, 10:25". */
export function sayInstant(instant: EpochMs, { clock, wording }: Preferences): string {
  const wall = wallFromInstant(instant, clock);
  return saySpan({ start: wall, end: wall, wholeDay: false }, wording).split(' – ')[0]!;
}

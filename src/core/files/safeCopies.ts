import { DAY, formatDate } from '../time/civil';
import type { EpochMs } from '../time/units';

/** Days of which a copy is kept: the last one of each. */
const KEPT = 10;

const NAME = /^Orderly Week copy (\d{4}-\d{2}-\d{2})\.json$/;

/** The name of the copy of a day (by UTC): later copies of that day take its place. */
export const copyName = (at: EpochMs): string =>
  `Orderly Week copy ${formatDate(Math.floor(at / DAY))}.json`;

/** Of the names in a folder, the copies that are let go of: all but the latest; nothing else of the folder. */
export const copiesToDrop = (names: readonly string[]): string[] =>
  names
    .filter((name) => NAME.test(name))
    .sort()
    .slice(0, -KEPT);

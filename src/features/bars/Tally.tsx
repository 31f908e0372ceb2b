import type { Occurrence } from '@/core/agenda/occurrence';
import { shortTally } from './sayTally';

/** Before a title: how it stands with the guests, or that the person has not answered. */
export function Tally({ occurrence }: { occurrence: Occurrence }) {
  const said = shortTally(occurrence);
  return said === '' ? null : <span className="sheet-tally">{said}</span>;
}

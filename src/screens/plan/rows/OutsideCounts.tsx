import type { Row } from '@/core/layout/rows';
import { CountChip } from '../sheet/CountChip';
import type { RowSizes } from './geometry';
import { laneTop } from './geometry';

interface Props {
  row: Row;
  sizes: RowSizes;
  gutter: number;
  dayName: string;
  onWiden(): void;
}

/** How many events of a row lie outside the shown hours, at its ends. */
export function OutsideCounts({ row, sizes, gutter, dayName, onWiden }: Props) {
  const { before, after } = row;
  const boxAt = (lane: number) => ({
    top: row.y + laneTop(row, lane, sizes),
    width: sizes.count - 4,
    height: Math.min(sizes.lane - 3, row.laneHeight - 3),
  });
  const common = { dayName, onPress: onWiden };
  return (
    <>
      {before.count > 0 && (
        <CountChip
          {...common}
          events={before.count}
          side="earlier"
          place={{ ...boxAt(before.lane), left: gutter + 3 }}
        >
          ‹ {before.count} earlier
        </CountChip>
      )}
      {after.count > 0 && (
        <CountChip
          {...common}
          events={after.count}
          side="later"
          place={{ ...boxAt(after.lane), right: 3 }}
        >
          {after.count} later ›
        </CountChip>
      )}
    </>
  );
}

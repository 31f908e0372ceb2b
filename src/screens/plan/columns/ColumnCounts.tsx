import type { Column } from '@/core/layout/columns';
import { PlainIcon } from '@/ui/icons/PlainIcon';
import { CountChip } from '../sheet/CountChip';

interface Props {
  column: Column;
  left: number;
  width: number;
  dayName: string;
  onWiden(): void;
}

/** How many events of a column lie before and after the shown hours. */
export function ColumnCounts({ column, left, width, dayName, onWiden }: Props) {
  const place = { left: left + 3, maxWidth: width - 6, height: 20 };
  const common = { dayName, onPress: onWiden };
  return (
    <>
      {column.before > 0 && (
        <CountChip
          {...common}
          events={column.before}
          side="earlier"
          edge="top"
          place={{ ...place, top: 2 }}
        >
          <PlainIcon name="chevron-up" size={13} />
          {column.before}
        </CountChip>
      )}
      {column.after > 0 && (
        <CountChip
          {...common}
          events={column.after}
          side="later"
          edge="bottom"
          place={{ ...place, bottom: 2 }}
        >
          <PlainIcon name="chevron-down" size={13} />
          {column.after}
        </CountChip>
      )}
    </>
  );
}

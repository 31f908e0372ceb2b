import type { Ref } from 'react';
import { memo } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { TableSetting } from '@/core/agenda/tableColumns';
import { cellText, groupName, isNumeric } from '@/core/agenda/tableColumns';
import { inkOf } from '@/core/colour/inkOf';
import type { TableSetup } from '@/core/model/view';
import { count, sayHours } from '@/core/time/words';
import { Mark } from '@/ui/Mark';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';
import { barName } from '@/features/bars/barName';
import { useBarState } from '@/features/bars/barState';
import { pressable } from '@/features/bars/pressable';
import type { TableLine } from './useTableLines';

interface Props {
  line: TableLine;
  /** Its place among all lines, from 0. */
  index: number;
  setup: TableSetup;
  setting: TableSetting;
  categoryInks: ReadonlyMap<string, string> | null;
  isSelected: boolean;
  /** Told of the row's element, which is measured. */
  measure: Ref<HTMLTableRowElement>;
  onOpen(occurrence: Occurrence): void;
}

function EventTitle({
  occurrence: o,
  setting,
  categoryInks,
  isSelected,
  onOpen,
}: Pick<Props, 'setting' | 'categoryInks' | 'isSelected' | 'onOpen'> & { occurrence: Occurrence }) {
  const palette = usePalette();
  const calendar = setting.calendarOf.get(o.calendarId);
  const state = useBarState(o.id);
  const title = cellText(o, 'title', setting);
  if (!calendar) return title;
  const { edge } = inkColours(inkOf(o, calendar.ink, categoryInks), palette);
  return (
    <div
      {...pressable(o, true, onOpen, state)}
      aria-label={barName(o, calendar, setting.wording, state)}
      aria-pressed={isSelected}
      className="table-press"
    >
      <Mark mark={calendar.mark} size={11} colour={edge} /> {title}
    </div>
  );
}

/** A line of the table: an event, or the head of a group with its totals. */
export const TableRow = memo(function TableRow(props: Props) {
  const { line, index, setup, setting, isSelected, measure } = props;
  const row = { ref: measure, 'data-index': index, 'aria-rowindex': index + 2 };
  if (line.kind === 'group')
    return (
      <tr {...row}>
        <th scope="colgroup" colSpan={setup.columns.length} className="table-group">
          {groupName(line.key, setup.groupBy, setting)}
          <span>
            {' '}
            {count(line.totals.events, 'event')} · {sayHours(line.totals.minutes)}
          </span>
        </th>
      </tr>
    );
  const { occurrence } = line;
  return (
    <tr {...row} className={isSelected ? 'table-selected' : undefined}>
      {setup.columns.map((column) => (
        <td key={column} className={isNumeric(column) ? 'table-number' : `table-${column}`}>
          {column === 'title' ? (
            <EventTitle {...props} occurrence={occurrence} />
          ) : (
            cellText(occurrence, column, setting)
          )}
        </td>
      ))}
    </tr>
  );
});

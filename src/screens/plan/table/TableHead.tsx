import { COLUMN_NAMES, isNumeric } from '@/core/agenda/tableColumns';
import type { TableColumn, TableSetup } from '@/core/model/view';
import { PlainIcon } from '@/ui/icons/PlainIcon';

/** The names of the columns; a press sorts by one, another turns the order round. */
export function TableHead({
  setup: { columns, sortBy, isDescending },
  onSort,
}: {
  setup: TableSetup;
  onSort(column: TableColumn): void;
}) {
  return (
    <thead>
      <tr>
        {columns.map((column) => {
          const isSorted = sortBy === column;
          return (
            <th
              key={column}
              scope="col"
              aria-sort={isSorted ? (isDescending ? 'descending' : 'ascending') : 'none'}
              className={isNumeric(column) ? 'table-number' : `table-${column}`}
            >
              <button type="button" className="table-sort" onClick={() => onSort(column)}>
                {COLUMN_NAMES[column]}
                {isSorted && (
                  <PlainIcon name={isDescending ? 'chevron-down' : 'chevron-up'} size={14} />
                )}
              </button>
            </th>
          );
        })}
      </tr>
    </thead>
  );
}

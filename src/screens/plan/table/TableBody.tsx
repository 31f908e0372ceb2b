import { useVirtualizer } from '@tanstack/react-virtual';
import { useCallback, useRef } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { TableSetting } from '@/core/agenda/tableColumns';
import type { TableColumn, TableSetup } from '@/core/model/view';
import { useIsWide } from '@/ui/useIsWide';
import { TableHead } from './TableHead';
import { TableRow } from './TableRow';
import type { TableLine } from './useTableLines';

/** Height of a line before it is measured, in px at the usual sizes. */
const LINE = 37;
/** Lines that are drawn beyond either edge. */
const BEYOND = 12;

interface Props {
  name: string;
  lines: readonly TableLine[];
  setup: TableSetup;
  setting: TableSetting;
  categoryInks: ReadonlyMap<string, string> | null;
  /** How high lines are against their usual height. */
  lineScale: number;
  selectedId: string | null;
  /** Height of the panel that lies on the table, in px. */
  covered: number;
  onSort(column: TableColumn): void;
  onOpen(occurrence: Occurrence): void;
}

const keyOfLine = (line: TableLine, index: number) =>
  line.kind === 'group' ? `group ${line.key}` : `${line.occurrence.id} ${index}`;

/** Stands for lines that are out of sight. */
function Space({ height, columns }: { height: number; columns: number }) {
  return (
    height > 0 && (
      <tr aria-hidden className="table-space">
        <td colSpan={columns} style={{ height }} />
      </tr>
    )
  );
}

/** The lines of the table, as far as they are in sight: there may be thousands. */
export function TableBody(props: Props) {
  const { lines, setup, setting, categoryInks, lineScale, selectedId } = props;
  // Where there is little room, the title stays in sight when the other columns are scrolled.
  const isWide = useIsWide();
  const scroller = useRef<HTMLDivElement>(null);
  // Another function would have it measure thousands of lines anew, at every frame of a scroll.
  const keyOf = useCallback((index: number) => keyOfLine(lines[index]!, index), [lines]);
  const sizeOf = useCallback(() => LINE * lineScale, [lineScale]);
  // What it says changes while it stays the same object, so that the compiler leaves this component.
  // eslint-disable-next-line react-hooks/incompatible-library
  const virtualizer = useVirtualizer<HTMLDivElement, HTMLTableRowElement>({
    count: lines.length,
    getScrollElement: () => scroller.current,
    estimateSize: sizeOf,
    getItemKey: keyOf,
    overscan: BEYOND,
    // So that the first lines are there at once, before the room is measured.
    initialRect: { width: window.innerWidth, height: window.innerHeight },
  });
  const shown = virtualizer.getVirtualItems();
  const before = shown[0]?.start ?? 0;
  const after = virtualizer.getTotalSize() - (shown.at(-1)?.end ?? 0);
  const { columns } = setup;
  return (
    <div ref={scroller} className="table-scroller" role="region" aria-label={props.name}>
      <table className={isWide ? 'table' : 'table table-pinned'} aria-rowcount={lines.length + 1}>
        <TableHead setup={setup} onSort={props.onSort} />
        <tbody>
          <Space height={before} columns={columns.length} />
          {shown.map(({ key, index }) => {
            const line = lines[index]!;
            return (
              <TableRow
                key={key}
                line={line}
                index={index}
                setup={setup}
                setting={setting}
                categoryInks={categoryInks}
                isSelected={line.kind === 'event' && line.occurrence.id === selectedId}
                measure={virtualizer.measureElement}
                onOpen={props.onOpen}
              />
            );
          })}
          <Space height={after + props.covered} columns={columns.length} />
        </tbody>
      </table>
    </div>
  );
}

import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { TableVirtuoso } from 'react-virtuoso';
import type { Occurrence } from '@/core/agenda/occurrence';
import { inkOf } from '@/core/colour/inkOf';
import type { Calendar } from '@/core/model/calendar';
import type { Category } from '@/core/model/others';
import type { Grouping, TableColumn, TableSetup } from '@/core/model/view';
import { count, LONG_DAY, sayDay, sayHours } from '@/core/time/words';
import type { Preferences } from '@/data/preferences';
import { Icon } from '@/ui/icons/Icon';
import { Mark } from '@/ui/Mark';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';
import { barName } from '../sheet/barName';
import { pressable } from '../sheet/pressable';
import { cellText, COLUMN_NAMES, isNumeric } from '@/core/agenda/tableColumns';
import type { TableSetting } from '@/core/agenda/tableColumns';
import { ColumnsDialog } from './ColumnsDialog';
import { GroupChoice } from './GroupChoice';
import type { TableLine } from './useTableLines';
import { useTableLines } from './useTableLines';

interface Props {
  /** The days of the table (day numbers, the end excluded). */
  within: { from: number; to: number };
  name: string;
  occurrences: readonly Occurrence[];
  calendars: readonly Calendar[];
  categories: readonly Category[];
  categoryInks: ReadonlyMap<string, string> | null;
  preferences: Preferences;
  selectedId: string | null;
  covered: number;
  setup: TableSetup;
  onSetup(setup: TableSetup): void;
  onOpen(occurrence: Occurrence): void;
  onMenu(occurrence: Occurrence): void;
}

/** What the head of a group says. */
function groupName(key: string, by: Grouping, setting: TableSetting): string {
  switch (by) {
    case 'day':
      return sayDay(Number(key), setting.wording, LONG_DAY);
    case 'calendar':
      return setting.calendarOf.get(key)?.name ?? '';
    case 'category':
      return setting.categoryOf.get(key)?.name ?? 'No category';
    default:
      return key || 'No place';
  }
}

/** A line an event of the span, with columns that can be chosen, moved and sorted, in groups with totals. */
export function Table(props: Props) {
  const { within, occurrences, calendars, categories, categoryInks, preferences, setup } = props;
  const { selectedId, onSetup, onOpen } = props;
  const palette = usePalette();
  const [isChoosing, setChoosing] = useState(false);
  const setting = useMemo(
    (): TableSetting => ({
      calendarOf: new Map(calendars.map((c) => [c.id, c])),
      categoryOf: new Map(categories.map((c) => [c.id, c])),
      wording: preferences.wording,
      fromDay: within.from,
      toDay: within.to,
    }),
    [calendars, categories, preferences.wording, within.from, within.to],
  );
  const { lines, totals } = useTableLines(occurrences, setup, setting);
  const byId = useMemo(() => new Map(occurrences.map((o) => [o.id, o])), [occurrences]);
  const { columns } = setup;

  function sortBy(column: TableColumn) {
    const isSame = setup.sortBy === column;
    onSetup({ ...setup, sortBy: column, isDescending: isSame && !setup.isDescending });
  }

  function cell(o: Occurrence, column: TableColumn) {
    const calendar = setting.calendarOf.get(o.calendarId);
    const text = cellText(o, column, setting);
    if (column === 'title' && calendar)
      return (
        <div
          {...pressable(o, true, onOpen)}
          aria-label={barName(o, calendar, preferences.wording)}
          aria-pressed={o.id === selectedId}
          className="table-title"
        >
          <Mark
            mark={calendar.mark}
            size={11}
            colour={inkColours(inkOf(o, calendar.ink, categoryInks), palette).edge}
          />{' '}
          {text}
        </div>
      );
    return text;
  }

  return (
    <View
      style={[styles.all, { backgroundColor: palette.sheet, borderColor: palette.hairline }]}
      {...{
        onContextMenu: (event: React.MouseEvent<HTMLElement>) => {
          const { occ } =
            (event.target as HTMLElement).closest<HTMLElement>('[data-occ]')?.dataset ?? {};
          const o = occ === undefined ? undefined : byId.get(occ);
          if (!o) return;
          event.preventDefault();
          props.onMenu(o);
        },
      }}
    >
      <View style={[styles.bar, { borderColor: palette.hairline }]}>
        <GroupChoice
          groupBy={setup.groupBy}
          onChoose={(groupBy) => onSetup({ ...setup, groupBy })}
        />
        <Button icon="table-column" compact onPress={() => setChoosing(true)}>
          Columns
        </Button>
        <Text role="status" style={[styles.totals, { color: palette.dim }]}>
          {count(totals.events, 'event')} · {sayHours(totals.minutes)}
        </Text>
      </View>
      {occurrences.length === 0 ? (
        <Text style={[styles.empty, { color: palette.dim }]}>
          No events on the shown calendars in these days.
        </Text>
      ) : (
        <TableVirtuoso
          data={lines}
          style={styles.table}
          aria-label={props.name}
          role="region"
          tabIndex={-1}
          increaseViewportBy={300}
          components={{
            Table: (table) => <table {...table} className="table" style={{ color: palette.ink }} />,
            TableFoot: ({ ...foot }) => <tfoot {...foot} style={{ height: props.covered }} />,
          }}
          computeItemKey={(index, line: TableLine) =>
            line.kind === 'group' ? `group ${line.key}` : `${line.occurrence.id} ${index}`
          }
          fixedHeaderContent={() => (
            <tr style={{ backgroundColor: palette.paper }}>
              {columns.map((column) => {
                const isSorted = setup.sortBy === column;
                return (
                  <th
                    key={column}
                    scope="col"
                    aria-sort={
                      isSorted ? (setup.isDescending ? 'descending' : 'ascending') : 'none'
                    }
                    style={{ borderColor: palette.hairline }}
                    className={isNumeric(column) ? 'table-number' : undefined}
                  >
                    <button
                      type="button"
                      className="table-sort"
                      style={{ color: isSorted ? palette.accent : palette.dim }}
                      onClick={() => sortBy(column)}
                    >
                      {COLUMN_NAMES[column]}
                      {isSorted && (
                        <Icon
                          name={setup.isDescending ? 'chevron-down' : 'chevron-up'}
                          size={14}
                          color={palette.accent}
                        />
                      )}
                    </button>
                  </th>
                );
              })}
            </tr>
          )}
          itemContent={(_, line: TableLine) =>
            line.kind === 'group' ? (
              <th
                scope="colgroup"
                colSpan={columns.length}
                className="table-group"
                style={{ backgroundColor: palette.paper, borderColor: palette.hairline }}
              >
                {groupName(line.key, setup.groupBy, setting)}
                <span style={{ color: palette.dim }}>
                  {' '}
                  {count(line.totals.events, 'event')} · {sayHours(line.totals.minutes)}
                </span>
              </th>
            ) : (
              columns.map((column) => (
                <td
                  key={column}
                  className={isNumeric(column) ? 'table-number' : `table-${column}`}
                  style={{
                    borderColor: palette.hairline,
                    ...(line.occurrence.id === selectedId && {
                      backgroundColor: palette.accentWash,
                    }),
                  }}
                >
                  {cell(line.occurrence, column)}
                </td>
              ))
            )
          }
        />
      )}
      {isChoosing && (
        <ColumnsDialog
          columns={columns}
          onChange={(next) => onSetup({ ...setup, columns: next })}
          onClose={() => setChoosing(false)}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { flex: 1, minHeight: 0, borderTopWidth: 1 },
  bar: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: 4,
    paddingHorizontal: 8,
    paddingVertical: 2,
    borderBottomWidth: 1,
  },
  totals: { marginLeft: 'auto', paddingRight: 6, fontVariant: ['tabular-nums'] },
  empty: { padding: 24, textAlign: 'center' },
  table: { flex: 1 },
});

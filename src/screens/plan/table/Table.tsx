import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { TableColumn, TableSetup } from '@/core/model/view';
import { count, sayHours } from '@/core/time/words';
import { usePalette } from '@/ui/theme/theme';
import { useIsWide } from '@/ui/useIsWide';
import type { TableSetting } from '@/core/agenda/tableColumns';
import { narrowColumns } from '@/core/agenda/tableColumns';
import type { FormProps } from '../sheet/formProps';
import { ColumnsDialog } from './ColumnsDialog';
import { GroupChoice } from './GroupChoice';
import { TableBody } from './TableBody';
import { useTableLines } from './useTableLines';

/** A line an event of the span, with columns that can be chosen, moved and sorted, in groups with totals. */
export function Table({ place, content, look, hands }: FormProps) {
  const { range: within, view } = place;
  const { occurrences } = content;
  const { calendars, categories, categoryInks, preferences, selectedId, covered } = look;
  const isWide = useIsWide();
  const { columns } = view.table;
  const setup = useMemo(
    () => ({ ...view.table, columns: isWide ? columns : narrowColumns(columns) }),
    [view.table, columns, isWide],
  );
  /** What somebody chose is kept; columns that were only left out for want of room are not lost. */
  const keep = (fields: Partial<TableSetup>) => onSetup({ ...view.table, ...fields });
  const { onTableSetup: onSetup, onOpen } = hands;
  const palette = usePalette();
  const [isChoosing, setChoosing] = useState(false);
  const setting = useMemo(
    (): TableSetting => ({
      calendarOf: new Map(calendars.map((c) => [c.id, c])),
      categoryOf: new Map(categories.map((c) => [c.id, c])),
      wording: preferences.wording,
      clock: preferences.clock,
      fromDay: within.from,
      toDay: within.to,
    }),
    [calendars, categories, preferences.wording, preferences.clock, within.from, within.to],
  );
  const { lines, totals } = useTableLines(occurrences, setup, setting);
  const byId = useMemo(() => new Map(occurrences.map((o) => [o.id, o])), [occurrences]);

  function sortBy(column: TableColumn) {
    const isSame = setup.sortBy === column;
    keep({ sortBy: column, isDescending: isSame && !setup.isDescending });
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
          hands.onMenu(o);
        },
      }}
    >
      <View style={[styles.bar, { borderColor: palette.hairline }]}>
        <GroupChoice groupBy={setup.groupBy} onChoose={(groupBy) => keep({ groupBy })} />
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
        <TableBody
          name={content.name}
          lines={lines}
          setup={setup}
          setting={setting}
          categoryInks={categoryInks}
          lineScale={preferences.scale.line}
          selectedId={selectedId}
          covered={covered}
          onSort={sortBy}
          onOpen={onOpen}
        />
      )}
      {isChoosing && (
        <ColumnsDialog
          columns={setup.columns}
          onChange={(next) => keep({ columns: next })}
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
});

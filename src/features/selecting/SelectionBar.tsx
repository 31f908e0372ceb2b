import { usePathname, useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';
import { EVERYTHING } from '@/core/query/eventQuery';
import { count, sayHours } from '@/core/time/words';
import { useSelected } from '@/data/bulk';
import { useDo } from '@/data/commands';
import { useEngine } from '@/data/engineContext';
import { usePreferences } from '@/data/preferences';
import { useCalendars } from '@/data/queries';
import { selection, useSelection } from '@/data/selection';
import { useSheetShown } from '@/data/sheetShown';
import { useExports } from '@/data/useExports';
import type { SelectionSummary } from '@/engine/bulk/bulk';
import { partsOfId } from '@/core/agenda/occurrence';
import { Dialog } from '@/ui/Dialog';
import { Mark } from '@/ui/Mark';
import type { MenuItem } from '@/ui/Menu';
import { MenuList } from '@/ui/Menu';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';
import { useIsWide } from '@/ui/useIsWide';

/** What is selected, in words: "4 events, 3 dates of series". */
function saySelected({ singles, dates, series }: SelectionSummary): string {
  return [
    singles ? count(singles, 'event') : '',
    dates ? `${count(dates, 'date')} of series` : '',
    series ? `${count(series, 'whole series', 'whole series')}` : '',
  ]
    .filter(Boolean)
    .join(', ');
}

/** The calendars that the selected events lie on, by their marks. */
function MarksOf({ ids }: { ids: readonly string[] }) {
  const palette = usePalette();
  const calendars = useCalendars().filter(({ id }) => ids.includes(id));
  return (
    <View
      role="img"
      aria-label={`On ${calendars.map(({ name }) => name).join(', ')}`}
      style={styles.marks}
    >
      {calendars.map(({ id, mark, ink }) => (
        <Mark key={id} mark={mark} colour={inkColours(ink, palette).edge} size={13} />
      ))}
    </View>
  );
}

/** What can be done with a selection besides changing and removing it. */
function useMore(summary: SelectionSummary | undefined, close: () => void): MenuItem[] {
  const { engine } = useEngine();
  const { clock } = usePreferences();
  const sheet = useSheetShown();
  const exports = useExports();
  const then = (work: () => unknown) => () => {
    close();
    work();
  };
  const ids = summary?.ids ?? [];

  async function onSheet() {
    if (!engine || !sheet) return [];
    const { query, fromDay, toDay } = sheet;
    return engine.finding.matching(query, { fromDay, toDay, zone: clock }, clock);
  }

  return [
    ...(sheet
      ? [
          {
            label: 'Select all that is shown',
            icon: 'check-circle-outline',
            onPress: then(async () => selection.add(await onSheet())),
          },
          {
            label: 'Turn the selection round',
            icon: 'swap-horizontal',
            onPress: then(async () =>
              selection.set((await onSheet()).filter((id) => !ids.includes(id))),
            ),
          },
        ]
      : []),
    ...(summary?.dates
      ? [
          {
            label: 'All dates of these series',
            icon: 'repeat',
            onPress: then(() => selection.set(ids.map((id) => partsOfId(id).eventId))),
          },
        ]
      : []),
    {
      label: 'Export',
      icon: 'calendar-export',
      onPress: then(() =>
        exports.calendarFile({
          query: { ...EVERYTHING, eventIds: [...new Set(ids.map((id) => partsOfId(id).eventId))] },
        }),
      ),
    },
  ];
}

/** On every screen while something is selected: what it is, and what can be done with it. */
export function SelectionBar() {
  const selected = useSelection();
  const summary = useSelected();
  const palette = usePalette();
  const isWide = useIsWide();
  const router = useRouter();
  const act = useDo();
  const { clock } = usePreferences();
  const isChanging = usePathname() === '/change';
  const [isOpen, setOpen] = useState(false);
  const more = useMore(summary, () => setOpen(false));
  if (!selected.size || isChanging) return null;

  async function remove() {
    const request = {
      ids: [...selected],
      scope: 'this' as const,
      scopes: {},
      fate: 'keep' as const,
      leftOut: [],
      zone: clock,
      deed: { kind: 'remove' as const },
    };
    if (await act({ kind: 'doToMany', request })) selection.clear();
  }

  return (
    <View
      role="region"
      aria-label="Selection"
      style={[
        styles.bar,
        isWide ? styles.wide : styles.narrow,
        { backgroundColor: palette.accentWash, borderColor: palette.accent },
      ]}
    >
      <View style={styles.what}>
        <Text role="status" style={styles.said} numberOfLines={2}>
          {summary ? `${saySelected(summary)} selected` : 'Counting …'}
          {summary && summary.minutes > 0 && (
            <Text style={{ color: palette.dim }}>{` · ${sayHours(summary.minutes)}`}</Text>
          )}
        </Text>
        {summary && <MarksOf ids={summary.calendarIds} />}
      </View>
      <View style={styles.buttons}>
        <Button mode="contained" onPress={() => router.navigate('/change')}>
          Change…
        </Button>
        <Button compact icon="trash-can-outline" onPress={() => void remove()}>
          Remove
        </Button>
        <IconButton
          icon="dots-horizontal"
          accessibilityLabel="More for the selection"
          size={22}
          style={styles.icon}
          onPress={() => setOpen(true)}
        />
        <IconButton
          icon="close"
          accessibilityLabel="Let the selection go"
          size={22}
          style={styles.icon}
          onPress={selection.clear}
        />
      </View>
      {isOpen && (
        <Dialog title="The selection" onClose={() => setOpen(false)}>
          <MenuList name="What to do with it" items={more} />
        </Dialog>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  bar: { borderTopWidth: 1, paddingHorizontal: 12, paddingVertical: 4, gap: 4 },
  wide: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between' },
  narrow: { flexDirection: 'column' },
  what: { flexDirection: 'row', alignItems: 'center', gap: 10, flexShrink: 1 },
  said: { fontWeight: '600', flexShrink: 1 },
  marks: { flexDirection: 'row', gap: 5 },
  buttons: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  icon: { margin: 0, width: 40, height: 40 },
});

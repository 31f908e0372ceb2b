import type { ReactNode } from 'react';
import { useState } from 'react';
import { ScrollView, StyleSheet } from 'react-native';
import { Button } from 'react-native-paper';
import type { Calendar } from '@/core/model/calendar';
import { useDo } from '@/data/commands';
import type { Preferences } from '@/data/preferences';
import { CalendarMenu, useShowing } from '@/features/calendars/CalendarMenu';
import { CalendarChip } from '@/ui/CalendarChip';

/**
 * A chip for each listed calendar that shows or hides it; held, or by the right button or the menu
 * key, it opens what else can be done. Before them the way back from one shown alone.
 */
export function CalendarStrip({
  calendars,
  everywhere,
  preferences,
  hasCategories,
  hereIds,
  onHere,
  first,
}: {
  /** With `shown` as this window has it. */
  calendars: readonly Calendar[];
  /** With `shown` as the app has it. */
  everywhere: readonly Calendar[];
  preferences: Preferences;
  hasCategories: boolean;
  /** The calendars that this window shows by a choice of its own; null where it shows what the app does. */
  hereIds: readonly string[] | null;
  onHere(ids: string[] | null): void;
  /** Stands before the chips, and scrolls with them. */
  first: ReactNode;
}) {
  const { settings } = preferences;
  const act = useDo();
  const showing = useShowing(everywhere);
  const [menuFor, setMenuFor] = useState<string | null>(null);
  const chosen = calendars.find(({ id }) => id === menuFor);
  const isByCategory = settings.colourBy === 'category';
  return (
    <>
      <ScrollView
        horizontal
        role="group"
        aria-label="Calendars shown"
        tabIndex={-1}
        showsHorizontalScrollIndicator={false}
        style={styles.strip}
        contentContainerStyle={styles.chips}
      >
        {first}
        {hereIds ? (
          <Button
            mode="contained-tonal"
            icon="restore"
            accessibilityLabel="This window shows calendars of its own: show those of the whole app"
            style={styles.button}
            onPress={() => onHere(null)}
          >
            Only here
          </Button>
        ) : (
          showing.canGoBack && (
            <Button
              mode="contained-tonal"
              icon="restore"
              style={styles.button}
              onPress={() => void showing.back()}
            >
              As before
            </Button>
          )
        )}
        {calendars
          .filter(({ listed }) => listed)
          .map((calendar) => (
            <CalendarChip
              key={calendar.id}
              calendar={calendar}
              role="switch"
              isOn={calendar.shown}
              onPress={() =>
                hereIds
                  ? onHere(
                      calendar.shown
                        ? hereIds.filter((id) => id !== calendar.id)
                        : [...hereIds, calendar.id],
                    )
                  : void act({
                      kind: 'editCalendar',
                      before: calendar,
                      fields: { shown: !calendar.shown },
                    })
              }
              onMenu={() => setMenuFor(calendar.id)}
            />
          ))}
        {hasCategories && (
          <Button
            icon="palette-outline"
            style={styles.button}
            onPress={() =>
              void act({
                kind: 'setSettings',
                before: settings,
                fields: { colourBy: isByCategory ? 'calendar' : 'category' },
                label: isByCategory ? 'Inks by calendar' : 'Inks by category',
              })
            }
          >
            {isByCategory ? 'Inks by category' : 'Inks by calendar'}
          </Button>
        )}
      </ScrollView>
      {chosen && (
        <CalendarMenu
          calendar={chosen}
          calendars={everywhere}
          {...(hereIds && { onOnlyHere: () => onHere([chosen.id]) })}
          onClose={() => setMenuFor(null)}
        />
      )}
    </>
  );
}

const styles = StyleSheet.create({
  strip: { flex: 1, minWidth: 0 },
  chips: { gap: 6, paddingLeft: 8, paddingRight: 14, paddingBottom: 8 },
  button: { height: 40, borderRadius: 9 },
});

import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton, Switch, Text } from 'react-native-paper';
import type { Calendar } from '@/core/model/calendar';
import { count } from '@/core/time/words';
import { useDo } from '@/data/commands';
import { usePreferences } from '@/data/preferences';
import { Mark } from '@/ui/Mark';
import { Sortable } from '@/ui/sortable/Sortable';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';
import { CalendarMenu } from '@/features/calendars/CalendarMenu';
import { sayInstant } from '@/features/calendars/sayInstant';

interface RowProps {
  calendar: Calendar;
  events: number;
  isDefault: boolean;
  onMenu(): void;
}

function Row({ calendar, events, isDefault, onMenu }: RowProps) {
  const palette = usePalette();
  const preferences = usePreferences();
  const act = useDo();
  const { feed } = calendar;
  const about = [
    count(events, 'event'),
    isDefault ? 'new events go here' : '',
    calendar.isClosures ? 'closures' : '',
    calendar.isFacts ? 'facts of the day' : '',
    calendar.kind === 'followed' ? 'followed' : '',
    feed?.problem
      ? 'its feed is away'
      : feed?.updated !== undefined
        ? `updated ${sayInstant(feed.updated, preferences)}`
        : '',
  ];
  return (
    <>
      <Mark mark={calendar.mark} colour={inkColours(calendar.ink, palette).edge} size={18} />
      <View style={styles.text}>
        <Text style={styles.name}>{calendar.name}</Text>
        <Text variant="bodySmall" style={{ color: feed?.problem ? palette.amber : palette.dim }}>
          {about.filter(Boolean).join(' · ')}
        </Text>
      </View>
      <IconButton
        icon="dots-vertical"
        accessibilityLabel={`More for ${calendar.name}`}
        onPress={onMenu}
        style={styles.icon}
      />
      <Switch
        value={calendar.shown}
        onValueChange={(shown) =>
          void act({ kind: 'editCalendar', before: calendar, fields: { shown } })
        }
        aria-label={`Show ${calendar.name}`}
      />
    </>
  );
}

/** The calendars in their order, which is changed by dragging or with the keyboard. */
export function CalendarList({
  calendars,
  all,
  counts,
  name,
}: {
  calendars: readonly Calendar[];
  all: readonly Calendar[];
  counts: Readonly<Record<string, number>>;
  name: string;
}) {
  const act = useDo();
  const { settings } = usePreferences();
  const [menuFor, setMenuFor] = useState<string | null>(null);
  const nameOf = (id: string) => all.find((one) => one.id === id)?.name ?? '';
  const chosen = all.find(({ id }) => id === menuFor);

  function row(id: string) {
    const calendar = calendars.find((one) => one.id === id);
    return (
      calendar && (
        <Row
          calendar={calendar}
          events={counts[id] ?? 0}
          isDefault={settings.defaultCalendarId === id}
          onMenu={() => setMenuFor(id)}
        />
      )
    );
  }

  return (
    <>
      <Sortable
        name={name}
        ids={calendars.map(({ id }) => id)}
        nameOf={nameOf}
        onMove={(id, toId) => void act({ kind: 'moveCalendar', id, toId })}
        row={row}
      />
      {chosen && (
        <CalendarMenu calendar={chosen} calendars={all} onClose={() => setMenuFor(null)} />
      )}
    </>
  );
}

const styles = StyleSheet.create({
  text: { flex: 1, minWidth: 0 },
  name: { fontWeight: '600' },
  icon: { margin: 0, width: 40, height: 40 },
});

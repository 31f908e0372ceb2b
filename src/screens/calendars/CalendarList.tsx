import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton, Switch, Text } from 'react-native-paper';
import type { Calendar } from '@/core/model/calendar';
import { count } from '@/core/time/words';
import { useDo } from '@/data/commands';
import { usePreferences } from '@/data/preferences';
import { Icon } from '@/ui/icons/Icon';
import { Mark } from '@/ui/Mark';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';
import { CalendarMenu } from '@/features/calendars/CalendarMenu';
import { sayInstant } from '@/features/calendars/FeedDialog';

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
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: calendar.id,
  });
  const { feed } = calendar;
  const about = [
    count(events, 'event'),
    isDefault ? 'new events go here' : '',
    calendar.isClosures ? 'closures' : '',
    calendar.kind === 'followed' ? 'followed' : '',
    feed?.problem
      ? 'its feed is away'
      : feed?.updated !== undefined
        ? `updated ${sayInstant(feed.updated, preferences)}`
        : '',
  ];
  return (
    <div
      ref={setNodeRef}
      role="listitem"
      className="calendar-row"
      style={{
        transform: CSS.Transform.toString(transform),
        transition,
        borderColor: palette.hairline,
        background: palette.sheet,
        zIndex: isDragging ? 1 : 0,
        boxShadow: isDragging ? '0 4px 16px rgb(0 0 0 / 25%)' : 'none',
      }}
    >
      <button
        type="button"
        className="drag-handle"
        {...attributes}
        {...listeners}
        aria-label={`Move ${calendar.name}`}
        style={{ color: palette.dim }}
      >
        <Icon name="drag" size={20} />
      </button>
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
    </div>
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
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const nameOf = (id: string | number) => all.find((one) => one.id === id)?.name ?? '';
  const chosen = all.find(({ id }) => id === menuFor);

  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{
        screenReaderInstructions: {
          draggable: 'Press space to take hold, the arrows to move, space again to let go.',
        },
        announcements: {
          onDragStart: ({ active }) => `Took hold of ${nameOf(active.id)}.`,
          onDragOver: ({ active, over }) =>
            over ? `${nameOf(active.id)} is at the place of ${nameOf(over.id)}.` : undefined,
          onDragEnd: ({ active }) => `Let go of ${nameOf(active.id)}.`,
          onDragCancel: ({ active }) => `${nameOf(active.id)} is back at its place.`,
        },
      }}
      onDragEnd={({ active, over }) => {
        if (!over || over.id === active.id) return;
        void act({ kind: 'moveCalendar', id: String(active.id), toId: String(over.id) });
      }}
    >
      <SortableContext items={calendars.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        <div role="list" aria-label={name}>
          {calendars.map((calendar) => (
            <Row
              key={calendar.id}
              calendar={calendar}
              events={counts[calendar.id] ?? 0}
              isDefault={settings.defaultCalendarId === calendar.id}
              onMenu={() => setMenuFor(calendar.id)}
            />
          ))}
        </div>
      </SortableContext>
      {chosen && (
        <CalendarMenu calendar={chosen} calendars={all} onClose={() => setMenuFor(null)} />
      )}
    </DndContext>
  );
}

const styles = StyleSheet.create({
  text: { flex: 1, minWidth: 0 },
  name: { fontWeight: '600' },
  icon: { margin: 0, width: 40, height: 40 },
});

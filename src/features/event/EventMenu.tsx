import { useState } from 'react';
import { ScrollView, StyleSheet } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Occurrence } from '@/core/agenda/occurrence';
import { dateAsEvent } from '@/core/editing/series/dates';
import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import { dayOfWall } from '@/core/time/civil';
import { importanceOf, withImportance } from '@/core/model/importance';
import { titleOf } from '@/core/model/titleOf';
import { EVERYTHING } from '@/core/query/eventQuery';
import { useDo } from '@/data/commands';
import type { SetField } from '@/engine/commands/events';
import { useCategories, useEvent } from '@/data/queries';
import { selection, useIsChosen } from '@/data/selection';
import { useCopyAddress } from '@/data/useCopyAddress';
import { useExports } from '@/data/useExports';
import { CalendarChoice } from '@/ui/CalendarChoice';
import { CategoryChips } from '@/ui/CategoryChips';
import { Choice } from '@/ui/Choice';
import { Dialog } from '@/ui/Dialog';
import { IconChoice } from '@/ui/IconChoice';
import { InkChoice } from '@/ui/InkChoice';
import type { MenuItem } from '@/ui/Menu';
import { MenuList } from '@/ui/Menu';
import { AVAILABILITIES, IMPORTANCE_CHOICES } from './choices';
import { MenuReminders } from './MenuReminders';

type Part =
  'ink' | 'icon' | 'categories' | 'calendar' | 'availability' | 'reminders' | 'importance';

/** Parts of which a date may have its own: which dates are meant is asked. */
const OF_A_DATE: readonly Part[] = ['categories', 'availability', 'reminders', 'importance'];

interface Props {
  occurrence: Occurrence;
  calendars: readonly Calendar[];
  onOpen(): void;
  onCopy(): void;
  onRemove(): void;
  onNextWorkday(): void;
  /** Changes one date of a series, for which the scope is asked. */
  onChangeDate(event: CalendarEvent, fields: Partial<CalendarEvent>): void;
  onClose(): void;
}

const TITLES: Record<Part, string> = {
  ink: 'Ink',
  icon: 'Icon',
  categories: 'Categories',
  calendar: 'Calendar',
  availability: 'While it lasts I am',
  reminders: 'Reminders',
  importance: 'How much it matters',
};

/** What can be done to an event without opening it. */
export function EventMenu(props: Props) {
  const { occurrence: o, calendars, onClose } = props;
  const exports = useExports();
  const copyAddress = useCopyAddress();
  const { data: event } = useEvent(o.eventId);
  const categories = useCategories();
  const act = useDo();
  const isChosen = useIsChosen(o.id);
  const [part, setPart] = useState<Part | null>(null);
  const calendar = calendars.find(({ id }) => id === o.calendarId);
  if (!event || !calendar) return null;
  const isOwn = calendar.kind === 'own';
  const isSeries = o.dateKey !== null;
  const date = dateAsEvent(event, o.dateKey);

  const leave = (then: () => unknown) => () => {
    onClose();
    then();
  };
  /** Of the whole event: all dates of a series have the same. */
  const setWhole = (change: SetField) => {
    onClose();
    void act({ kind: 'setField', id: event.id, ...change });
  };
  /** Of this date, or of others as the person then says. */
  const setDate = (change: SetField) => {
    if (!isSeries) setWhole(change);
    else {
      onClose();
      props.onChangeDate(event, { [change.field]: change.value });
    }
  };

  const exportIt = () => exports.calendarFile({ query: { ...EVERYTHING, eventIds: [o.eventId] } });

  if (part) {
    return (
      <Dialog
        title={`${TITLES[part]}: ${titleOf(o)}`}
        onClose={onClose}
        footer={<Button onPress={() => setPart(null)}>Back</Button>}
      >
        <ScrollView style={styles.part} contentContainerStyle={styles.fields}>
          {part === 'ink' && (
            <>
              <InkChoice
                name="Its own ink"
                ink={event.inkOverride ?? null}
                onChoose={(ink) => setWhole({ field: 'inkOverride', value: ink })}
              />
              {event.inkOverride && (
                <Button onPress={() => setWhole({ field: 'inkOverride', value: undefined })}>
                  {`As ${calendar.name}`}
                </Button>
              )}
            </>
          )}
          {part === 'icon' && (
            <IconChoice
              icon={event.icon}
              onChoose={(icon) => setWhole({ field: 'icon', value: icon })}
            />
          )}
          {part === 'categories' && (
            <CategoryPart
              categories={categories}
              chosen={date.categoryIds}
              onKeep={(categoryIds) => setDate({ field: 'categoryIds', value: categoryIds })}
            />
          )}
          {part === 'calendar' && (
            <CalendarChoice
              calendars={calendars.filter(({ kind }) => kind === 'own')}
              chosenId={event.calendarId}
              onChoose={(calendarId) => setWhole({ field: 'calendarId', value: calendarId })}
            />
          )}
          {part === 'availability' && (
            <Choice
              name={TITLES.availability}
              isNameHidden
              value={date.availability}
              options={AVAILABILITIES}
              onChoose={(availability) => setDate({ field: 'availability', value: availability })}
            />
          )}
          {part === 'reminders' && (
            <MenuReminders
              date={date}
              calendar={calendar}
              onKeep={(reminders) => setDate({ field: 'reminders', value: reminders })}
            />
          )}
          {part === 'importance' && (
            <Choice
              name={TITLES.importance}
              isNameHidden
              value={importanceOf(date.importance)}
              options={IMPORTANCE_CHOICES}
              onChoose={(importance) =>
                setDate({
                  field: 'importance',
                  value: withImportance(importance, date.importance),
                })
              }
            />
          )}
          {isSeries && !OF_A_DATE.includes(part) && (
            <Text variant="bodySmall">Every date of the series gets it.</Text>
          )}
        </ScrollView>
      </Dialog>
    );
  }

  const items: MenuItem[] = [
    { label: 'Open', icon: 'calendar-text', onPress: leave(props.onOpen) },
    {
      label: isChosen ? 'Let it go' : 'Select it, and more',
      icon: 'check-circle-outline',
      onPress: leave(() => selection.toggle(o.id)),
    },
    ...(isOwn
      ? [
          { label: 'Ink', icon: 'palette-outline', onPress: () => setPart('ink') },
          { label: 'Icon', icon: 'star-outline', onPress: () => setPart('icon') },
          { label: 'Categories', icon: 'tag-outline', onPress: () => setPart('categories') },
          { label: 'Calendar', icon: 'layers-outline', onPress: () => setPart('calendar') },
          {
            label: 'Availability',
            icon: 'account-outline',
            onPress: () => setPart('availability'),
          },
          { label: 'Reminders', icon: 'bell-outline', onPress: () => setPart('reminders') },
          { label: 'Importance', icon: 'flag-outline', onPress: () => setPart('importance') },
        ]
      : []),
    { label: 'Copy to…', icon: 'content-copy', onPress: leave(props.onCopy) },
    ...(isOwn
      ? [
          {
            label: 'Move to the next working day',
            icon: 'calendar-arrow-right',
            onPress: leave(props.onNextWorkday),
          },
        ]
      : []),
    {
      label: 'Copy its address',
      icon: 'link-variant',
      onPress: leave(() => void copyAddress({ day: dayOfWall(o.start), event: o.id })),
    },
    { label: 'Export this one', icon: 'calendar-export', onPress: leave(exportIt) },
    ...(isOwn && isSeries
      ? [
          {
            label: 'Skip this date',
            icon: 'calendar-remove-outline',
            onPress: leave(
              () =>
                void act({
                  kind: 'removeSeriesDates',
                  id: event.id,
                  key: o.dateKey!,
                  scope: 'this',
                }),
            ),
          },
        ]
      : []),
    ...(isOwn
      ? [
          {
            label: isSeries ? 'Remove…' : 'Remove',
            icon: 'trash-can-outline',
            isRemoval: true,
            onPress: leave(() =>
              isSeries ? props.onRemove() : void act({ kind: 'removeEvents', ids: [event.id] }),
            ),
          },
        ]
      : []),
  ];
  return (
    <Dialog title={titleOf(o)} onClose={onClose}>
      <ScrollView style={styles.menu}>
        <MenuList name="What to do with it" items={items} />
      </ScrollView>
    </Dialog>
  );
}

function CategoryPart({
  categories,
  chosen,
  onKeep,
}: {
  categories: ReturnType<typeof useCategories>;
  chosen: readonly string[];
  onKeep(chosen: string[]): void;
}) {
  const [marked, setMarked] = useState<string[]>([...chosen]);
  if (!categories.length)
    return <Text>There are no categories yet. They are made on the Calendars screen.</Text>;
  return (
    <>
      <CategoryChips categories={categories} chosen={marked} onChange={setMarked} />
      <Button mode="contained" onPress={() => onKeep(marked)}>
        Keep
      </Button>
    </>
  );
}

const styles = StyleSheet.create({
  menu: { minWidth: 270, maxHeight: '72vh' } as object,
  part: { maxHeight: '62vh', width: 'min(84vw, 420px)' } as object,
  fields: { gap: 12, alignItems: 'flex-start' },
});

import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { canShowAsBefore, showAsBefore, showOnly } from '@/core/calendars/showing';
import type { Calendar } from '@/core/model/calendar';
import { useActions } from '@/data/actions';
import { usePreferences } from '@/data/preferences';
import { useExports } from '@/data/useExports';
import { Dialog } from '@/ui/Dialog';
import type { MenuItem } from '@/ui/Menu';
import { MenuList } from '@/ui/Menu';
import { CalendarDialog } from './CalendarDialog';
import { FeedDialog } from './FeedDialog';
import { MergeDialog } from './MergeDialog';

interface Props {
  calendar: Calendar;
  calendars: readonly Calendar[];
  /** Where a window has calendars of its own: shows this one alone in it. */
  onOnlyHere?(): void;
  onClose(): void;
}

/** Shows one calendar alone, and what was shown before. */
export function useShowing(calendars: readonly Calendar[]) {
  const { arrange } = useActions();
  const { settings } = usePreferences();
  return {
    canGoBack: canShowAsBefore(calendars, settings),
    only: ({ id, name }: Calendar) => {
      const shown = showOnly(calendars, id, settings.shownBefore);
      const fields = { shownBefore: shown.shownBefore };
      return arrange(calendars, shown.calendars, `Showed only ${name}`, {
        before: settings,
        fields,
      });
    },
    back: () =>
      arrange(
        calendars,
        showAsBefore(calendars, settings.shownBefore ?? []),
        'Showed the calendars as before',
        { before: settings, fields: { shownBefore: null } },
      ),
  };
}

/** Everything that can be done to a calendar. */
export function CalendarMenu({ calendar, calendars, onOnlyHere, onClose }: Props) {
  const { work, editCalendar, set } = useActions();
  const { settings } = usePreferences();
  const exports = useExports();
  const showing = useShowing(calendars);
  const [open, setOpen] = useState<'edit' | 'merge' | 'feed' | null>(null);
  const { id, name, kind, feed } = calendar;

  const exportIt = () => exports.calendarFile({ calendarIds: [id] });

  if (open === 'edit') return <CalendarDialog {...{ calendar, calendars, onClose }} />;
  if (open === 'merge') return <MergeDialog {...{ calendar, calendars, onClose }} />;
  if (open === 'feed') return <FeedDialog {...{ calendar, onClose }} />;

  const isOwn = kind === 'own';
  const isDefault = settings.defaultCalendarId === id;
  const then = (done: Promise<unknown>) => {
    onClose();
    void done;
  };
  const items: MenuItem[] = [
    {
      label: onOnlyHere ? 'Only this one, in this window' : 'Only this one',
      icon: 'eye-outline',
      onPress: () => {
        if (!onOnlyHere) return then(showing.only(calendar));
        onClose();
        onOnlyHere();
      },
    },
    ...(showing.canGoBack && !onOnlyHere
      ? [
          {
            label: 'Show as before',
            icon: 'restore',
            onPress: () => then(showing.back()),
          },
        ]
      : []),
    { label: 'Edit', icon: 'pencil-outline', onPress: () => setOpen('edit') },
    ...(feed ? [{ label: 'What it follows', icon: 'rss', onPress: () => setOpen('feed') }] : []),
    ...(isOwn && !isDefault
      ? [
          {
            label: 'New events go here',
            icon: 'check-circle-outline',
            onPress: () =>
              then(set(settings, { defaultCalendarId: id }, `New events go to ${name}`)),
          },
        ]
      : []),
    {
      label: 'Duplicate',
      icon: 'content-copy',
      onPress: () => then(work({ kind: 'duplicate', id })),
    },
    ...(isOwn
      ? [{ label: 'Merge into another…', icon: 'call-merge', onPress: () => setOpen('merge') }]
      : []),
    { label: 'Export', icon: 'calendar-export', onPress: () => then(exportIt()) },
    {
      label: calendar.listed ? 'Unlist' : 'List again',
      icon: calendar.listed ? 'archive-outline' : 'restore',
      onPress: () => {
        const listed = !calendar.listed;
        const label = listed ? `Listed ${name} again` : `Unlisted ${name}`;
        then(editCalendar(calendar, { listed, shown: listed }, label));
      },
    },
    {
      label: 'Remove',
      icon: 'trash-can-outline',
      isRemoval: true,
      onPress: () => then(work({ kind: 'remove', id })),
    },
  ];
  return (
    <Dialog title={name} onClose={onClose}>
      <View style={styles.menu}>
        <MenuList name={`What to do with ${name}`} items={items} />
      </View>
    </Dialog>
  );
}

const styles = StyleSheet.create({ menu: { minWidth: 260 } });

import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { canShowAsBefore } from '@/core/calendars/showing';
import type { Calendar } from '@/core/model/calendar';
import { EVERYTHING } from '@/core/query/eventQuery';
import { useDo } from '@/data/commands';
import { usePreferences } from '@/data/preferences';
import { useExports } from '@/data/useExports';
import { Dialog } from '@/ui/Dialog';
import type { MenuItem } from '@/ui/Menu';
import { MenuList } from '@/ui/Menu';
import { ShareLater } from '@/features/sharing/later';
import { CalendarLater, FeedLater, MergeLater } from './later';

interface Props {
  calendar: Calendar;
  calendars: readonly Calendar[];
  /** Where a window has calendars of its own: shows this one alone in it. */
  onOnlyHere?(): void;
  onClose(): void;
}

/** Shows one calendar alone, and what was shown before. */
export function useShowing(calendars: readonly Calendar[]) {
  const act = useDo();
  const { settings } = usePreferences();
  return {
    canGoBack: canShowAsBefore(calendars, settings),
    only: ({ id }: Calendar) => act({ kind: 'showOnlyCalendar', id }),
    back: () => act({ kind: 'showOnlyCalendar', id: null }),
  };
}

/** Everything that can be done to a calendar. */
export function CalendarMenu({ calendar, calendars, onOnlyHere, onClose }: Props) {
  const act = useDo();
  const { settings } = usePreferences();
  const exports = useExports();
  const showing = useShowing(calendars);
  const [open, setOpen] = useState<'edit' | 'merge' | 'feed' | 'share' | null>(null);
  const { id, name, kind, feed } = calendar;

  const exportIt = () => exports.calendarFile({ query: { ...EVERYTHING, calendars: [id] } });

  if (open === 'edit') return <CalendarLater {...{ calendar, calendars, onClose }} />;
  if (open === 'merge') return <MergeLater {...{ calendar, calendars, onClose }} />;
  if (open === 'share')
    return <ShareLater of={{ kind: 'calendar', id }} name={name} onClose={onClose} />;
  if (open === 'feed') return <FeedLater {...{ calendar, onClose }} />;

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
              then(
                act({
                  kind: 'setSettings',
                  before: settings,
                  fields: { defaultCalendarId: id },
                  label: `New events go to ${name}`,
                }),
              ),
          },
        ]
      : []),
    {
      label: 'Duplicate',
      icon: 'content-copy',
      onPress: () => then(act({ kind: 'duplicateCalendar', id })),
    },
    ...(isOwn
      ? [{ label: 'Merge into another…', icon: 'call-merge', onPress: () => setOpen('merge') }]
      : []),
    ...(isOwn
      ? [{ label: 'Share…', icon: 'account-group-outline', onPress: () => setOpen('share') }]
      : []),
    { label: 'Export', icon: 'calendar-export', onPress: () => then(exportIt()) },
    {
      label: calendar.listed ? 'Unlist' : 'List again',
      icon: calendar.listed ? 'archive-outline' : 'restore',
      onPress: () => {
        const listed = !calendar.listed;
        then(act({ kind: 'editCalendar', before: calendar, fields: { listed, shown: listed } }));
      },
    },
    {
      label: 'Remove',
      icon: 'trash-can-outline',
      isRemoval: true,
      onPress: () => then(act({ kind: 'removeCalendar', id })),
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

import { Link, usePathname } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { useAskSheet } from '@/data/asked';
import { useInvitations } from '@/data/invitations';
import { useEngine } from '@/data/engineContext';
import { Dialog } from '@/ui/Dialog';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';
import { later } from '@/ui/later';

const ChangesDialog = later(() => import('./ChangesDialog').then((part) => part.ChangesDialog));

const PLACES = [
  { path: '/', name: 'Plan', icon: 'view-agenda-outline' },
  { path: '/today', name: 'Today', icon: 'clipboard-clock-outline' },
  { path: '/find', name: 'Find', icon: 'magnify' },
  { path: '/tidy', name: 'Tidy', icon: 'broom' },
  { path: '/tasks', name: 'Tasks', icon: 'checkbox-marked-outline' },
  { path: '/people', name: 'People', icon: 'account-group-outline' },
  { path: '/invitations', name: 'Invitations', icon: 'calendar-account-outline' },
  { path: '/message', name: 'Message', icon: 'email-outline' },
  { path: '/calendars', name: 'Calendars', icon: 'layers-outline' },
  { path: '/sent', name: 'Outbox', icon: 'tray-full' },
  { path: '/removed', name: 'Removed', icon: 'trash-can-outline' },
  { path: '/settings', name: 'Settings', icon: 'cog-outline' },
  { path: '/help', name: 'Help', icon: 'lifebuoy' },
] as const;

type Place = (typeof PLACES)[number];

/** Places that a phone's bar has no room for. */
const MORE = PLACES.slice(4);

const isAt = (pathname: string, place: Place) =>
  pathname === place.path || (place.path === '/calendars' && pathname === '/import');

const INVITATIONS = '/invitations';

/** Invitations that wait for an answer. */
const useOpenInvitations = (): number =>
  useInvitations().filter(({ state }) => state === 'open').length;

/** How many wait, beside an icon. */
function Count({ n }: { n: number }) {
  const { accent, onAccent } = usePalette();
  return n === 0 ? null : (
    <View style={[styles.count, { backgroundColor: accent }]}>
      <Text variant="labelSmall" style={{ color: onAccent }}>
        {n}
      </Text>
    </View>
  );
}

const withCount = (name: string, n: number) => (n ? `${name}: ${n} to answer` : undefined);

interface PlaceProps {
  place: Place;
  isRail: boolean;
  /** How much waits there for the person. */
  waiting?: number;
}

function PlaceLink({ place, isRail, waiting = 0 }: PlaceProps) {
  const palette = usePalette();
  const pathname = usePathname();
  const isHere = isAt(pathname, place);
  const colour = isHere ? palette.accent : palette.dim;
  return (
    <Link
      href={place.path}
      aria-label={withCount(place.name, waiting)}
      aria-current={isHere ? 'page' : undefined}
      style={StyleSheet.flatten([
        styles.place,
        isRail ? styles.railItem : styles.barItem,
        isHere && isRail && { backgroundColor: palette.accentWash },
      ])}
    >
      <Icon name={place.icon} size={24} color={colour} />
      <View style={styles.corner}>
        <Count n={waiting} />
      </View>
      <Text variant="labelSmall" style={{ color: colour, fontWeight: isHere ? '600' : '500' }}>
        {place.name}
      </Text>
    </Link>
  );
}

function AddButton({ isRail }: { isRail: boolean }) {
  const { accent, onAccent } = usePalette();
  const askSheet = useAskSheet();
  return (
    <Pressable
      role="button"
      aria-label="Add"
      onPress={() => askSheet({ kind: 'add' })}
      style={[isRail ? styles.railAdd : styles.barAdd, { backgroundColor: accent }]}
    >
      <Icon name="plus" size={26} color={onAccent} />
      {isRail && (
        <Text variant="labelSmall" style={{ color: onAccent }}>
          Add
        </Text>
      )}
    </Pressable>
  );
}

/** The way to what was done last, to take it back: in reach on every screen. */
function UndoButton({ isRail }: { isRail: boolean }) {
  const palette = usePalette();
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Pressable
        role="button"
        aria-haspopup="dialog"
        onPress={() => setOpen(true)}
        style={isRail ? styles.railItem : styles.barItem}
      >
        <Icon name="undo-variant" size={24} color={palette.dim} />
        <Text variant="labelSmall" style={{ color: palette.dim }}>
          Changes
        </Text>
      </Pressable>
      {isOpen && <ChangesDialog onClose={() => setOpen(false)} />}
    </>
  );
}

/** On a phone: the places that its bar has no room for. */
function MoreButton() {
  const palette = usePalette();
  const pathname = usePathname();
  const open = useOpenInvitations();
  const [isOpen, setOpen] = useState(false);
  const isHere = MORE.some((place) => isAt(pathname, place));
  const colour = isHere ? palette.accent : palette.dim;
  return (
    <>
      <Pressable
        role="button"
        aria-haspopup="dialog"
        onPress={() => setOpen(true)}
        style={styles.barItem}
      >
        <Icon name="dots-horizontal" size={24} color={colour} />
        <Text variant="labelSmall" style={{ color: colour, fontWeight: isHere ? '600' : '500' }}>
          More
        </Text>
      </Pressable>
      {isOpen && (
        <Dialog title="More" onClose={() => setOpen(false)}>
          <View style={styles.more}>
            {MORE.map((place) => (
              <Link
                key={place.path}
                href={place.path}
                aria-label={withCount(place.name, place.path === INVITATIONS ? open : 0)}
                aria-current={isAt(pathname, place) ? 'page' : undefined}
                onPress={() => setOpen(false)}
                style={StyleSheet.flatten([styles.moreItem, { borderColor: palette.hairline }])}
              >
                <Icon name={place.icon} size={22} color={palette.accent} />
                <Text style={styles.moreName}>{place.name}</Text>
                {place.path === INVITATIONS && <Count n={open} />}
              </Link>
            ))}
          </View>
        </Dialog>
      )}
    </>
  );
}

/** Where one can go: a rail on a wide screen, a bar along the bottom on a phone. */
export function Navigation({ isRail }: { isRail: boolean }) {
  const palette = usePalette();
  const { store } = useEngine();
  const open = useOpenInvitations();
  const edge = { borderColor: palette.hairline, backgroundColor: palette.paper };
  const [plan, today, find, tidy] = PLACES;
  if (!isRail) {
    return (
      <View role="navigation" aria-label="Main" style={[styles.bar, edge]}>
        <PlaceLink place={plan} isRail={false} />
        <PlaceLink place={today} isRail={false} />
        <PlaceLink place={find} isRail={false} />
        <AddButton isRail={false} />
        <PlaceLink place={tidy} isRail={false} />
        <UndoButton isRail={false} />
        <MoreButton />
      </View>
    );
  }
  return (
    <View role="navigation" aria-label="Main" style={[styles.rail, edge]}>
      <AddButton isRail />
      {PLACES.map((place) => (
        <PlaceLink
          key={place.path}
          place={place}
          isRail
          waiting={place.path === INVITATIONS ? open : 0}
        />
      ))}
      <UndoButton isRail />
      <View style={styles.spring} />
      <Text variant="labelSmall" style={[styles.store, { color: palette.dim }]}>
        {store === 'demo' ? 'Demo data' : 'Your data'}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  bar: { flexDirection: 'row', alignItems: 'center', height: 60, borderTopWidth: 1 },
  // A link is a line of text until it is told otherwise.
  place: { display: 'flex', flexDirection: 'column' },
  barItem: { flex: 1, height: 56, alignItems: 'center', justifyContent: 'center', gap: 2 },
  barAdd: {
    width: 46,
    height: 46,
    borderRadius: 12,
    alignItems: 'center',
    justifyContent: 'center',
    marginHorizontal: 4,
  },
  corner: { position: 'absolute', top: 2, right: 12 },
  count: {
    minWidth: 18,
    height: 18,
    borderRadius: 9,
    paddingHorizontal: 4,
    alignItems: 'center',
    justifyContent: 'center',
  },
  more: { gap: 6, width: 'min(80vw, 320px)' } as object,
  moreName: { flex: 1 },
  moreItem: {
    display: 'flex',
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    minHeight: 48,
    paddingHorizontal: 12,
    borderWidth: 1,
    borderStyle: 'solid',
    borderRadius: 9,
  },
  rail: { width: 84, borderRightWidth: 1, padding: 8, gap: 2, alignItems: 'stretch' },
  railItem: {
    height: 58,
    borderRadius: 10,
    alignItems: 'center',
    justifyContent: 'center',
    gap: 4,
  },
  railAdd: {
    height: 60,
    borderRadius: 12,
    alignItems: 'center',
    justifyContent: 'center',
    gap: 2,
    marginBottom: 6,
  },
  spring: { flex: 1 },
  store: { textAlign: 'center', paddingBottom: 6 },
});

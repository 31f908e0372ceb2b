import { usePathname } from 'expo-router';
import type { ReactNode } from 'react';
import { useEffect } from 'react';
import { StyleSheet, View } from 'react-native';
import { useMessages } from '@/data/messages';
import { CommandBoxLater } from '@/features/commands/later';
import { KeysLater } from '@/features/keys/later';
import { keepForOffline } from '@/data/offline';
import { useDueFeeds } from '@/data/queries';
import { useMailExchange } from '@/data/invitations';
import { useOffersOver } from '@/data/people';
import { useSharedChanges } from '@/data/sharedChanges';
import { usePublishing } from '@/data/sharing';
import { useTroubles } from '@/data/useTroubles';
import { OpenedTask } from '@/features/tasks/OpenedTask';
import { SelectionBar } from '@/features/selecting/SelectionBar';
import { later } from '@/ui/later';
import { usePalette } from '@/ui/theme/theme';
import { useIsWide } from '@/ui/useIsWide';
import { describeError } from '@/core/userError';
import { MessageBar } from './MessageBar';
import { Navigation } from './Navigation';
import { Notices } from './Notices';
import { ReminderBar } from './reminders/ReminderBar';
import { useEverywhereKeys } from './useEverywhereKeys';
import { useKeptFocus } from './useKeptFocus';
import { useCommandKey } from './useCommandKey';
import { usePrintKey } from './usePrintKey';
import { useUndoKeys } from './useUndoKeys';

/** Nothing of the week waits for them. */
const AskBarsLater = later(() => import('./AskBars').then(({ AskBars }) => AskBars));

/** What stands around every screen: where one can go, what was just done, what needs to be known. */
export function Shell({ children }: { children: ReactNode }) {
  const isWide = useIsWide();
  // A small window has room for its day alone.
  const isSmall = usePathname() === '/small';
  const { paper } = usePalette();
  useUndoKeys();
  usePrintKey();
  const [isBoxOpen, closeBox] = useCommandKey();
  useKeptFocus();
  const [isHelpOpen, closeHelp] = useEverywhereKeys();
  useDueFeeds();
  useTroubles();
  usePublishing();
  useSharedChanges();
  useOffersOver();
  useMailExchange();
  const { complain } = useMessages();
  useEffect(() => {
    keepForOffline().catch((error: Error) =>
      complain(`The app can’t be kept for use offline. ${describeError(error)}`),
    );
  }, [complain]);
  return (
    <View style={[styles.all, isWide ? styles.row : styles.column, { backgroundColor: paper }]}>
      <a
        href="#main"
        className="skip-link"
        onClick={(event) => {
          event.preventDefault();
          document.getElementById('main')?.focus();
        }}
      >
        To what the page shows
      </a>
      {isWide && !isSmall && <Navigation isRail />}
      <View role="main" nativeID="main" tabIndex={-1} style={styles.main}>
        <Notices />
        <ReminderBar />
        <AskBarsLater />
        {children}
        <SelectionBar />
        <OpenedTask />
        <MessageBar />
      </View>
      {!isWide && !isSmall && <Navigation isRail={false} />}
      {isHelpOpen && <KeysLater onClose={closeHelp} />}
      {isBoxOpen && <CommandBoxLater onClose={closeBox} />}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { flex: 1, height: '100%' },
  row: { flexDirection: 'row' },
  column: { flexDirection: 'column' },
  main: { flex: 1, minHeight: 0, minWidth: 0, outlineWidth: 0 },
});

import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePalette } from '@/ui/theme/theme';
import { useIsWide } from '@/ui/useIsWide';
import { MessageBar } from './MessageBar';
import { Navigation } from './Navigation';
import { Notices } from './Notices';
import { useUndoKeys } from './useUndoKeys';

/** What stands around every screen: where one can go, what was just done, what needs to be known. */
export function Shell({ children }: { children: ReactNode }) {
  const isWide = useIsWide();
  const { paper } = usePalette();
  useUndoKeys();
  return (
    <View style={[styles.all, isWide ? styles.row : styles.column, { backgroundColor: paper }]}>
      {isWide && <Navigation isRail />}
      <View role="main" style={styles.main}>
        <Notices />
        {children}
        <MessageBar />
      </View>
      {!isWide && <Navigation isRail={false} />}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { flex: 1, height: '100%' },
  row: { flexDirection: 'row' },
  column: { flexDirection: 'column' },
  main: { flex: 1, minHeight: 0, minWidth: 0 },
});

import type { ReactNode } from 'react';
import { createContext, useContext, useEffect, useLayoutEffect, useRef } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { IconButton } from 'react-native-paper';
import { useBackCloses } from './backStack';
import { Title } from './Title';
import { usePalette } from '@/ui/theme/theme';
import { useIsWide } from './useIsWide';

/** How wide what stands beside the sheet is, in px. */
export const SIDE_WIDTH = 316;

interface Props {
  title: string;
  onClose(): void;
  children: ReactNode;
  /** Buttons that stay in sight under what scrolls. */
  footer?: ReactNode;
}

/** Told how high the panel is, so that what it covers can be brought out. */
export const PanelHeight = createContext<(height: number) => void>(() => undefined);

/** Where an event is looked at or edited beside the week: a sheet from below on a phone, the margin on a wide screen. */
export function PanelFrame({ title, onClose, children, footer }: Props) {
  const isWide = useIsWide();
  const palette = usePalette();
  const tellHeight = useContext(PanelHeight);
  const frame = useRef<View>(null);
  useBackCloses(onClose);

  // As soon as it is seen: a key that is pressed then is meant for it.
  const cameFrom = useRef<Element | null>(null);
  useLayoutEffect(() => {
    const element = frame.current as unknown as HTMLElement;
    cameFrom.current = document.activeElement;
    // A field that asked for the focus keeps it.
    if (!element.contains(document.activeElement)) element.focus();
  }, []);
  useEffect(
    () => () => {
      // A field of the panel that follows has taken the focus already; it keeps it.
      if (document.activeElement !== document.body) return;
      const before = cameFrom.current;
      if (before instanceof HTMLElement && before.isConnected)
        before.focus({ preventScroll: true });
    },
    [],
  );

  const close = useRef(onClose);
  useLayoutEffect(() => {
    close.current = onClose;
  });
  // Wherever the focus is. Text fields keep their keys from what stands around the app, the window
  // too, but not from the panel.
  useLayoutEffect(() => {
    const element = frame.current as unknown as HTMLElement;
    function onKeyDown(event: KeyboardEvent) {
      // A dialog over the panel is closed by itself.
      if (event.defaultPrevented || (event.target as HTMLElement).closest('dialog')) return;
      if (event.key !== 'Escape') return;
      event.preventDefault();
      close.current();
    }
    element.addEventListener('keydown', onKeyDown);
    window.addEventListener('keydown', onKeyDown);
    return () => {
      element.removeEventListener('keydown', onKeyDown);
      window.removeEventListener('keydown', onKeyDown);
    };
  }, []);

  return (
    <View
      ref={frame}
      role="dialog"
      aria-label={title}
      tabIndex={-1}
      onLayout={({ nativeEvent }) => tellHeight(nativeEvent.layout.height)}
      style={[
        isWide ? styles.margin : styles.sheet,
        { backgroundColor: palette.paper, borderColor: palette.hairline, outlineWidth: 0 },
      ]}
    >
      <View style={styles.head}>
        <Title level={2} style={styles.title}>
          {title}
        </Title>
        <IconButton
          icon="close"
          accessibilityLabel="Close"
          onPress={onClose}
          size={22}
          style={styles.close}
        />
      </View>
      <ScrollView
        tabIndex={-1}
        contentContainerStyle={styles.content}
        keyboardShouldPersistTaps="handled"
      >
        {children}
      </ScrollView>
      {footer && <View style={[styles.footer, { borderColor: palette.hairline }]}>{footer}</View>}
    </View>
  );
}

const styles = StyleSheet.create({
  sheet: {
    position: 'absolute',
    left: 0,
    right: 0,
    bottom: 0,
    maxHeight: '72%',
    borderTopWidth: 1,
    borderTopLeftRadius: 16,
    borderTopRightRadius: 16,
    boxShadow: '0 -6px 24px rgba(0,0,0,0.18)',
    zIndex: 10,
  },
  margin: { width: SIDE_WIDTH, borderLeftWidth: 1 },
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    paddingLeft: 16,
    paddingRight: 6,
    paddingTop: 6,
  },
  title: { flex: 1 },
  close: { margin: 0, width: 40, height: 40 },
  content: { paddingHorizontal: 16, paddingTop: 4, paddingBottom: 16, gap: 12 },
  footer: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    justifyContent: 'flex-end',
    gap: 8,
    padding: 10,
    borderTopWidth: 1,
  },
});

import type { ReactNode } from 'react';
import { useLayoutEffect, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton } from 'react-native-paper';
import { useBackCloses } from './backStack';
import { Title } from './Title';
import { usePalette } from './theme/theme';

interface Props {
  title: string;
  onClose(): void;
  children: ReactNode;
  /** Buttons under what it holds. */
  footer?: ReactNode;
}

/**
 * A question in front of the page. It is the browser's own dialog: the focus stays in it, Escape
 * and a press beside it close it, and the focus goes back where it came from.
 */
export function Dialog({ title, onClose, children, footer }: Props) {
  const palette = usePalette();
  const element = useRef<HTMLDialogElement>(null);
  useBackCloses(onClose);

  // Before the page is drawn: closed any later, it would take the focus from where it went since.
  useLayoutEffect(() => {
    const dialog = element.current;
    dialog?.showModal();
    return () => dialog?.close();
  }, []);

  return (
    <dialog
      ref={element}
      aria-label={title}
      className="dialog"
      style={{ background: palette.paper, color: palette.ink }}
      onCancel={(event) => {
        event.preventDefault();
        onClose();
      }}
      // What stands around opens panels and moves dates by key; those are not for it.
      onKeyDown={(event) => event.stopPropagation()}
      onClick={(event) => {
        if (event.target === element.current) onClose();
      }}
    >
      <View style={styles.inner}>
        <View style={styles.head}>
          <Title level={2} style={styles.title}>
            {title}
          </Title>
          <IconButton
            icon="close"
            accessibilityLabel="Close"
            size={22}
            onPress={onClose}
            style={styles.close}
          />
        </View>
        {children}
        {footer && (
          <View style={[styles.footer, { backgroundColor: palette.paper }]}>{footer}</View>
        )}
      </View>
    </dialog>
  );
}

const styles = StyleSheet.create({
  inner: { padding: 14, paddingTop: 6, gap: 8 },
  head: { flexDirection: 'row', alignItems: 'center' },
  title: { flex: 1 },
  close: { margin: 0, width: 40, height: 40, marginRight: -8 },
  // In sight, however long what stands above it is.
  footer: {
    position: 'sticky' as 'absolute',
    zIndex: 1,
    bottom: 0,
    paddingVertical: 8,
    marginBottom: -8,
    flexDirection: 'row',
    flexWrap: 'wrap',
    justifyContent: 'flex-end',
    gap: 8,
  },
});

import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import type { Span } from '@/core/layout/drag';
import type { Look } from './formProps';
import type { Box } from './Ghost';
import { Ghost } from './Ghost';
import type { Surface } from './useSurface';

interface Props {
  surface: Surface;
  /** What it is called, where it hears hands itself; null where something around it does. */
  name: string | null;
  height: number;
  look: Pick<Look, 'covered' | 'preferences'>;
  /** Where a time that is being dragged would lie. */
  ghostPlace(span: Span): Box | null;
  /** Told of how far it was scrolled, in px. */
  onScrolled?(y: number): void;
  /** Drawn once it is known how much room there is. */
  children: ReactNode;
}

/** What days and bars are drawn on: it scrolls, and shows what is dragged over it. */
export function SheetSurface(props: Props) {
  const { surface, name, height, look, ghostPlace, onScrolled, children } = props;
  const { body, scroller, ghost, room, onLayout } = surface;
  return (
    <ScrollView
      ref={scroller}
      style={styles.scroll}
      contentContainerStyle={{ paddingBottom: look.covered }}
      onLayout={onLayout}
      onScroll={onScrolled && (({ nativeEvent }) => onScrolled(nativeEvent.contentOffset.y))}
      scrollEventThrottle={32}
      tabIndex={-1}
    >
      <View
        ref={body}
        {...(name !== null && { role: 'group', 'aria-label': name })}
        style={[styles.body, { height }]}
      >
        {room.width > 0 && children}
        <Ghost
          ref={ghost}
          place={ghostPlace}
          width={room.width}
          wording={look.preferences.wording}
        />
      </View>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  // What lies under the hand is held there when the sheet is sized, by no one else.
  scroll: { flex: 1, overflowAnchor: 'none' } as object,
  // Swipes across are the sheet's own; the browser keeps scrolling up and down.
  body: { touchAction: 'pan-y', overflow: 'hidden', userSelect: 'none' } as object,
});

import type { Ref } from 'react';
import { useImperativeHandle, useRef } from 'react';
import { StyleSheet, Text, View } from 'react-native';
import type { Span } from '@/core/layout/drag';
import type { Wording } from '@/core/time/words';
import { saySpan } from '@/core/time/words';
import { SANS, usePalette, textPx } from '@/ui/theme/theme';

/** The draft of a bar while it is dragged: drawn straight into the page, a frame at a time. */
export interface GhostHandle {
  show(span: Span): void;
  hide(): void;
}

/** A place on the surface, in px. */
export interface Box {
  left: number;
  top: number;
  width: number;
  height: number;
}

interface Props {
  ref: Ref<GhostHandle>;
  /** Where a span lies on this form of the sheet. */
  place(span: Span): Box | null;
  /** Width of the surface. */
  width: number;
  wording: Wording;
}

/** Room that the time label takes; near the right edge it stands to the left, near the top below. */
const LABEL_ROOM = 190;
const LABEL_HEIGHT = 30;

export function Ghost({ ref, place, width, wording }: Props) {
  const palette = usePalette();
  const box = useRef<View>(null);
  const label = useRef<Text>(null);
  const frame = useRef(0);

  useImperativeHandle(ref, () => {
    const elements = () => [box.current, label.current] as unknown as (HTMLElement | null)[];
    function draw(span: Span) {
      const [bar, text] = elements();
      const at = place(span);
      if (!bar || !text || !at) return;
      bar.style.display = 'flex';
      bar.style.width = `${at.width}px`;
      bar.style.height = `${at.height}px`;
      bar.style.transform = `translate(${at.left}px, ${at.top}px)`;
      text.textContent = saySpan(span, wording);
      const isNearRight = at.left > width - LABEL_ROOM;
      text.style.left = isNearRight ? 'auto' : '0';
      text.style.right = isNearRight ? '0' : 'auto';
      text.style.top = at.top < LABEL_HEIGHT ? `${at.height + 2}px` : '-24px';
    }
    return {
      show(span) {
        cancelAnimationFrame(frame.current);
        frame.current = requestAnimationFrame(() => draw(span));
      },
      hide() {
        cancelAnimationFrame(frame.current);
        const [bar] = elements();
        if (bar) bar.style.display = 'none';
      },
    };
  }, [place, width, wording]);

  return (
    <View
      ref={box}
      style={[styles.box, { borderColor: palette.amber, backgroundColor: `${palette.amber}33` }]}
    >
      <Text
        ref={label}
        role="status"
        numberOfLines={1}
        style={[styles.label, { backgroundColor: palette.ink, color: palette.sheet }]}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  box: {
    position: 'absolute',
    left: 0,
    top: 0,
    borderWidth: 2,
    borderRadius: 4,
    display: 'none',
    pointerEvents: 'none',
    zIndex: 5,
  },
  label: {
    position: 'absolute',
    fontFamily: SANS,
    fontSize: textPx(12.5),
    fontWeight: '600',
    paddingHorizontal: 7,
    paddingVertical: 2,
    borderRadius: 5,
    width: 'max-content' as 'auto',
    maxWidth: 340,
    fontVariant: ['tabular-nums'],
  },
});

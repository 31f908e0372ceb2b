import type { Ref } from 'react';
import { useImperativeHandle, useRef } from 'react';
import { StyleSheet, Text, View } from 'react-native';
import type { Span } from '@/core/layout/drag';
import type { Row } from '@/core/layout/rows';
import { xOfMinute } from '@/core/layout/rows';
import { DAY, dayOfWall, MINUTE } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { saySpan } from '@/core/time/words';
import { SANS, usePalette } from '@/ui/theme/theme';
import { LANE, PADDING } from './geometry';
import type { TimeLine } from './RowBackground';

/** The draft of a bar while it is dragged: drawn straight into the page, a frame at a time. */
export interface GhostHandle {
  show(span: Span): void;
  hide(): void;
}

interface Props {
  ref: Ref<GhostHandle>;
  rows: readonly Row[];
  line: TimeLine;
  gutter: number;
  wording: Wording;
}

/** Room that the time label takes; near the right edge it stands to the left. */
const LABEL_ROOM = 190;

export function Ghost({ ref, rows, line, gutter, wording }: Props) {
  const palette = usePalette();
  const box = useRef<View>(null);
  const label = useRef<Text>(null);
  const frame = useRef(0);

  useImperativeHandle(ref, () => {
    const elements = () => [box.current, label.current] as unknown as (HTMLElement | null)[];
    function draw(span: Span) {
      const [bar, text] = elements();
      const row = rows.find(({ day }) => day === dayOfWall(span.start)) ?? rows[0];
      if (!bar || !text || !row) return;
      const minutes = (wall: number) => (wall - row.day * DAY) / MINUTE;
      const clamp = (x: number) => Math.max(0, Math.min(line.width, x));
      const from = span.wholeDay ? 0 : clamp(xOfMinute(line, minutes(span.start)));
      const to = span.wholeDay ? line.width : clamp(xOfMinute(line, minutes(span.end)));
      bar.style.display = 'flex';
      bar.style.width = `${Math.max(7, to - from)}px`;
      bar.style.transform = `translate(${gutter + from}px, ${row.y + PADDING}px)`;
      text.textContent = saySpan(span, wording);
      text.style.left = from > line.width - LABEL_ROOM ? 'auto' : '0';
      text.style.right = from > line.width - LABEL_ROOM ? '0' : 'auto';
      text.style.top = row.y < 30 ? `${LANE + 2}px` : '-24px';
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
  }, [rows, line, gutter, wording]);

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
    height: LANE,
    borderWidth: 2,
    borderRadius: 4,
    display: 'none',
    pointerEvents: 'none',
    zIndex: 5,
  },
  label: {
    position: 'absolute',
    fontFamily: SANS,
    fontSize: 12.5,
    fontWeight: '600',
    paddingHorizontal: 7,
    paddingVertical: 2,
    borderRadius: 5,
    width: 'max-content' as 'auto',
    maxWidth: 340,
    fontVariant: ['tabular-nums'],
  },
});

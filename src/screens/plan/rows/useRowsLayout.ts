import { useMemo } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { RowsLayout } from '@/core/layout/rows';
import { layoutRows } from '@/core/layout/rows';
import type { Track } from '@/core/layout/tracks';
import type { Wording } from '@/core/time/words';
import type { RowSizes } from './geometry';
import { PADDING } from './geometry';
import { labelWidth, useFontsReady } from '../sheet/labels';
import type { TimeLine } from './RowBackground';

interface Frame {
  tracks: readonly Track[];
  line: TimeLine;
  /** Room for the rows, in px. */
  height: number;
  isWide: boolean;
  wording: Wording;
  sizes: RowSizes;
  /** Letters against their usual size. */
  text: number;
}

/** The rows of the sheet for what happens on them; reckoned again only when something of it changes. */
export function useRowsLayout(frame: Frame, occurrences: readonly Occurrence[]): RowsLayout {
  const { tracks, line, height, isWide, wording, sizes, text } = frame;
  const areFontsReady = useFontsReady();
  return useMemo(
    () =>
      layoutRows(
        {
          ...line,
          tracks,
          height,
          minRowHeight: sizes.row,
          laneHeight: sizes.lane,
          tallLaneHeight: isWide ? sizes.tallLane : null,
          topHeight: sizes.top,
          padding: PADDING,
          countWidth: sizes.count,
          labelWidth: (o, tall) => labelWidth(o, tall, wording, text),
        },
        occurrences,
      ),
    // Letters that have just come have other widths.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [line, tracks, height, isWide, occurrences, wording, sizes, text, areFontsReady],
  );
}

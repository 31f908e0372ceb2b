import { useMemo } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { RowsLayout } from '@/core/layout/rows';
import { layoutRows } from '@/core/layout/rows';
import type { Track } from '@/core/layout/tracks';
import type { Wording } from '@/core/time/words';
import { LANE, MIN_ROW, PADDING, TALL_LANE, TOP } from './geometry';
import { labelWidth, useFontsReady } from '../sheet/labels';
import type { TimeLine } from './RowBackground';

interface Frame {
  tracks: readonly Track[];
  line: TimeLine;
  /** Room for the rows, in px. */
  height: number;
  isWide: boolean;
  wording: Wording;
}

/** The rows of the sheet for what happens on them; reckoned again only when something of it changes. */
export function useRowsLayout(frame: Frame, occurrences: readonly Occurrence[]): RowsLayout {
  const { tracks, line, height, isWide, wording } = frame;
  const areFontsReady = useFontsReady();
  return useMemo(
    () =>
      layoutRows(
        {
          ...line,
          tracks,
          height,
          minRowHeight: isWide ? MIN_ROW.wide : MIN_ROW.phone,
          laneHeight: LANE,
          tallLaneHeight: isWide ? TALL_LANE : null,
          topHeight: TOP,
          padding: PADDING,
          labelWidth: (o, tall) => labelWidth(o, tall, wording),
        },
        occurrences,
      ),
    // Letters that have just come have other widths.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [line, tracks, height, isWide, occurrences, wording, areFontsReady],
  );
}

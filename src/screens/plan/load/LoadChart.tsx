import { View } from 'react-native';
import Svg, { G, Line, Rect, Text as SvgText } from 'react-native-svg';
import type { SpanLoad } from '@/core/agenda/spanLoad';
import { sayHoursTight } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import { SANS, usePalette } from '@/ui/theme/theme';

interface Props {
  load: SpanLoad;
  /** Width in px. */
  width: number;
  colourOf(key: string): string;
  /** What a part is called by its first day. */
  nameOf(day: DayNumber): string;
  /** What a screen reader says of the whole. */
  summary: string;
}

const HEIGHT = 118;
const AXIS = 16;
const TOP = 14;
/** The widest that a week is drawn, in px. */
const WIDEST = 46;
/** From this width on a week has its name and hours. */
const NAMED = 24;

/** Hours by day or week, stacked by what they belong to; what is clear stands hollow on top. */
export function LoadChart({ load, width, colourOf, nameOf, summary }: Props) {
  const palette = usePalette();
  const { parts } = load;
  const most = Math.max(60, ...parts.map(({ total, clear }) => total + clear));
  const step = Math.min(WIDEST, width / Math.max(1, parts.length));
  const bar = Math.max(2, step * 0.72);
  const field = HEIGHT - AXIS - TOP;
  const label = {
    fontFamily: SANS,
    fontSize: 10,
    fill: palette.dim,
    textAnchor: 'middle',
  } as const;
  return (
    <View role="img" aria-label={summary}>
      <Svg width={width} height={HEIGHT}>
        <Line
          x1={0}
          x2={width}
          y1={HEIGHT - AXIS}
          y2={HEIGHT - AXIS}
          stroke={palette.hairline}
          strokeWidth={1}
        />
        {parts.map((part, i) => {
          const x = i * step + (step - bar) / 2;
          let y = HEIGHT - AXIS;
          return (
            <G key={part.day}>
              {load.byKey.map(({ key }) => {
                const height = ((part.byKey.get(key) ?? 0) / most) * field;
                y -= height;
                return (
                  height > 0 && (
                    <Rect
                      key={key}
                      x={x}
                      y={y}
                      width={bar}
                      height={height}
                      fill={colourOf(key)}
                      stroke={palette.paper}
                      strokeWidth={0.6}
                    />
                  )
                );
              })}
              {part.clear > 0 && (
                <Rect
                  x={x + 0.5}
                  y={y - (part.clear / most) * field}
                  width={bar - 1}
                  height={(part.clear / most) * field}
                  fill="none"
                  stroke={palette.dim}
                  strokeDasharray="2 2"
                />
              )}
              {step >= NAMED && (
                <>
                  <SvgText x={x + bar / 2} y={y - (part.clear / most) * field - 3} {...label}>
                    {part.total > 0 ? sayHoursTight(part.total) : ''}
                  </SvgText>
                  <SvgText x={x + bar / 2} y={HEIGHT - 4} {...label}>
                    {nameOf(part.day)}
                  </SvgText>
                </>
              )}
            </G>
          );
        })}
      </Svg>
    </View>
  );
}

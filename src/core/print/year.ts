import { bookedMinutes } from '../agenda/booked';
import { civilDate } from '../time/civil';
import type { DayNumber } from '../time/units';
import type { Box, Room } from './boxes';
import { BLACK, GREY, shifted } from './boxes';
import { groundOf, words } from './draw';
import { MONTH_LINES, monthOn, smallMonth } from './months';
import type { Printing } from './printing';
import { lineHeight } from './printing';
import { linesOf } from './text';

/** Booked hours from which on a day is shaded more. */
const STEPS = [0, 2, 4, 6];
const SHADES = [0.12, 0.28, 0.46, 0.66];
const INK = '#1F5A4C';

/** Booked minutes of each day, by day. */
function bookedByDay({ events, from, to }: Printing, clock: string): Map<DayNumber, number> {
  const all = events.map(({ o }) => o);
  return new Map(bookedMinutes(all, from, to, clock).map((minutes, i) => [from + i, minutes]));
}

/** How a day with so many booked minutes is shaded: by a ground, or where ink is saved by as many strokes under it. */
function shade(minutes: number, room: Room, isSaving: boolean): Box[] {
  const step = STEPS.findLastIndex((hours) => minutes > hours * 60);
  if (step < 0) return [];
  const { x, y, width, height } = room;
  if (!isSaving)
    return [
      {
        kind: 'rect',
        ...{ x: x + 1, y: y + 1, width: width - 2, height: height - 1 },
        fill: groundOf(INK, SHADES[step]! * 0.75),
      },
    ];
  return Array.from({ length: step + 1 }, (_, i) => ({
    kind: 'line' as const,
    ...{ x: x + 3 + i * 3, y: y + height - 0.5, x2: x + 5 + i * 3, y2: y + height - 0.5 },
    ...{ colour: BLACK, width: 1.2 },
  }));
}

/** The months of the days as small ones, their days shaded by how booked they are. */
export function yearBoxes(room: Room, printing: Printing, clock: string): Box[] {
  const { from, to, setup } = printing;
  const first = civilDate(from);
  const last = civilDate(to - 1);
  const months = (last.year - first.year) * 12 + last.month - first.month + 1;
  const columns = room.width > room.height ? 4 : 3;
  const rows = Math.ceil(months / columns);
  const width = room.width / columns;
  const legend = linesOf(
    setup.isSaving
      ? 'Strokes under a day: more than 0, 2, 4 and 6 hours booked.'
      : 'The darker a day, the more is booked: more than 0, 2, 4 and 6 hours.',
    room.width,
    { size: setup.size * 0.9 },
    printing.widths,
  );
  const line = lineHeight(setup.size * 0.9);
  const height = (room.height - line * (legend.length + 0.5)) / rows;
  const size = Math.min(setup.size, height / (MONTH_LINES * 1.5 + 1), width / 18);
  const booked = bookedByDay(printing, clock);
  const boxes: Box[] = [];
  for (let nth = 0; nth < months; nth++) {
    const behind = (day: DayNumber, x: number, y: number, w: number, h: number) =>
      shade(booked.get(day) ?? 0, { x, y, width: w, height: h }, setup.isSaving);
    const month = smallMonth({
      ...monthOn(first, nth),
      ...{ width: width - size * 2, size, behind },
      firstWeekday: printing.firstWeekday,
      wording: printing.wording,
    });
    boxes.push(...shifted(month, (nth % columns) * width, Math.floor(nth / columns) * height));
  }
  legend.forEach((text, i) => {
    const y = room.height - line * (legend.length - i - 1) - line * 0.25;
    boxes.push(words(text, 0, y, { size: setup.size * 0.9, colour: GREY }));
  });
  return boxes;
}

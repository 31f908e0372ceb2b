import { useEffect, useState } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import { minuteOfDay } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { sayMinute } from '@/core/time/words';
import { titleOf } from '@/core/model/titleOf';
import { isEventIcon } from '@/ui/icons/eventIcons';
import { SANS } from '@/ui/theme/theme';

/** Sizes of the letters, as .sheet-bar and .sheet-second in sheet.css have them. */
const LABEL_SIZE = 12.5;
const SECOND_SIZE = 11;
/** An icon with its gap, as .sheet-icon has them. */
const ICON_WIDTH = 17;

let canvas: CanvasRenderingContext2D | null = null;
const widths = new Map<string, number>();

function widthOf(text: string, font: string): number {
  const key = font + text;
  let width = widths.get(key);
  if (width === undefined) {
    canvas ??= document.createElement('canvas').getContext('2d');
    if (!canvas) return text.length * 7;
    canvas.font = font;
    width = Math.ceil(canvas.measureText(text).width) + 2;
    widths.set(key, width);
  }
  return width;
}

/** Time and place of an occurrence, for a second line. */
function secondLine(o: Occurrence, { hourCycle }: Wording): string {
  const time = `${sayMinute(minuteOfDay(o.start), hourCycle)} – ${sayMinute(minuteOfDay(o.end), hourCycle)}`;
  return o.place ? `${time} · ${o.place}` : time;
}

/** Width of an occurrence's label in pixels, as the browser draws it in letters of `text` times their usual size. */
export function labelWidth(o: Occurrence, tall: boolean, wording: Wording, text: number): number {
  const icon = isEventIcon(o.icon) ? ICON_WIDTH : 0;
  const title = icon + widthOf(titleOf(o), `500 ${LABEL_SIZE * text}px ${SANS}`);
  if (!tall) return title;
  // The second line asks for room for its time; its place shows as far as there is more.
  return Math.max(title, secondWidth(secondLine({ ...o, place: '' }, wording), text));
}

/** Its figures are all as wide as each other (tabular), which a canvas does not draw. */
const secondWidth = (line: string, text: number) =>
  widthOf(line.replace(/\d/g, '0'), `400 ${SECOND_SIZE * text}px ${SANS}`);

/** Least room (px) for what is shown of a place that is cut short. */
const SOME_PLACE = 40;

/** The second line as far as there is room (px): a time is whole or left out. */
export function secondLineIn(o: Occurrence, wording: Wording, room: number, text: number): string {
  const [all, time] = [secondLine(o, wording), secondLine({ ...o, place: '' }, wording)];
  const least = secondWidth(time, text);
  if (secondWidth(all, text) <= room || least + SOME_PLACE <= room) return all;
  return least <= room ? time : '';
}

/** Whether the app's letters are there; what was measured before they came is forgotten. */
export function useFontsReady(): boolean {
  const [isReady, setReady] = useState(
    () => document.fonts.status === 'loaded' && document.fonts.check(`500 12px ${SANS}`),
  );
  useEffect(() => {
    void document.fonts.ready.then(() => {
      widths.clear();
      setReady(true);
    });
  }, []);
  return isReady;
}

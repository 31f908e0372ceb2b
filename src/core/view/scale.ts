import type { Density, TextSize } from '../model/look';
import { LARGEST_ZOOM, LEAST_ZOOM } from '../model/look';

/** Letters against their usual size. */
const TEXT: Record<TextSize, number> = { small: 0.92, usual: 1, large: 1.15, largest: 1.3 };
const ROOM: Record<Density, number> = { close: 0.88, usual: 1, airy: 1.2 };

/** The least height of an hour, and of a slot in it, in px at the usual text size. */
const LEAST_HOUR = 40;
const LEAST_SLOT = 10;

/** What sizes of the sheet are multiplied by. */
export interface Scale {
  /** Letters, and what is as high as they are. */
  text: number;
  /** Lines of the sheet: letters with the room around them. */
  line: number;
  /** Rows, weeks and hours over what they need. */
  zoom: number;
}

/** What the person's choices of text size, density and zoom make of sizes. */
export function scaleOf(look: { textSize: TextSize; density: Density; zoom: number }): Scale {
  const text = TEXT[look.textSize];
  return { text, line: text * ROOM[look.density], zoom: look.zoom };
}

/** The least height of an hour in px, so that a slot (minutes) of it can be hit by a finger. */
export function hourHeight(slot: number, { line }: Pick<Scale, 'line'>): number {
  return Math.round(Math.max(LEAST_HOUR, (60 / slot) * LEAST_SLOT) * line);
}

/** A zoom times a factor, within its ends and in steps of a hundredth. */
export function zoomed(zoom: number, factor: number): number {
  const next = Math.min(LARGEST_ZOOM, Math.max(LEAST_ZOOM, zoom * factor));
  return Math.round(next * 100) / 100;
}

import type { Palette } from './palette';
import { ROOT_SIZE } from './theme';

const NAMES = {
  paper: '--paper',
  sheet: '--sheet',
  ink: '--ink',
  dim: '--dim',
  hairline: '--hairline',
  outOfHours: '--out-of-hours',
  accent: '--accent',
  onAccent: '--on-accent',
  accentWash: '--accent-wash',
  amber: '--amber',
  amberWash: '--amber-wash',
} as const satisfies Partial<Record<keyof Palette, string>>;

/**
 * What the style sheets colour and size plain elements by, as properties of the page: the palette's
 * colours, the size of its letters (a rem, times the factor `text`), and the factor of lines.
 */
export function pageStyle(palette: Palette, text: number, line: number): [string, string][] {
  const colours = Object.entries(NAMES).map(([colour, name]): [string, string] => [
    name,
    palette[colour as keyof typeof NAMES],
  ]);
  return [...colours, ['font-size', `${ROOT_SIZE * text}px`], ['--line', String(line)]];
}

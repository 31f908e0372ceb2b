import type { Palette } from './palette';

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
 * The custom properties of the page that the style sheets colour and size plain elements by: the
 * palette's colours, and the factors of letters and lines.
 */
export function pageStyle(palette: Palette, text: number, line: number): [string, string][] {
  const colours = Object.entries(NAMES).map(([colour, name]): [string, string] => [
    name,
    palette[colour as keyof typeof NAMES],
  ]);
  return [...colours, ['--text', String(text)], ['--line', String(line)]];
}

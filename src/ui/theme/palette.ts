import { mix, withContrast } from '@/core/colour/colour';

/** The house's colours: warm paper, dark ink, one green, one amber. */
export interface Palette {
  dark: boolean;
  paper: string;
  sheet: string;
  ink: string;
  dim: string;
  hairline: string;
  outOfHours: string;
  green: string;
  onGreen: string;
  greenWash: string;
  amber: string;
  amberWash: string;
  brick: string;
}

export const LIGHT: Palette = {
  dark: false,
  paper: '#FAF6EE',
  sheet: '#FFFDF8',
  ink: '#20302C',
  dim: '#5C6964',
  hairline: '#E4DCCB',
  outOfHours: '#F1EADC',
  green: '#1F5A4C',
  onGreen: '#FFFDF8',
  greenWash: '#E3EDE6',
  amber: '#A45A0B',
  amberWash: '#FFF1D9',
  brick: '#9A3A2C',
};

export const DARK: Palette = {
  dark: true,
  paper: '#141C19',
  sheet: '#1A2420',
  ink: '#F1EADC',
  dim: '#A9B5AD',
  hairline: '#34423C',
  outOfHours: '#121917',
  green: '#8CC7B1',
  onGreen: '#10201A',
  greenWash: '#24382F',
  amber: '#E9A24A',
  amberWash: '#33291A',
  brick: '#E59A8B',
};

/** How an ink is drawn on the sheet of a palette. */
export interface InkColours {
  /** Edge, mark and outline. */
  edge: string;
  /** The pale fill of a bar. */
  fill: string;
  /** Quiet text that lies on the fill, and runs on over the sheet. */
  quiet: string;
  /** A quiet line around the fill. */
  outline: string;
  /** A bar that is all ink, and the text on it. */
  solid: string;
  onSolid: string;
}

const cache = new Map<string, InkColours>();

export function inkColours(ink: string, palette: Palette): InkColours {
  const key = `${ink}${palette.dark}`;
  let colours = cache.get(key);
  if (!colours) cache.set(key, (colours = makeInkColours(ink, palette)));
  return colours;
}

function makeInkColours(ink: string, palette: Palette): InkColours {
  const solid = palette.dark
    ? withContrast(mix(ink, palette.paper, 0.15), '#FFFDF8', '#000000', 4.5)
    : withContrast(ink, '#FFFDF8', '#000000', 4.5);
  const edge = withContrast(ink, palette.sheet, palette.dark ? '#ffffff' : '#000000', 3.2);
  const fill = mix(
    palette.sheet,
    palette.dark ? mix(ink, '#ffffff', 0.2) : ink,
    palette.dark ? 0.3 : 0.18,
  );
  const quiet = withContrast(palette.dim, fill, palette.ink, 4.6);
  return { edge, fill, quiet, outline: mix(fill, edge, 0.35), solid, onSolid: '#FFFDF8' };
}

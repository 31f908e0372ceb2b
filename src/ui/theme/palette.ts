import { mix, withContrast } from '@/core/colour/colour';
import type { Accent } from '@/core/model/look';

/** The house's colours: warm paper, dark ink, one accent that can be chosen, one amber. */
export interface Palette {
  dark: boolean;
  paper: string;
  sheet: string;
  ink: string;
  dim: string;
  hairline: string;
  outOfHours: string;
  accent: string;
  onAccent: string;
  accentWash: string;
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
  accent: '#1F5A4C',
  onAccent: '#FFFDF8',
  accentWash: '#E3EDE6',
  amber: '#9A5208',
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
  accent: '#8CC7B1',
  onAccent: '#10201A',
  accentWash: '#24382F',
  amber: '#E9A24A',
  amberWash: '#33291A',
  brick: '#E59A8B',
};

/** What the accents are made of; spruce is the palettes' own. */
const ACCENT_INKS: Record<Exclude<Accent, 'spruce'>, string> = {
  harbour: '#1D5480',
  heather: '#704086',
  moss: '#55641C',
  slate: '#45525E',
};

/** Text reaches 4.5 to 1; the rest is for what it is mixed into. */
const ACCENT_CONTRAST = 5.2;

function withAccent(palette: Palette, accent: Accent): Palette {
  if (accent === 'spruce') return palette;
  const ink = ACCENT_INKS[accent];
  const colour = palette.dark
    ? withContrast(mix(ink, '#FFFFFF', 0.5), palette.sheet, '#FFFFFF', ACCENT_CONTRAST)
    : withContrast(ink, palette.paper, '#000000', ACCENT_CONTRAST);
  return {
    ...palette,
    accent: colour,
    onAccent: palette.dark
      ? withContrast('#14201C', colour, '#000000', ACCENT_CONTRAST)
      : LIGHT.sheet,
    accentWash: mix(palette.sheet, colour, palette.dark ? 0.2 : 0.12),
  };
}

const palettes = new Map<string, Palette>();

/** The colours for light or dark, in the accent that the person chose. */
export function paletteOf(isDark: boolean, accent: Accent): Palette {
  const key = `${isDark}${accent}`;
  let made = palettes.get(key);
  if (!made) palettes.set(key, (made = withAccent(isDark ? DARK : LIGHT, accent)));
  return made;
}

/** How an ink is drawn on the sheet of a palette. */
export interface InkColours {
  /** Text on the fill, or on the sheet. */
  text: string;
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
  return {
    text: palette.ink,
    edge,
    fill,
    quiet,
    outline: mix(fill, edge, 0.35),
    solid,
    onSolid: '#FFFDF8',
  };
}

/** The colours of what is over, standing back: quieter, and still to be read. */
export function pastColours(ink: string, palette: Palette): InkColours {
  const key = `${ink}${palette.dark}past`;
  let colours = cache.get(key);
  if (!colours) cache.set(key, (colours = dimmed(inkColours(ink, palette), palette)));
  return colours;
}

function dimmed(colours: InkColours, palette: Palette): InkColours {
  const fill = mix(palette.sheet, colours.fill, 0.4);
  const edge = mix(palette.sheet, colours.edge, 0.5);
  const quiet = withContrast(palette.dim, fill, palette.ink, 4.6);
  const solid = mix(palette.sheet, colours.solid, 0.3);
  return {
    text: quiet,
    edge,
    fill,
    quiet,
    outline: mix(fill, edge, 0.35),
    solid,
    onSolid: withContrast(palette.dim, solid, palette.ink, 4.6),
  };
}

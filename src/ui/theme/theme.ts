import type { MD3Theme } from 'react-native-paper';
import { configureFonts, DefaultTheme, useTheme } from 'react-native-paper';
import type { Accent } from '@/core/model/look';
import type { Palette } from './palette';
import { paletteOf } from './palette';

export const SANS = '"IBM Plex Sans", system-ui, sans-serif';
export const SLAB = '"Zilla Slab", Georgia, serif';

export interface HouseTheme extends MD3Theme {
  palette: Palette;
}

/** Px of text of no kind of its own. */
const PLAIN = 14;

/** Sizes of the kinds of text, larger or smaller by a factor. */
function fontsOf(text: number) {
  const usual = configureFonts({ config: { fontFamily: SANS, letterSpacing: 0 } });
  const sizes = Object.entries(usual).map(([kind, font]) => [
    kind,
    'fontSize' in font
      ? { ...font, fontSize: font.fontSize * text, lineHeight: font.lineHeight * text }
      : // Text of no kind of its own has no size either, and would stay as small as it is.
        { ...font, fontSize: PLAIN * text },
  ]);
  return Object.fromEntries(sizes) as typeof usual;
}

function makeTheme(isDark: boolean, chosen: Accent, text: number): HouseTheme {
  const palette = paletteOf(isDark, chosen);
  // The only one that comes without all others; each of its colours that is seen has its own here.
  const base = DefaultTheme as MD3Theme;
  const { paper, sheet, ink, dim, hairline, accent, onAccent, accentWash, amber, brick } = palette;
  return {
    ...base,
    dark: isDark,
    palette,
    roundness: 2,
    fonts: fontsOf(text),
    colors: {
      ...base.colors,
      primary: accent,
      onPrimary: onAccent,
      primaryContainer: accentWash,
      onPrimaryContainer: ink,
      secondary: dim,
      secondaryContainer: accentWash,
      onSecondaryContainer: ink,
      tertiary: amber,
      background: paper,
      onBackground: ink,
      onSecondary: paper,
      onTertiary: paper,
      tertiaryContainer: palette.amberWash,
      onTertiaryContainer: ink,
      onError: paper,
      errorContainer: sheet,
      onErrorContainer: brick,
      surface: sheet,
      onSurface: ink,
      surfaceDisabled: `${ink}1F`,
      onSurfaceDisabled: `${ink}61`,
      surfaceVariant: paper,
      onSurfaceVariant: dim,
      outline: dim,
      outlineVariant: hairline,
      error: brick,
      inverseSurface: palette.dark ? '#F1EADC' : '#20302C',
      inverseOnSurface: palette.dark ? '#20302C' : '#FFFDF8',
      // What stands on the inverse takes the accent of the other light.
      inversePrimary: paletteOf(!isDark, chosen).accent,
      elevation: {
        level0: 'transparent',
        level1: sheet,
        level2: sheet,
        level3: sheet,
        level4: paper,
        level5: paper,
      },
    },
  };
}

const themes = new Map<string, HouseTheme>();

/** The theme for light or dark, an accent, and letters larger or smaller by a factor. */
export function themeOf(isDark: boolean, accent: Accent, text: number): HouseTheme {
  const key = `${isDark}${accent}${text}`;
  let made = themes.get(key);
  if (!made) themes.set(key, (made = makeTheme(isDark, accent, text)));
  return made;
}

/** Size of the page's letters in px, at the usual text size. */
export const ROOT_SIZE = 16;

/** A size of letters (px at the usual text size) that follows the size that the person chose. */
export const textPx = (px: number) => `${px / ROOT_SIZE}rem` as unknown as number;

export const usePalette = () => useTheme<HouseTheme>().palette;

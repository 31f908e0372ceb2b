import type { MD3Theme } from 'react-native-paper';
import { configureFonts, MD3DarkTheme, MD3LightTheme, useTheme } from 'react-native-paper';
import type { Palette } from './palette';
import { DARK, LIGHT } from './palette';

export const SANS = '"IBM Plex Sans", system-ui, sans-serif';
export const SLAB = '"Zilla Slab", Georgia, serif';

export interface HouseTheme extends MD3Theme {
  palette: Palette;
}

function houseTheme(palette: Palette): HouseTheme {
  const base = palette.dark ? MD3DarkTheme : MD3LightTheme;
  const { paper, sheet, ink, dim, hairline, green, onGreen, greenWash, amber, brick } = palette;
  return {
    ...base,
    palette,
    roundness: 2,
    fonts: configureFonts({ config: { fontFamily: SANS, letterSpacing: 0 } }),
    colors: {
      ...base.colors,
      primary: green,
      onPrimary: onGreen,
      primaryContainer: greenWash,
      onPrimaryContainer: ink,
      secondary: dim,
      secondaryContainer: greenWash,
      onSecondaryContainer: ink,
      tertiary: amber,
      background: paper,
      onBackground: ink,
      surface: sheet,
      onSurface: ink,
      surfaceVariant: paper,
      onSurfaceVariant: dim,
      outline: dim,
      outlineVariant: hairline,
      error: brick,
      inverseSurface: palette.dark ? '#F1EADC' : '#20302C',
      inverseOnSurface: palette.dark ? '#20302C' : '#FFFDF8',
      inversePrimary: palette.dark ? '#1F5A4C' : '#8CC7B1',
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

export const THEMES = { light: houseTheme(LIGHT), dark: houseTheme(DARK) };

export const usePalette = () => useTheme<HouseTheme>().palette;

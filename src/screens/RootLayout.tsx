import { Slot } from 'expo-router';
import { useLayoutEffect, useMemo } from 'react';
import { PaperProvider } from 'react-native-paper';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { dayOfWall } from '@/core/time/civil';
import { useWallNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { Icon } from '@/ui/icons/Icon';
import { pageStyle } from '@/ui/theme/pageStyle';
import { paletteOf } from '@/ui/theme/palette';
import { themeOf } from '@/ui/theme/theme';
import { Today } from '@/ui/today';
import { useIsStill, useSystemIsDark } from '@/ui/useMedia';
import { WeekNumbers } from '@/ui/weekNumbers';
import { Shell } from './shell/Shell';

const PAPER_SETTINGS = {
  rippleEffectEnabled: false,
  icon: ({ name, color, size }: { name: unknown; color?: string; size: number }) => (
    <Icon name={String(name)} color={color} size={size} />
  ),
};

function ThemedApp() {
  const { settings, clock, scale } = usePreferences();
  const today = dayOfWall(useWallNow(clock));
  const { text, line } = scale;
  const systemIsDark = useSystemIsDark();
  const isDark = settings.theme ? settings.theme === 'dark' : systemIsDark;
  const { accent } = settings;
  useLayoutEffect(() => {
    const { style } = document.documentElement;
    const palette = paletteOf(isDark, accent);
    for (const [name, value] of pageStyle(palette, text, line)) style.setProperty(name, value);
    // Boxes and scroll bars that the browser draws go with it.
    style.colorScheme = isDark ? 'dark' : 'light';
    // The browser's own frame takes the colour that was chosen, not that of the system.
    for (const meta of document.querySelectorAll('meta[name="theme-color"]'))
      meta.setAttribute('content', palette.paper);
  }, [isDark, accent, text, line]);
  const isStill = useIsStill();
  const theme = useMemo(() => {
    const usual = themeOf(isDark, accent, text);
    // What the page's styles can't stop moves by script.
    return isStill ? { ...usual, animation: { ...usual.animation, scale: 0 } } : usual;
  }, [isDark, accent, text, isStill]);
  return (
    <PaperProvider theme={theme} settings={PAPER_SETTINGS}>
      <Today value={today}>
        <WeekNumbers value={settings.hasWeekNumbers}>
          <Shell>
            <Slot />
          </Shell>
        </WeekNumbers>
      </Today>
    </PaperProvider>
  );
}

export function RootLayout() {
  return (
    <SafeAreaProvider>
      <ThemedApp />
    </SafeAreaProvider>
  );
}

import { Slot } from 'expo-router';
import { useColorScheme } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { enGB, registerTranslation } from 'react-native-paper-dates';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { EngineProvider } from '@/data/engineContext';
import { MessageProvider } from '@/data/messages';
import { useSettings } from '@/data/queries';
import { Icon } from '@/ui/icons/Icon';
import { THEMES } from '@/ui/theme/theme';
import { Shell } from './shell/Shell';

registerTranslation('en-GB', enGB);
registerTranslation('en', enGB);

const PAPER_SETTINGS = {
  rippleEffectEnabled: false,
  icon: ({ name, color, size }: { name: unknown; color?: string; size: number }) => (
    <Icon name={String(name)} color={color} size={size} />
  ),
};

function ThemedApp() {
  const chosen = useSettings().theme;
  const system = useColorScheme() === 'dark' ? 'dark' : 'light';
  return (
    <PaperProvider theme={THEMES[chosen ?? system]} settings={PAPER_SETTINGS}>
      <Shell>
        <Slot />
      </Shell>
    </PaperProvider>
  );
}

export function RootLayout() {
  return (
    <SafeAreaProvider>
      <EngineProvider>
        <MessageProvider>
          <ThemedApp />
        </MessageProvider>
      </EngineProvider>
    </SafeAreaProvider>
  );
}

export { SettingsScreen as default } from '@/screens/settings/SettingsScreen';
export { ScreenTrouble as ErrorBoundary } from '@/screens/ScreenTrouble';

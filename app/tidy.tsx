export { TidyScreen as default } from '@/screens/tidy/TidyScreen';
export { ScreenTrouble as ErrorBoundary } from '@/screens/ScreenTrouble';

export { SmallScreen as default } from '@/screens/small/SmallScreen';
export { ScreenTrouble as ErrorBoundary } from '@/screens/ScreenTrouble';

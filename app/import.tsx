export { ImportScreen as default } from '@/screens/importing/ImportScreen';
export { ScreenTrouble as ErrorBoundary } from '@/screens/ScreenTrouble';

export { RemovedScreen as default } from '@/screens/removed/RemovedScreen';
export { ScreenTrouble as ErrorBoundary } from '@/screens/ScreenTrouble';

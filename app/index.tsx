export { PlanScreen as default } from '@/screens/plan/PlanScreen';
export { ScreenTrouble as ErrorBoundary } from '@/screens/ScreenTrouble';

export { PlanScreen as default } from '@/screens/plan/PlanScreen';

import { ScreenTrouble } from '@/screens/ScreenTrouble';

export { RootLayout as default } from '@/screens/RootLayout';

/** Around each screen, its fetching too. */
export const unstable_settings = { screenErrorBoundary: ScreenTrouble };

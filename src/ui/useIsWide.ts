import { useWindowDimensions } from 'react-native';

/** From this width on, the bottom bar becomes a rail and details have a margin of their own. */
const WIDE_FROM = 900;

export function useIsWide(): boolean {
  return useWindowDimensions().width >= WIDE_FROM;
}

import type { ColorValue } from 'react-native';
import { ICON_PATHS } from './paths';

interface Props {
  name: string;
  color?: ColorValue;
  size: number;
}

/** An icon for the eye alone: what it stands beside carries the name. */
export function Icon({ name, color, size }: Props) {
  const outline = ICON_PATHS[name];
  if (!outline) throw new RangeError(`There is no icon “${name}”: add it to scripts/icons.ts.`);
  return (
    <svg width={size} height={size} viewBox="0 0 24 24" aria-hidden>
      <path d={outline} fill={color === undefined ? 'currentColor' : String(color)} />
    </svg>
  );
}

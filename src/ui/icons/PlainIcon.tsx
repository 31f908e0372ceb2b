import { ICON_PATHS } from './paths';

interface Props {
  name: string;
  size: number;
  className?: string;
}

/**
 * An icon for the eye alone, in the colour of the words that it stands with. Plain elements, for
 * what a view draws many of; elsewhere the icon is `Icon`.
 */
export function PlainIcon({ name, size, className }: Props) {
  const outline = ICON_PATHS[name];
  if (!outline) throw new RangeError(`There is no icon “${name}”: add it to scripts/icons.ts.`);
  return (
    <svg className={className} width={size} height={size} viewBox="0 0 24 24" aria-hidden>
      <path d={outline} fill="currentColor" />
    </svg>
  );
}

/** Colours are six-digit hex texts, `#RRGGBB`. */

/** Red, green and blue, 0 to 255 each. */
export function channels(hex: string): [number, number, number] {
  const value = parseInt(hex.slice(1), 16);
  return [value >> 16, (value >> 8) & 255, value & 255];
}

/** The colour a share (0 to 1) of the way from one to another, mixed in sRGB. */
export function mix(from: string, to: string, share: number): string {
  const a = channels(from);
  const b = channels(to);
  const mixed = a.map((value, i) => Math.round(value + (b[i]! - value) * share));
  return `#${mixed.map((value) => value.toString(16).padStart(2, '0')).join('')}`;
}

/** sRGB channel (0 to 255) to linear light (0 to 1), IEC 61966-2-1. */
export function linear(value: number): number {
  const s = value / 255;
  return s <= 0.04045 ? s / 12.92 : ((s + 0.055) / 1.055) ** 2.4;
}

/** Relative luminance (WCAG 2.2). */
function luminance(hex: string): number {
  const [r, g, b] = channels(hex).map(linear) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** Contrast ratio of two colours (WCAG 2.2), 1 to 21. */
export function contrast(a: string, b: string): number {
  const [low, high] = [luminance(a), luminance(b)].sort((x, y) => x - y) as [number, number];
  return (high + 0.05) / (low + 0.05);
}

/** `colour`, moved towards `towards` in small steps until it stands out from `against` by `ratio`. */
export function withContrast(
  colour: string,
  against: string,
  towards: string,
  ratio: number,
): string {
  for (let share = 0; share < 1; share += 0.05) {
    const candidate = mix(colour, towards, share);
    if (contrast(candidate, against) >= ratio) return candidate;
  }
  return towards;
}

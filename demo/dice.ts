/** A number from 0 to below 1 that is always the same for the same day and reason. */
export function dice(day: number, reason: number): number {
  const x = Math.sin(day * 12.9898 + reason * 78.233) * 43758.5453;
  return x - Math.floor(x);
}

import { HOUR, MINUTE } from './civil';

/** A duration (RFC 5545 §3.3.6): days, which follow the clock, and ms, which pass exactly. */
export interface Duration {
  days: number;
  ms: number;
}

const DURATION =
  /^([+-])?P(?!$)(?:(\d+)W)?(?:(\d+)D)?(?:T(?!$)(?:(\d+)H)?(?:(\d+)M)?(?:(\d+)S)?)?$/;

/** Reads a duration such as `-PT15M` or `P1DT12H`; null for a text that is none. */
export function parseDuration(text: string): Duration | null {
  const m = DURATION.exec(text.trim());
  if (!m) return null;
  const sign = m[1] === '-' ? -1 : 1;
  const n = (i: number) => Number(m[i] ?? 0) * sign;
  return { days: n(2) * 7 + n(3), ms: n(4) * HOUR + n(5) * MINUTE + n(6) * 1000 };
}

const MINUTES_A_DAY = 24 * 60;

/** Minutes as a duration: whole days as days, which follow the clock. */
export function formatMinutes(minutes: number): string {
  const all = Math.abs(minutes);
  const days = Math.floor(all / MINUTES_A_DAY);
  const rest = all % MINUTES_A_DAY;
  const time = rest || !days ? `T${rest}M` : '';
  return `${minutes < 0 ? '-' : ''}P${days ? `${days}D` : ''}${time}`;
}

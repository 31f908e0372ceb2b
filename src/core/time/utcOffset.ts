import { HOUR, MINUTE } from './civil';

const OFFSET = /^([+-])(\d{2}):?(\d{2})(?::?(\d{2}))?$/;

/**
 * An offset from UTC in ms, as files write it: "+0530", "-05:00", "+05:30:15" (RFC 5545 §3.3.14), or "Z"
 * for none; NaN for what is no offset.
 */
export function parseUtcOffset(text: string): number {
  const wanted = text.trim();
  if (/^z$/i.test(wanted)) return 0;
  const [, sign, hours, minutes, seconds = '0'] = OFFSET.exec(wanted) ?? [];
  if (sign === undefined) return NaN;
  const ms = Number(hours) * HOUR + Number(minutes) * MINUTE + Number(seconds) * 1000;
  return sign === '-' ? -ms : ms;
}

/**
 * Minute of the day of a typed time: "9", "930", "9:30", "9.30", "2pm", "14h"; null when it is none.
 * A bare small hour stays in the morning: here the person sees what it became and can go on typing.
 */
export function parseClock(text: string): number | null {
  const m = /^\s*(\d{1,2})(?:[:.h]?(\d{2})?)\s*h?\s*(am|pm|a|p)?\.?\s*$/i.exec(text);
  if (!m) return null;
  let hour = Number(m[1]);
  const minute = Number(m[2] ?? 0);
  const half = m[3]?.[0]?.toLowerCase();
  if (half && (hour < 1 || hour > 12)) return null;
  if (half === 'p' && hour < 12) hour += 12;
  if (half === 'a' && hour === 12) hour = 0;
  return hour < 24 && minute < 60 ? hour * 60 + minute : null;
}

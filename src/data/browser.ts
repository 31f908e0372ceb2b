import type { Weekday } from '@/core/time/civil';
import type { HourCycle } from '@/core/time/words';

/** The browser's own zone. */
export function browserZone(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';
}

/** The browser's English, or British English: the app's words are English. */
export function browserLocale(): string {
  return navigator.languages.find((tag) => tag.startsWith('en')) ?? 'en-GB';
}

export function browserHourCycle(): HourCycle {
  const { hour12 } = new Intl.DateTimeFormat(navigator.language, {
    hour: 'numeric',
  }).resolvedOptions();
  return hour12 ? '12' : '24';
}

/** Week data of a locale: a method in newer browsers, a field in older ones. */
interface WeekData {
  getWeekInfo?: () => { firstDay: number };
  weekInfo?: { firstDay: number };
}

export function browserFirstWeekday(): Weekday {
  const locale = new Intl.Locale(navigator.language) as Intl.Locale & WeekData;
  const info = locale.getWeekInfo?.() ?? locale.weekInfo;
  return (((info?.firstDay ?? 1) + 6) % 7) as Weekday;
}

/** Offers text as a file to keep. */
export function download(name: string, text: string, mediaType: string): void {
  downloadBlob(name, new Blob([text], { type: mediaType }));
}

/** Offers bytes as a file to keep. Without a type of their own, nothing opens them in the app's origin. */
export function downloadBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The browser has taken the address once the click is through.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

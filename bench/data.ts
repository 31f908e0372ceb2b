import type { CalendarEvent } from '../src/core/model/event';
import { newEvent } from '../src/core/model/event';
import { formatLocal, MINUTE, parseLocal } from '../src/core/time/civil';

/** Mulberry32: the same numbers in every run. */
function numbers(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

const ZONES = ['Europe/London', 'Europe/Lisbon', 'America/Halifax', 'Asia/Tokyo'];
const RULES = [
  'FREQ=WEEKLY;BYDAY=MO,WE,FR',
  'FREQ=WEEKLY;INTERVAL=2;BYDAY=TU',
  'FREQ=MONTHLY;BYDAY=2TH',
  'FREQ=MONTHLY;BYMONTHDAY=-1',
  'FREQ=DAILY;INTERVAL=3',
  'FREQ=WEEKLY;COUNT=40',
  'FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU',
  'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1',
];

/** A busy store: single events over three years around `now`, and series begun over the last ten. */
export function busyStore(events: number, series: number, now: number): CalendarEvent[] {
  const random = numbers(20_261_124);
  const pick = <T>(from: readonly T[]) => from[Math.floor(random() * from.length)]!;
  const anchor = Math.floor(now / 86_400_000) * 86_400_000;
  /** Nine series of ten ended within a year; the tenth goes on. */
  const ruleFrom = (start: number) => {
    const rule = pick(RULES);
    if (random() < 0.1 || rule.includes('COUNT')) return rule;
    const last = start + random() * 365 * 86_400_000;
    return `${rule};UNTIL=${formatLocal(last).replaceAll(/[-:]/g, '')}Z`;
  };
  return Array.from({ length: events }, (_, i) => {
    const isSeries = i < series;
    const days = isSeries ? -Math.floor(random() * 3650) : Math.floor((random() - 0.5) * 1096);
    const start = anchor + days * 86_400_000 + (420 + Math.floor(random() * 40) * 15) * MINUTE;
    const zone = pick(ZONES);
    const time = (wall: number) => ({ kind: 'zoned', local: formatLocal(wall), zone }) as const;
    return newEvent(
      {
        id: `busy-${i}`,
        calendarId: 'first',
        title: `Job ${i}`,
        start: time(start),
        end: time(start + (1 + Math.floor(random() * 8)) * 15 * MINUTE),
        ...(isSeries ? { rule: ruleFrom(start) } : {}),
      },
      now,
    );
  });
}

export const WEEK_FROM = parseLocal('2026-11-23');

import { newCalendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import { newEvent } from '@/core/model/event';
import { INKS } from '@/core/model/inks';
import type { TypedRecord } from '@/core/model/records';
import type { Announcement } from '../announcement';
import type { Command } from '../commands/command';
import type { Outside } from '../engine';
import { Engine } from '../engine';
import type { Store } from '../storage/store';
import { MemoryStore } from './memoryStore';
import { outside } from './outside';

/** Tuesday 24 November 2026, 10:25 in London; epoch ms. */
export const NOW = Date.parse('2026-11-24T10:25:00Z');

/** A time in London. */
export const zoned = (local: string) => ({ kind: 'zoned', local, zone: 'Europe/London' }) as const;

/** An event of an hour, unless told otherwise. */
export function event(id: string, fields: Partial<CalendarEvent> = {}): TypedRecord {
  const times = { start: zoned('2026-11-25T09:00:00'), end: zoned('2026-11-25T10:00:00') };
  const record = newEvent({ id, calendarId: 'work', title: id, ...times, ...fields }, 1);
  return { type: 'event', record };
}

export function calendar(id: string, more: object = {}): TypedRecord {
  const record = newCalendar({ id, name: id, ink: INKS.Kelp, mark: 'square', order: 0, ...more });
  return { type: 'calendar', record };
}

/** A file as a person chooses one. */
export const fileOf = (text: string, name: string) => Object.assign(new Blob([text]), { name });

interface Opening {
  store?: Store;
  around?: Outside;
  name?: string;
  wasUsed?: boolean;
  /** Hears what the engine announces. */
  heard?: (changed: Announcement) => void;
}

/** An engine that has loaded a seed, or what its store holds; alone with that store. */
export async function opened(
  seed: readonly TypedRecord[],
  { store = new MemoryStore(), around = outside(), name = 'here', wasUsed, heard }: Opening = {},
): Promise<Engine> {
  const engine = new Engine(
    store,
    { name, alone: (work) => work(), announce: () => undefined },
    around,
  );
  await new Promise<void>((resolve) => {
    void engine.open(
      () => [...seed],
      ({ ready }, changed) => {
        if (changed) heard?.(changed);
        if (ready) resolve();
      },
      wasUsed,
    );
  });
  return engine;
}

/** How a person in London is told of times. */
const SAYING = { wording: { locale: 'en-GB', hourCycle: '24' }, clock: 'Europe/London' } as const;

/** Does a command; its label, or null when there was nothing to do. `now` is epoch ms. */
export async function done(engine: Engine, command: Command, now = NOW): Promise<string | null> {
  const did = await engine.commands.do(command, { now, saying: SAYING });
  return did?.label ?? null;
}

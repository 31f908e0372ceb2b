import { revised } from '../model/event';
import type { CalendarEvent } from '../model/event';
import type { Calendar } from '../model/calendar';
import type { EpochMs } from '../time/units';

/** An event of the calendar that goes, beside the one of the other calendar that says the same. */
export interface Twin {
  going: CalendarEvent;
  staying: CalendarEvent;
}

export interface MergePlan {
  /** Events that move; those with a twin are among them. */
  moving: CalendarEvent[];
  twins: Twin[];
}

const sameWhen = (e: CalendarEvent) => JSON.stringify([e.start, e.end, e.rule ?? '']);
const sameWhat = (e: CalendarEvent) =>
  e.title.trim().toLocaleLowerCase('en').replaceAll(/\s+/g, ' ');

/** What merging would do: `going` are the events of the one calendar, `staying` those of the other. */
export function planMerge(
  going: readonly CalendarEvent[],
  staying: readonly CalendarEvent[],
): MergePlan {
  const keyOf = (e: CalendarEvent) => `${sameWhat(e)}\n${sameWhen(e)}`;
  const free = new Map<string, CalendarEvent[]>();
  for (const event of staying) {
    const same = free.get(keyOf(event));
    if (same) same.push(event);
    else free.set(keyOf(event), [event]);
  }
  const twins = going.flatMap((event): Twin[] => {
    const twin = free.get(keyOf(event))?.pop();
    return twin ? [{ going: event, staying: twin }] : [];
  });
  return { moving: [...going], twins };
}

const longer = (a: string, b: string) => (a.includes(b) ? a : b.includes(a) ? b : `${a}\n\n${b}`);

/** One event out of two that say the same: nothing that either holds is lost. */
function joined({ staying, going }: Twin, now: EpochMs): CalendarEvent {
  const union = <T>(a: readonly T[], b: readonly T[]): T[] => {
    const known = new Set(a.map((item) => JSON.stringify(item)));
    return [...a, ...b.filter((item) => !known.has(JSON.stringify(item)))];
  };
  return revised(
    staying,
    {
      place: staying.place || going.place,
      link: staying.link || going.link,
      notes: longer(staying.notes, going.notes),
      icon: staying.icon ?? going.icon,
      categoryIds: union(staying.categoryIds, going.categoryIds),
      attendees: union(staying.attendees, going.attendees),
      reminders:
        staying.reminders && going.reminders
          ? union(staying.reminders, going.reminders)
          : (staying.reminders ?? going.reminders),
      attachments: union(staying.attachments, going.attachments),
      agenda: union(staying.agenda, going.agenda),
      // A date that either leaves out, or has of its own, stays so.
      skippedDates: union(staying.skippedDates, going.skippedDates),
      changedDates: { ...going.changedDates, ...staying.changedDates },
    },
    now,
  );
}

export interface MergeChoice {
  /** Join twins into one; else both stay. */
  join: boolean;
  /** Give moved events the ink of the calendar that they come from. */
  keepInk: boolean;
}

/** The events as they are after merging: each before and after. A twin that was joined is removed. */
export function mergedEvents(
  plan: MergePlan,
  from: Pick<Calendar, 'ink'>,
  into: Pick<Calendar, 'id'>,
  choice: MergeChoice,
  now: EpochMs,
): { before: CalendarEvent; after: CalendarEvent }[] {
  const twins = new Map(choice.join ? plan.twins.map((twin) => [twin.going.id, twin]) : []);
  return plan.moving.flatMap((before) => {
    const moved = {
      calendarId: into.id,
      ...(choice.keepInk ? { inkOverride: before.inkOverride ?? from.ink } : {}),
    };
    const twin = twins.get(before.id);
    if (!twin) return [{ before, after: revised(before, moved, now) }];
    return [
      { before, after: revised(before, { ...moved, removedAt: now }, now) },
      { before: twin.staying, after: joined(twin, now) },
    ];
  });
}

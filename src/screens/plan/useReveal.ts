import { useEffect, useRef } from 'react';
import type { Calendar } from '@/core/model/calendar';
import type { View } from '@/core/model/view';
import { EMPTY_FILTER } from '@/core/model/filter';
import { dayOfWall } from '@/core/time/civil';
import type { DayNumber } from '@/core/time/units';
import { useDo } from '@/data/commands';
import { putAsked, useAsked } from '@/data/asked';
import { useEngine } from '@/data/engineContext';
import { useMessages } from '@/data/messages';
import type { Panel } from './planState';
import type { SheetContent } from './useSheetContent';
import type { SheetPlace } from './useSheetPlace';

interface Setting {
  place: SheetPlace;
  content: Pick<SheetContent, 'query' | 'shown'>;
  /** As they are shown everywhere. */
  calendars: readonly Calendar[];
  clock: string;
  /** The day that a jotted line without a date means (day number). */
  today: DayNumber;
  setPanel(panel: Panel): void;
}

/** Brings a day into sight; forms that show no single events give way to the week. */
export function bringDay(
  place: SheetPlace,
  { shown }: Setting['content'],
  day: DayNumber,
  fields: Partial<View> = {},
): void {
  if (shown) place.goTo(day, fields);
  else place.showSpan({ kind: 'week' }, day, fields);
}

/**
 * Opens an event or a date of it by its id, wherever it is by now, and brings its day into sight.
 * With `uncovers`, a calendar that is hidden is shown and a filter that holds it back is taken off.
 */
export function useReveal(setting: Setting): (id: string, uncovers: boolean) => void {
  const { engine, status } = useEngine();
  const { say } = useMessages();
  const act = useDo();
  const [asked, takeUp] = useAsked();

  async function reveal(id: string, uncovers: boolean) {
    // What is not loaded yet can't be missed.
    if (!engine || !status.ready) {
      putAsked({ kind: 'event', id, uncovers });
      return;
    }
    const { place, content, calendars, clock, setPanel } = setting;
    const found = await engine.queries.whereabouts(id, clock, content.query);
    if (!found) {
      say('That event is not here any more. What was removed waits in Removed.');
      return;
    }
    const { occurrence, isCalendarShown, passesFilter } = found;
    const { calendarIds } = place.view;
    const calendar = calendars.find((one) => one.id === occurrence.calendarId);
    const isCovered = uncovers && !isCalendarShown;
    const fields: Partial<View> = {
      ...(uncovers && !passesFilter && { filter: EMPTY_FILTER }),
      ...(isCovered && calendarIds && { calendarIds: [...calendarIds, occurrence.calendarId] }),
    };
    const day = dayOfWall(occurrence.start);
    const isThere = content.shown !== null && place.drawn.days.includes(day);
    if (!isThere || Object.keys(fields).length) bringDay(place, content, day, fields);
    setPanel({ kind: 'details', occurrence });
    if (isCovered && !calendarIds && calendar)
      await act({ kind: 'editCalendar', before: calendar, fields: { shown: true } });
    else if (!uncovers && !isCalendarShown && calendar)
      say(`${calendar.name} is hidden here.`, { about: id });
  }

  const latest = useRef({ setting, reveal, takeUp });
  useEffect(() => {
    latest.current = { setting, reveal, takeUp };
  });
  useEffect(() => {
    // What a key does is the screen's own to do.
    if (!asked || asked.kind === 'key' || (asked.kind === 'event' && !status.ready)) return;
    const { today, setPanel, place } = latest.current.setting;
    latest.current.takeUp();
    if (asked.kind === 'view')
      place.showLens({ ...place.view, ...asked.fields }, null, asked.day ?? place.day);
    else if (asked.kind === 'add') setPanel({ kind: 'add', span: null, day: today });
    else void latest.current.reveal(asked.id, asked.uncovers);
  }, [asked, status.ready]);

  return (id, uncovers) => void reveal(id, uncovers);
}

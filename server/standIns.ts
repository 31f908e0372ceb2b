import { createHash } from 'node:crypto';
import type { Request, Response, Router } from 'express';
import express from 'express';
import { demoSeed } from '../demo/scenario';
import { saltmarshDays } from '../demo/days';
import { partnerTimetable } from '../demo/partner';
import { writeCalendarFile } from '../src/core/files/ics/writeFile';
import type { CalendarEvent } from '../src/core/model/event';
import { formatDate } from '../src/core/time/civil';
import { newEvent } from '../src/core/model/event';
import { onlyApp } from './onlyOwn';

/** How a stand-in feed behaves: as at first, with news, or as if its server were down. */
type State = 'first' | 'changed' | 'away';

const STATES: readonly string[] = ['first', 'changed', 'away'];

interface StandIn {
  name: string;
  events(today: number): CalendarEvent[];
  /** The same some days later, where that is not said by `withNews`. */
  changed?(today: number): CalendarEvent[];
}

const closures = (today: number) =>
  demoSeed({ today, now: 0 }).flatMap((entry) =>
    entry.type === 'event' && entry.record.calendarId === 'closures' ? [entry.record] : [],
  );

const STAND_INS: Record<string, StandIn> = {
  'quay-closures': { name: 'Quay closures', events: closures },
  'ferry-timetable': { name: 'Ferry timetable', events: partnerTimetable },
  'saltmarsh-days': {
    name: 'Saltmarsh tides and weather',
    events: saltmarshDays,
    changed: (today) => saltmarshDays(today, true),
  },
};

function standInOf({ params }: Request): StandIn | undefined {
  const name = String(params['name']);
  return Object.hasOwn(STAND_INS, name) ? STAND_INS[name] : undefined;
}

/** The same feed some days later: the last event is gone, one has another title, one is new. */
function withNews(events: CalendarEvent[], today: number): CalendarEvent[] {
  const [first, ...others] = events;
  if (!first) return events;
  const added = newEvent(
    {
      id: 'news',
      calendarId: first.calendarId,
      title: 'Crane inspection, gate B shut',
      start: { kind: 'date', date: formatDate(today + 8) },
      end: { kind: 'date', date: formatDate(today + 9) },
    },
    0,
  );
  const renamed = { ...first, title: `${first.title} (new notice)`, revision: first.revision + 1 };
  return [renamed, ...others.slice(0, -1), added];
}

/**
 * Feeds of made-up offices, over HTTP like real ones. `?copy=` asks for a copy of one's own, whose
 * state (`POST …/state?is=changed`) disturbs no other. `today` is a day number.
 */
export function standIns(today: () => number): Router {
  const states = new Map<string, State>();
  const keyOf = ({ params, query }: Request) =>
    `${String(params['name'])} ${typeof query['copy'] === 'string' ? query['copy'] : ''}`;
  const router = express.Router();

  router.get('/:name.ics', (request: Request, response: Response) => {
    const standIn = standInOf(request);
    const state = states.get(keyOf(request)) ?? 'first';
    if (!standIn) {
      response.status(404).type('text').send('There is no such feed.');
      return;
    }
    if (state === 'away') {
      response.status(503).type('text').send('The office is closed; so is its server.');
      return;
    }
    const first = standIn.events(today());
    const later = standIn.changed ?? ((day) => withNews(first, day));
    const events = state === 'changed' ? later(today()) : first;
    const text = writeCalendarFile({
      name: standIn.name,
      events,
      tasks: [],
      passthrough: [],
      now: Date.now(),
    });
    const etag = `"${createHash('sha256').update(text).digest('base64url').slice(0, 16)}"`;
    response.set({ ETag: etag, 'Cache-Control': 'no-cache' });
    if (request.get('If-None-Match') === etag) response.status(304).end();
    else response.type('text/calendar').send(text);
  });

  router.post('/:name/state', onlyApp, (request: Request, response: Response) => {
    const state = String(request.query['is']);
    if (!standInOf(request) || !STATES.includes(state)) {
      response.status(400).type('text').send('There is no such feed or state.');
      return;
    }
    states.set(keyOf(request), state as State);
    response.status(204).end();
  });
  return router;
}

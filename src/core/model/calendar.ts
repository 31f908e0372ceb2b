import {
  availability,
  eventTime,
  hexColour,
  id,
  instant,
  passthrough,
  reminder,
  zoneName,
} from './common';
import { MARKS } from './inks';
import { z } from './zod';

/** One thing that a feed brought, changed or took away. */
const feedNews = z.object({
  what: z.enum(['new', 'changed', 'gone']),
  title: z.string(),
  start: eventTime,
});
export type FeedNews = z.infer<typeof feedNews>;

/** Where a followed calendar comes from, and how it stood when it was last looked at. */
const feed = z.object({
  /** http(s), or a path of this app's own server for a stand-in; empty for a file. */
  address: z.string(),
  /** Minutes between looks; null for by hand only. */
  everyMinutes: z.number().int().min(5).nullable(),
  /** The server's name for what it sent last (RFC 9110 §8.8.3). */
  etag: z.string().optional(),
  checked: instant.optional(),
  /** When it last brought something. */
  updated: instant.optional(),
  /** Why the last look failed, in words. */
  problem: z.string().optional(),
  /** What was different the last time that it changed. */
  news: z.array(feedNews).default([]),
});
export type Feed = z.infer<typeof feed>;

/** Which new events have a room link: none, those that others are asked to, or all. */
const ROOMS = ['none', 'asked', 'all'] as const;
export const rooms = z.enum(ROOMS);
export type Rooms = z.infer<typeof rooms>;

/** A named set of events with an ink and a mark; a followed one is read-only. */
export const calendar = z.object({
  id,
  name: z.string().min(1),
  description: z.string(),
  ink: hexColour,
  mark: z.enum(MARKS),
  zone: zoneName.optional(),
  defaultReminders: z.array(reminder),
  defaultWholeDayReminders: z.array(reminder),
  /** Which events its reminders are for: all, or those that take the person's time (busy and tentative). */
  remindsOf: z.enum(['all', 'booked']).default('all'),
  defaultAvailability: availability,
  /** Minutes that a new event lasts; without it, as the settings have it. */
  defaultLength: z.number().int().min(5).max(1440).optional(),
  shown: z.boolean(),
  listed: z.boolean(),
  order: z.number(),
  /** Whether its events are closures: times at which other things had better not be. */
  isClosures: z.boolean().default(false),
  /** Whether its entries are facts of their days rather than events: they stand in the heads of days. */
  isFacts: z.boolean().default(false),
  /** Whether new events on it have a room link; without it, as the settings have it. */
  rooms: rooms.optional(),
  kind: z.enum(['own', 'followed']),
  /** Where a followed calendar comes from. */
  source: z.string().optional(),
  feed: feed.optional(),
  removedAt: instant.optional(),
  passthrough: passthrough.optional(),
});
export type Calendar = z.infer<typeof calendar>;

/** What a calendar holds when nothing else is said. */
export function newCalendar(
  fields: Pick<Calendar, 'id' | 'name' | 'ink' | 'mark' | 'order'> & Partial<Calendar>,
): Calendar {
  return {
    description: '',
    defaultReminders: [],
    defaultWholeDayReminders: [],
    remindsOf: 'all',
    defaultAvailability: 'busy',
    shown: true,
    listed: true,
    isClosures: false,
    isFacts: false,
    kind: 'own',
    ...fields,
  };
}

import type { Rooms } from '@/core/model/calendar';

/** What an event can make of the person's time, in the person's words. */
export const AVAILABILITIES = [
  { value: 'busy', label: 'Busy' },
  { value: 'tentative', label: 'Tentative' },
  { value: 'free', label: 'Free' },
  { value: 'away', label: 'Away' },
] as const;

/** How much an event matters. */
export const IMPORTANCE_CHOICES = [
  { value: 'high', label: 'High' },
  { value: 'usual', label: 'Usual' },
  { value: 'low', label: 'Low' },
] as const;

/** Which new events have a room link. */
export const ROOM_CHOICES: { value: Rooms; label: string }[] = [
  { value: 'none', label: 'None' },
  { value: 'asked', label: 'Those that others are asked to' },
  { value: 'all', label: 'All' },
];

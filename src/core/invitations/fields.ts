/** What an organizer says of an event and of each of its dates alike; the rest of both is said beside it. */
export const SAID = [
  'start',
  'end',
  'title',
  'place',
  'notes',
  'link',
  'room',
  'importance',
] as const;

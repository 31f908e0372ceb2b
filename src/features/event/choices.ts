/** What an event can make of the person's time, in the person's words. */
export const AVAILABILITIES = [
  { value: 'busy', label: 'Busy' },
  { value: 'tentative', label: 'Tentative' },
  { value: 'free', label: 'Free' },
  { value: 'away', label: 'Away' },
] as const;

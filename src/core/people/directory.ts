import { person } from '../model/person';
import { z } from '../model/zod';

/** What a directory tells of somebody. */
export const directoryEntry = person.pick({
  id: true,
  name: true,
  kind: true,
  address: true,
  zone: true,
  workweek: true,
  ink: true,
  mark: true,
  calendarAddress: true,
});
export type DirectoryEntry = z.infer<typeof directoryEntry>;

/** Everybody in a directory. */
export const directory = z.array(directoryEntry);

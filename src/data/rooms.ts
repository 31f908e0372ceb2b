import { z } from '@/core/model/zod';
import { useMessages } from './messages';

const given = z.object({ name: z.string().regex(/^[\w-]+$/) });
const OWN = { 'X-Orderly-Week': 'rooms', 'Content-Type': 'application/json' };
/** How long is waited for the service of meetings, in ms. */
const PATIENCE = 4000;

/** What a room's page says. */
export interface Meeting {
  title: string;
  when: string;
  people: string[];
}

/** The name of a room of the stand-in's; null for an address of somebody else's. */
function nameIn(room: string): string | null {
  const { origin } = window.location;
  return room.startsWith(`${origin}/room/`) ? room.slice(`${origin}/room/`.length) : null;
}

/** A room of its own for an event. @throws where the service of meetings does not answer. */
async function newRoom(): Promise<string> {
  const response = await fetch('/rooms', {
    method: 'POST',
    headers: OWN,
    signal: AbortSignal.timeout(PATIENCE),
  });
  if (!response.ok) throw new Error(`It answered ${response.status}.`);
  return `${window.location.origin}/room/${given.parse(await response.json()).name}`;
}

/** Rooms for events, as the stand-in for a service of online meetings gives them. */
export function useRooms() {
  const { complain } = useMessages();
  return {
    /** The address of a new room; empty, with a word why, where there is none to be had. */
    give: async (): Promise<string> => {
      try {
        return await newRoom();
      } catch {
        complain('The service of online meetings does not answer: there is no room link yet.');
        return '';
      }
    },
    /** Goes into a room, in a tab of its own. */
    join: (room: string, meeting: Meeting): void => {
      const name = nameIn(room);
      // It is told first: its page says then who would be there.
      const told =
        name !== null &&
        fetch(`/rooms/${name}`, { method: 'PUT', headers: OWN, body: JSON.stringify(meeting) });
      window.open(room, '_blank', 'noopener,noreferrer');
      if (told) told.catch(() => complain('The room could not be told who would be there.'));
    },
  };
}

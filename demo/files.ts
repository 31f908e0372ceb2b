import type { CalendarEvent } from '@/core/model/event';

const TERMS = `Lens terms, autumn

1. Crates of six, packed in straw board.
2. Thirty days from the day of the handover at Quay 3.
3. What breaks on the way is ground anew, or paid back.
`;

/** Contents of what is attached in the demo, by the ids of the files: one of them is there twice. */
const TEXTS: Readonly<Record<string, string>> = {
  'demo.terms': TERMS,
  'demo.termsAgain': TERMS,
};

/** A plain text file as an event has it attached. */
export const demoFile = (id: string, name: string): CalendarEvent['attachments'][number] => ({
  id,
  name,
  mediaType: 'text/plain',
  bytes: TEXTS[id]!.length,
});

/** The same contents as they are stored: base64 by id. All of it is ASCII. */
export const demoFiles = (): Record<string, string> =>
  Object.fromEntries(Object.entries(TEXTS).map(([id, text]) => [id, btoa(text)]));

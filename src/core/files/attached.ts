import type { CalendarEvent } from '../model/event';

/** A file that an event only names, or holds in a form that passes through (ATTACH, RFC 5545 §3.8.1.1). */
export interface NamedFile {
  name: string;
  /** An address that can be followed; null where there is none. */
  link: string | null;
}

/** The last part of an address, as a name for what lies there. */
function nameOf(address: string): string {
  const last = address.split(/[?#]/)[0]!.split('/').filter(Boolean).at(-1) ?? address;
  try {
    return decodeURIComponent(last);
  } catch {
    return last; // Not an address as the standard has them: its text will do.
  }
}

/** Files that came with an event's entry and are not kept here: addresses, and what an entry holds inside. */
export function filesNamedBy({ passthrough }: Pick<CalendarEvent, 'passthrough'>): NamedFile[] {
  const attached = passthrough?.properties.filter(([name]) => name === 'attach') ?? [];
  return attached.map(([, parameters, type, value]): NamedFile => {
    const said = parameters['filename'] ?? parameters['x-filename'];
    const address = String(value);
    if (type === 'binary') return { name: String(said ?? 'A file inside the entry'), link: null };
    return {
      name: String(said ?? nameOf(address)),
      link: /^https?:\/\//i.test(address) ? address : null,
    };
  });
}

/** What a calendar file leaves behind, in words: attached files don't go out with it. Empty when there are none. */
export function sayFilesLeft(names: readonly string[]): string {
  if (!names.length) return '';
  const first = names.slice(0, 3).join(', ');
  const more = names.length > 3 ? ` and ${names.length - 3} more` : '';
  return `. Not in it: ${first}${more}. A backup takes attached files along.`;
}

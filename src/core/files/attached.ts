import type { JcalProperty } from '../model/common';
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

/** A file that an entry holds inside. */
export interface InlineFile {
  name: string;
  mediaType: string;
  /** Its content, base64 (RFC 4648 §4). */
  data: string;
}

/** Bytes that a base64 text stands for. */
export function bytesOf(base64: string): number {
  const padding = /=*$/.exec(base64)![0].length;
  return Math.floor((base64.length * 3) / 4) - padding;
}

/** Whether a text is base64 from end to end. */
const isBase64 = (text: string) =>
  /^(?:[A-Za-z0-9+/]{4})*(?:[A-Za-z0-9+/]{2}==|[A-Za-z0-9+/]{3}=)?$/.test(text);

/** A file inside an entry (ATTACH with ENCODING=BASE64, RFC 5545 §3.8.1.1). */
export function inlineProperty({ name, mediaType, data }: InlineFile): JcalProperty {
  const type = mediaType ? { fmttype: mediaType } : {};
  return ['attach', { ...type, encoding: 'BASE64', filename: name }, 'binary', data];
}

/**
 * The files that an event's entry held inside, and the event without them: its content is kept with
 * the attachments, not in its record. What is no base64 stays as it came.
 */
export function takeInlineFiles<E extends Pick<CalendarEvent, 'passthrough'>>(
  event: E,
): { event: E; files: InlineFile[] } {
  const files: InlineFile[] = [];
  const properties = event.passthrough?.properties.filter((property) => {
    const [name, parameters, type, value] = property;
    const data = String(value).replaceAll(/\s/g, '');
    if (name !== 'attach' || type !== 'binary' || !isBase64(data)) return true;
    files.push({
      name: String(parameters['filename'] ?? parameters['x-filename'] ?? 'Attached file'),
      mediaType: String(parameters['fmttype'] ?? ''),
      data,
    });
    return false;
  });
  if (!files.length) return { event, files };
  const { passthrough, ...rest } = event;
  const { components, parameters } = passthrough!;
  const isEmpty = !properties!.length && !components.length && !parameters;
  const left = isEmpty ? {} : { passthrough: { ...passthrough!, properties: properties! } };
  return { event: { ...rest, ...left } as E, files };
}

/** What a calendar file leaves behind, in words. Empty when that is nothing. */
export function sayFilesLeft(names: readonly string[]): string {
  if (!names.length) return '';
  const first = names.slice(0, 3).join(', ');
  const more = names.length > 3 ? ` and ${names.length - 3} more` : '';
  return `. Not in it: ${first}${more}.`;
}

/** How an attachment can be looked at inside the app; `download` for what might run or can't be shown. */
export type Opening = 'image' | 'text' | 'download';

const IMAGES = new Set(['image/png', 'image/jpeg', 'image/gif', 'image/webp', 'image/avif']);
const TEXTS = /^text\/(plain|csv|markdown|calendar)$|^application\/json$/;

/**
 * Pictures of a few sorts and plain text are shown; all else is only handed out. What could carry
 * script (HTML, SVG, XML, PDF) is never opened at an address of the app's origin.
 */
export function openingOf({ mediaType, name }: { mediaType: string; name: string }): Opening {
  if (IMAGES.has(mediaType)) return 'image';
  if (TEXTS.test(mediaType)) return 'text';
  return mediaType === '' && /\.(txt|csv|md|json|ics|log)$/i.test(name) ? 'text' : 'download';
}

/** Bytes as people say them: "840 bytes", "12 KB", "3.4 MB", "10.7 GB". */
export function sayBytes(bytes: number): string {
  if (bytes < 1000) return `${bytes} bytes`;
  if (bytes < 1_000_000) return `${Math.round(bytes / 1000)} KB`;
  if (bytes < 1_000_000_000) return `${(bytes / 1_000_000).toFixed(1)} MB`;
  return `${(bytes / 1_000_000_000).toFixed(1)} GB`;
}

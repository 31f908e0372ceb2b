import { FileError } from '@/core/files/ics/scan';
import type { FeedAnswer } from './feedSync';

/** What a page may ask directly: its own server, which has the stand-ins. */
function urlFor(address: string): string {
  const here = self.location.origin;
  const isHere = address.startsWith('/') || address.startsWith(`${here}/`);
  return isHere ? address : `/feed?address=${encodeURIComponent(address)}`;
}

/**
 * Asks the app's server for a feed; it fetches other hosts for the page, which may not. `browser` is the secret of this one.
 * @throws FileError saying why there is no answer.
 */
export const askFeed =
  (browser: string) =>
  async (address: string, etag?: string): Promise<FeedAnswer> => {
    let response: Response;
    try {
      response = await fetch(urlFor(address), {
        cache: 'no-store',
        headers: {
          'X-Orderly-Week': 'feed',
          'X-Orderly-Browser': browser,
          ...(etag && { 'If-None-Match': etag }),
        },
      });
    } catch {
      throw new FileError('The app’s own server does not answer. Is it running?');
    }
    if (response.status === 304) return { isSame: true };
    if (!response.ok)
      throw new FileError((await response.text()) || `The server answered ${response.status}.`);
    const tag = response.headers.get('ETag');
    return {
      isSame: false,
      bytes: new Uint8Array(await response.arrayBuffer()),
      ...(tag ? { etag: tag } : {}),
    };
  };

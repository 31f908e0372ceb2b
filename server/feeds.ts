import type { Request, Response, Router } from 'express';
import express from 'express';
import type { Fetched } from './fetchFeed';
import { fetchFeed } from './fetchFeed';
import { AddressError } from './publicAddress';
import { onlyApp } from './onlyOwn';

/** How many feeds are fetched beside each other. */
const AT_ONCE = 4;

/** Runs so many at once; the others wait for their turn. */
function inLanes(lanes: number) {
  let free = lanes;
  const waiting: (() => void)[] = [];
  return async <T>(work: () => Promise<T>): Promise<T> => {
    if (free > 0) free--;
    else await new Promise<void>((resolve) => waiting.push(resolve));
    try {
      return await work();
    } finally {
      const next = waiting.shift();
      if (next) next();
      else free++;
    }
  };
}

/** Fetches feeds for the browser, which may only ask this server: `GET ?address=`. */
export function feeds(
  fetchOne: (address: string, etag?: string) => Promise<Fetched> = fetchFeed,
): Router {
  const router = express.Router();
  const atOnce = inLanes(AT_ONCE);
  router.get('/', onlyApp, async (request: Request, response: Response) => {
    const { address } = request.query;
    try {
      const fetched = await atOnce(() => fetchOne(String(address), request.get('If-None-Match')));
      response.set('Cache-Control', 'no-store');
      if (fetched.status === 304) {
        response.status(304).end();
        return;
      }
      if (fetched.etag) response.set('ETag', fetched.etag);
      // As bytes: which letters they are is found out by whoever reads them.
      response.type('application/octet-stream').send(fetched.text);
    } catch (error) {
      if (!(error instanceof AddressError)) throw error;
      response.status(502).type('text').send(error.message);
    }
  });
  return router;
}

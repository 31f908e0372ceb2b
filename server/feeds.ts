import type { Request, Response, Router } from 'express';
import express from 'express';
import type { Fetched } from './fetchFeed';
import { fetchFeed } from './fetchFeed';
import { AddressError } from './publicAddress';

/** Fetches feeds for the browser, which may only ask this server: `GET ?address=`. */
export function feeds(
  fetchOne: (address: string, etag?: string) => Promise<Fetched> = fetchFeed,
): Router {
  const router = express.Router();
  router.get('/', async (request: Request, response: Response) => {
    // Other pages may not use this server to look around.
    const site = request.get('Sec-Fetch-Site');
    if (site !== undefined && site !== 'same-origin') {
      response.status(403).type('text').send('Only the app itself may ask for feeds.');
      return;
    }
    const { address } = request.query;
    try {
      const fetched = await fetchOne(String(address), request.get('If-None-Match'));
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

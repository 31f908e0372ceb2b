import type { Request, Response, Router } from 'express';
import express from 'express';
import type { SharedCopy } from '../src/core/people/shared';
import { sharedCopy } from '../src/core/people/shared';
import { onlyApp } from './onlyOwn';
import { escaped, plainPage } from './plainPage';

interface Published {
  key: string;
  copy: SharedCopy;
}

/** Shares that are held: beyond that the one that was published longest ago goes. */
const MOST_KEPT = 500;
/** Names and keys that nobody guesses: 20 characters and more of 64. */
const SECRET = /^[\w-]{20,60}$/;
const KEY_HEADER = 'X-Share-Key';

const STYLE = `
main { margin-top: 2vh; }
h2 { font-size: 1.05em; margin: 1.4em 0 .2em; border-bottom: 1px solid #d8d0c0; }
ul { list-style: none; margin: 0; padding: 0; }
li { display: flex; gap: 14px; padding: 4px 0; }
time { flex: 0 0 7.5em; color: #55635f; font-variant-numeric: tabular-nums; }
li span { min-width: 0; overflow-wrap: anywhere; }
a { color: #1f5a4c; }
`;

/** The page of a share: its days, and how it is followed. */
function pageOf(copy: SharedCopy, address: string): string {
  const days = copy.days.map(
    ({ name, lines }) =>
      `<h2>${escaped(name)}</h2>\n<ul>${lines
        .map(
          ({ when, title, place }) =>
            `<li><time>${escaped(when)}</time><span>${escaped(title)}${place ? `<br><small>${escaped(place)}</small>` : ''}</span></li>`,
        )
        .join('')}</ul>`,
  );
  const follow = copy.calendar === null ? 'busy.ics' : 'calendar.ics';
  const main = `<h1>${escaped(copy.name)}</h1>
<p><small>Times by the clock of ${escaped(copy.zone)}. Read only.</small></p>
<p><a href="${address}/${follow}">Follow this calendar</a>: give this address to your calendar.</p>
${days.length ? days.join('\n') : '<p>Nothing is planned in the weeks to come.</p>'}`;
  return plainPage({ title: copy.name, main, style: STYLE });
}

/**
 * What people share: published by the app (`PUT /shares/:token`), ended by it (`DELETE`), and read by
 * whoever has the address (`GET /shared/:token`, and its `calendar.ics` and `busy.ics`). It is held in
 * memory; the app publishes it anew. Nothing lists what there is, and what is ended, over or never was
 * is told alike. `now` is epoch ms.
 */
export function shares(now: () => number = Date.now): Router {
  const published = new Map<string, Published>();
  const router = express.Router();
  const tokenOf = ({ params }: Request) => String(params['token']);
  const gone = (response: Response) =>
    response.status(404).type('text').send('There is nothing shared here, or not any more.');

  function copyFor(request: Request): SharedCopy | null {
    const copy = published.get(tokenOf(request))?.copy;
    return copy && (copy.expires === null || copy.expires > now()) ? copy : null;
  }
  /** Whether the request may change what is published there. */
  function mayChange(request: Request): boolean {
    const key = request.get(KEY_HEADER) ?? '';
    const held = published.get(tokenOf(request));
    return SECRET.test(key) && SECRET.test(tokenOf(request)) && (!held || held.key === key);
  }

  router.put(
    '/shares/:token',
    onlyApp,
    express.json({ limit: '8mb' }),
    (request: Request, response: Response) => {
      const read = sharedCopy.safeParse(request.body);
      if (!read.success || !mayChange(request)) {
        response.status(400).type('text').send('This can’t be published here.');
        return;
      }
      const token = tokenOf(request);
      published.delete(token);
      published.set(token, { key: request.get(KEY_HEADER)!, copy: read.data });
      for (const oldest of published.keys()) {
        if (published.size <= MOST_KEPT) break;
        published.delete(oldest);
      }
      response.status(204).end();
    },
  );

  router.delete('/shares/:token', onlyApp, (request: Request, response: Response) => {
    if (mayChange(request)) published.delete(tokenOf(request));
    response.status(204).end();
  });

  router.use('/shared', (_request, response, next) => {
    response.set({ 'Cache-Control': 'no-store', 'X-Robots-Tag': 'noindex' });
    next();
  });
  router.get('/shared/:token', (request: Request, response: Response) => {
    const copy = copyFor(request);
    if (!copy) return void gone(response);
    response.type('html').send(pageOf(copy, `/shared/${tokenOf(request)}`));
  });
  router.get('/shared/:token/calendar.ics', (request: Request, response: Response) => {
    const text = copyFor(request)?.calendar;
    if (!text) return void gone(response);
    response.type('text/calendar').send(text);
  });
  router.get('/shared/:token/busy.ics', (request: Request, response: Response) => {
    const copy = copyFor(request);
    if (!copy) return void gone(response);
    response.type('text/calendar').send(copy.freeBusy);
  });
  return router;
}

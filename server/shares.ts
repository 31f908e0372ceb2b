import type { Request, Response, Router } from 'express';
import express from 'express';
import type { SharedCopy } from '../src/core/people/shared';
import { sharedCopy } from '../src/core/people/shared';
import type { SharedChange } from '../src/core/people/sharedChange';
import { officeEdits } from '../demo/officeEdits';
import { onlyApp } from './onlyOwn';
import { formFor, isOwnForm, readForm, readSent } from './sharedForms';
import { changePage, sharePage, withForms } from './sharedPages';

interface Published {
  key: string;
  copy: SharedCopy;
  /** When it was first published, by the page's clock. */
  begun: number;
  /** What those did who may change it, until the app has taken it in. */
  waiting: SharedChange[];
  /** Whether the colleague whom it is shared with did something already. */
  isEdited: boolean;
}

/** Shares that are held: beyond that the one that was published longest ago goes. */
const MOST_KEPT = 500;
/** Changes of one share that wait to be taken in. */
const MOST_WAITING = 100;
/** Names and keys that nobody guesses: 20 characters and more of 64. */
const SECRET = /^[\w-]{20,60}$/;
const KEY_HEADER = 'X-Share-Key';

/**
 * What people share: published by the app (`PUT /shares/:token`), ended by it (`DELETE`), and read by
 * whoever has the address (`GET /shared/:token`, and its `calendar.ics` and `busy.ics`). Where it may
 * be changed, the page has a form (`/shared/:token/change`), and the app takes what was sent
 * (`GET` and `DELETE /shares/:token/changes`). It is held in memory; the app publishes it anew. Nothing lists what there is, and what is ended, over or never was
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

  const addressOf = (request: Request) => `/shared/${tokenOf(request)}`;
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
      const held = published.get(token);
      const { data: copy } = read;
      published.delete(token);
      published.set(token, {
        ...{ key: request.get(KEY_HEADER)!, copy },
        begun: held?.begun ?? copy.changing?.made ?? 0,
        // What nobody may do any more is not done.
        waiting: copy.changing ? (held?.waiting ?? []) : [],
        isEdited: held?.isEdited ?? false,
      });
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

  router.get('/shares/:token/changes', onlyApp, (request: Request, response: Response) => {
    const held = published.get(tokenOf(request));
    if (!held || !mayChange(request)) return void response.json([]);
    const edits = held.isEdited
      ? []
      : officeEdits(held.copy, held.begun, Number(request.query['now']));
    if (edits.length) Object.assign(held, { isEdited: true, waiting: [...held.waiting, ...edits] });
    response.set('Cache-Control', 'no-store').json(held.waiting);
  });

  router.delete('/shares/:token/changes/:id', onlyApp, (request: Request, response: Response) => {
    const held = published.get(tokenOf(request));
    if (held && mayChange(request))
      held.waiting = held.waiting.filter(({ id }) => id !== request.params['id']);
    response.status(204).end();
  });

  router.use('/shared', (_request, response, next) => {
    response.set({ 'Cache-Control': 'no-store', 'X-Robots-Tag': 'noindex' });
    next();
  });
  router.get('/shared/:token', (request: Request, response: Response) => {
    const copy = copyFor(request);
    if (!copy) return void gone(response);
    const { waiting } = published.get(tokenOf(request))!;
    withForms(response).send(sharePage(copy, addressOf(request), waiting));
  });
  /** The copy that whoever asks may change; told where there is none. */
  function changeable(request: Request, response: Response): SharedCopy | null {
    const copy = copyFor(request);
    if (copy?.changing) return copy;
    gone(response);
    return null;
  }
  router.get('/shared/:token/change', (request: Request, response: Response) => {
    const copy = changeable(request, response);
    if (!copy) return;
    const form = formFor(copy, readSent(request.query));
    if (!form) return void gone(response);
    withForms(response).send(changePage(copy, addressOf(request), form));
  });
  router.post(
    '/shared/:token/change',
    express.urlencoded({ extended: false, limit: '32kb' }),
    (request: Request, response: Response) => {
      const copy = changeable(request, response);
      if (!copy) return;
      if (!isOwnForm(request, response)) return;
      const { waiting } = published.get(tokenOf(request))!;
      if (waiting.length >= MOST_WAITING) {
        response.status(429).type('text').send('Too much waits here already. Try again later.');
        return;
      }
      const read = readForm(copy, readSent(request.body));
      if ('form' in read) {
        withForms(response.status(400)).send(changePage(copy, addressOf(request), read.form));
        return;
      }
      waiting.push(read);
      response.redirect(303, addressOf(request));
    },
  );
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

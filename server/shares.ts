import type { Request, Response, Router } from 'express';
import express from 'express';
import { createHash } from 'node:crypto';
import type { SharedCopy } from '../src/core/people/shared';
import { sharedCopy } from '../src/core/people/shared';
import { officeEdits } from '../demo/officeEdits';
import { tokenFor } from '../src/core/people/shareToken';
import { onlyApp } from './onlyOwn';
import { NoRoomError, ShareStore } from './store/shareStore';
import type { Store } from './store/store';
import { formFor, isOffered, isOwnForm, readForm, readSent } from './sharedForms';
import { changePage, sharePage, withForms } from './sharedPages';

/** Changes of one share that wait to be taken in. */
const MOST_WAITING = 100;
/** Why a change was refused: letters of it that are kept. */
const MOST_WHY = 300;
/** Names and keys that nobody guesses: 20 characters and more of 64. */
const SECRET = /^[\w-]{20,60}$/;
const KEY_HEADER = 'X-Share-Key';
const PUBLISHER_HEADER = 'X-Share-Publisher';

/** What tells one copy from another. */
const versionOf = (body: unknown): string =>
  createHash('sha256').update(JSON.stringify(body)).digest('base64url').slice(0, 16);

/**
 * What people share: published by the app (`PUT /shares/:token`), ended by it (`DELETE`), and read by
 * whoever has the address (`GET /shared/:token`, and its `calendar.ics` and `busy.ics`). Where it may
 * be changed, the page has a form (`/shared/:token/change`), and the app takes what was sent
 * (`GET` and `DELETE /shares/:token/changes`). A token is made of its key, so that nobody else can
 * publish there, also after it was ended. All of it is written for good before it is answered. Nothing
 * lists what there is, and what is ended, over or never was is told alike. `now` is epoch ms.
 */
export function shares(store: Store, now: () => number = Date.now): Router {
  const published = new ShareStore(store, now);
  const router = express.Router();
  const tokenOf = ({ params }: Request) => String(params['token']);
  const addressOf = (request: Request) => `/shared/${tokenOf(request)}`;
  const gone = (response: Response) =>
    void response.status(404).type('text').send('There is nothing shared here, or not any more.');

  async function copyFor(request: Request): Promise<SharedCopy | null> {
    const held = await published.find(tokenOf(request));
    return held && (held.copy.expires === null || held.copy.expires > now()) ? held.copy : null;
  }
  /** Whether the request comes from who publishes there. */
  function isPublisher(request: Request): boolean {
    const key = request.get(KEY_HEADER) ?? '';
    return SECRET.test(key) && tokenFor(key) === tokenOf(request);
  }
  /** By whom room is counted: the browser's own name, where it says one, and the machine. */
  const publisherOf = (request: Request) =>
    createHash('sha256')
      .update(`${request.socket.remoteAddress ?? ''} ${request.get(PUBLISHER_HEADER) ?? ''}`)
      .digest('base64url');

  router.put(
    '/shares/:token',
    onlyApp,
    express.json({ limit: '8mb' }),
    async (request: Request, response: Response) => {
      const read = sharedCopy.safeParse(request.body);
      if (!read.success || !isPublisher(request)) {
        response.status(400).type('text').send('This can’t be published here.');
        return;
      }
      const { data: copy } = read;
      const version = versionOf(request.body);
      try {
        await published.publish(tokenOf(request), {
          publisher: publisherOf(request),
          copy,
          version,
        });
      } catch (error) {
        if (!(error instanceof NoRoomError)) throw error;
        response.status(507).type('text').send(error.message);
        return;
      }
      response.json({ version });
    },
  );

  /** How what lies there stands: which copy it is; 404 where there is none. */
  router.get('/shares/:token', onlyApp, async (request: Request, response: Response) => {
    const held = isPublisher(request) ? await published.find(tokenOf(request)) : null;
    if (!held) return gone(response);
    response.set('Cache-Control', 'no-store').json({ version: held.version });
  });

  router.delete('/shares/:token', onlyApp, async (request: Request, response: Response) => {
    if (isPublisher(request)) await published.end(tokenOf(request));
    response.status(204).end();
  });

  router.get('/shares/:token/changes', onlyApp, async (request: Request, response: Response) => {
    const token = tokenOf(request);
    const held = isPublisher(request) ? await published.find(token) : null;
    if (!held) return void response.json([]);
    const clock = Number(request.query['now']);
    const edits =
      held.isEdited || !Number.isFinite(clock) ? [] : officeEdits(held.copy, held.begun, clock);
    if (edits.length) await published.add(token, edits, true);
    response.set('Cache-Control', 'no-store').json(await published.waiting(token));
  });

  router.delete(
    '/shares/:token/changes/:id',
    onlyApp,
    async (request: Request, response: Response) => {
      const { refused } = request.query;
      const why = typeof refused === 'string' && refused ? refused.slice(0, MOST_WHY) : null;
      if (isPublisher(request))
        await published.settle(tokenOf(request), String(request.params['id']), why);
      response.status(204).end();
    },
  );

  router.use('/shared', (_request, response, next) => {
    response.set({ 'Cache-Control': 'no-store', 'X-Robots-Tag': 'noindex' });
    next();
  });
  router.get('/shared/:token', async (request: Request, response: Response) => {
    const copy = await copyFor(request);
    if (!copy) return gone(response);
    const token = tokenOf(request);
    const [waiting, refused] = [await published.waiting(token), await published.refused(token)];
    withForms(response).send(sharePage(copy, addressOf(request), { waiting, refused }));
  });
  /** The copy that whoever asks may change; told where there is none. */
  async function changeable(request: Request, response: Response): Promise<SharedCopy | null> {
    const copy = await copyFor(request);
    if (copy?.changing) return copy;
    gone(response);
    return null;
  }
  router.get('/shared/:token/change', async (request: Request, response: Response) => {
    const copy = await changeable(request, response);
    if (!copy) return;
    const form = formFor(copy, readSent(request.query));
    if (!form) return gone(response);
    withForms(response).send(changePage(copy, addressOf(request), form));
  });
  router.post(
    '/shared/:token/change',
    express.urlencoded({ extended: false, limit: '32kb' }),
    async (request: Request, response: Response) => {
      const copy = await changeable(request, response);
      if (!copy || !isOwnForm(request, response)) return;
      const token = tokenOf(request);
      if ((await published.waiting(token)).length >= MOST_WAITING) {
        response.status(429).type('text').send('Too much waits here already. Try again later.');
        return;
      }
      const sent = readSent(request.body);
      if (!isOffered(copy, sent)) return gone(response);
      const read = readForm(copy, sent);
      if ('form' in read) {
        withForms(response.status(400)).send(changePage(copy, addressOf(request), read.form));
        return;
      }
      await published.add(token, [read]);
      response.redirect(303, addressOf(request));
    },
  );
  router.get('/shared/:token/calendar.ics', async (request: Request, response: Response) => {
    const text = (await copyFor(request))?.calendar;
    if (!text) return gone(response);
    response.type('text/calendar').send(text);
  });
  router.get('/shared/:token/busy.ics', async (request: Request, response: Response) => {
    const copy = await copyFor(request);
    if (!copy) return gone(response);
    response.type('text/calendar').send(copy.freeBusy);
  });
  return router;
}

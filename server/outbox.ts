import type { Request, Response, Router } from 'express';
import express from 'express';
import type { Message } from '../src/core/reminders/reminding';
import { message } from '../src/core/reminders/reminding';
import { onlyApp, onlyWithSecret, secretOf } from './onlyOwn';

/** A message as it would have gone out. */
export interface Sent extends Message {
  /** When it was taken, epoch ms. */
  sent: number;
}

/** The most that is kept of each store: what is older is let go. */
const MOST_KEPT = 200;
/** Boxes that are kept: those that were opened first are let go. */
const MOST_BOXES = 400;

/**
 * The stand-in for a mail and a text service: takes what is due, sends nothing, and shows what it
 * would have sent. It keeps that in memory, for each store apart, as long as the server runs.
 */
export function outbox(isOpen = false, now: () => number = Date.now): Router {
  const sentOf = new Map<string, Map<string, Sent>>();
  const boxOf = (request: Request) => {
    // Of a server that others reach, each browser has a box of its own.
    const store = `${String(request.params['store'])} ${isOpen ? secretOf(request) : ''}`;
    let box = sentOf.get(store);
    if (!box) sentOf.set(store, (box = new Map()));
    return box;
  };
  const router = express.Router();
  router.param('store', (_request, response, next, store: string) => {
    if (store === 'own' || store === 'demo') return next();
    response.status(404).type('text').send('There is no such store.');
  });
  router.use(onlyApp, express.json({ limit: '256kb' }));
  if (isOpen) router.use(onlyWithSecret);

  router.get('/:store', (request: Request, response: Response) => {
    response.set('Cache-Control', 'no-store').json([...boxOf(request).values()].reverse());
  });

  router.put('/:store/:id', (request: Request, response: Response) => {
    const read = message.safeParse(request.body);
    if (!read.success || read.data.id !== request.params['id']) {
      response.status(400).type('text').send('This is no message.');
      return;
    }
    const box = boxOf(request);
    // Who sends it twice could not know that it was taken.
    if (!box.has(read.data.id)) box.set(read.data.id, { ...read.data, sent: now() });
    for (const old of sentOf.keys()) {
      if (sentOf.size <= MOST_BOXES) break;
      sentOf.delete(old);
    }
    for (const id of box.keys()) {
      if (box.size <= MOST_KEPT) break;
      box.delete(id);
    }
    response.status(204).end();
  });

  router.delete('/:store', (request: Request, response: Response) => {
    boxOf(request).clear();
    response.status(204).end();
  });
  return router;
}

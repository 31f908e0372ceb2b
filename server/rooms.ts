import { randomBytes } from 'node:crypto';
import type { Request, Response, Router } from 'express';
import express from 'express';
import { z } from 'zod';
import { onlyApp } from './onlyOwn';
import { escaped, plainPage } from './plainPage';

/** What a room is told of the meeting in it. */
const meeting = z.object({
  title: z.string().max(300),
  when: z.string().max(200),
  people: z.array(z.string().max(200)).max(200),
});
type Meeting = z.infer<typeof meeting>;

/** Rooms that are remembered: what is older is let go, and its page says less. */
const MOST_KEPT = 2000;
/** Names can't be guessed: who has the address is let in. */
const NAME_BYTES = 12;
const NAME = /^[\w-]{8,40}$/;

/** The page of a room: who would be there. It is plain, and works without script. */
function pageOf(name: string, told: Meeting | undefined): string {
  const people = told?.people ?? [];
  const list = people.length
    ? `<ul>${people.map((one) => `<li>${escaped(one)}</li>`).join('')}</ul>`
    : '<p>Nobody was named. Whoever has the address can come in.</p>';
  const title = told?.title || 'A room';
  const main = `<h1>${escaped(title)}</h1>
<p>${escaped(told?.when ?? '')}</p>
<h2>Here would be</h2>
${list}
<p><small>Room ${escaped(name)}. A stand-in: no call takes place, nothing is heard or seen.</small></p>`;
  return plainPage({ title: `${title} · Room`, main, refresh: 5 });
}

/**
 * The stand-in for a service of online meetings: gives addresses of rooms (`POST /rooms`), is told who
 * would be there (`PUT /rooms/:name`), and has a page for each (`GET /room/:name`). It remembers that
 * as long as the server runs; an address leads to its room ever after.
 */
export function rooms(): Router {
  const told = new Map<string, Meeting>();
  const router = express.Router();

  router.get('/room/:name', (request: Request, response: Response) => {
    const name = String(request.params['name']);
    if (!NAME.test(name)) {
      response.status(404).type('text').send('There is no such room.');
      return;
    }
    response
      .set('Cache-Control', 'no-store')
      .type('html')
      .send(pageOf(name, told.get(name)));
  });

  router.post('/rooms', onlyApp, (_request, response) => {
    response
      .status(201)
      .set('Cache-Control', 'no-store')
      .json({ name: randomBytes(NAME_BYTES).toString('base64url') });
  });

  router.put(
    '/rooms/:name',
    onlyApp,
    express.json({ limit: '64kb' }),
    (request: Request, response: Response) => {
      const name = String(request.params['name']);
      const read = meeting.safeParse(request.body);
      if (!NAME.test(name) || !read.success) {
        response.status(400).type('text').send('This is no meeting in a room.');
        return;
      }
      told.delete(name);
      told.set(name, read.data);
      for (const oldest of told.keys()) {
        if (told.size <= MOST_KEPT) break;
        told.delete(oldest);
      }
      response.status(204).end();
    },
  );
  return router;
}

import type { Request, Response, Router } from 'express';
import express from 'express';
import PostalMime from 'postal-mime';
import type { OfficeMail } from '../demo/officeMail';
import { answersTo, firstMails, memberAt } from '../demo/officeMail';
import { readMessages } from '../src/core/invitations/messages';
import type { InviteMessage } from '../src/core/invitations/messages';
import { writeMail } from '../src/core/invitations/mime';
import { mailWords } from '../src/core/invitations/say';
import { mailParty } from '../src/core/model/mail';
import { z } from '../src/core/model/zod';
import { onlyApp } from './onlyOwn';

/** The largest mail that is taken, and the most that wait in a box. */
const LARGEST = '1200kb';
const MOST = 500;
/** Events and dates that one mail may speak of: each is answered, and that takes time. */
const MOST_ENTRIES = 100;
/** Boxes that are kept: those that were used last. */
const BOXES = 200;

const posted = z.object({ id: z.string().min(1).max(100), mime: z.string(), now: z.number() });
const beginning = z.object({ me: mailParty, now: z.number() });

const SAYING = { wording: { locale: 'en-GB', hourCycle: '24' }, clock: 'Europe/London' } as const;

interface Waiting {
  id: string;
  at: number;
  mime: string;
}

/** What the office and one browser write to each other. */
class Box {
  waiting: Waiting[] = [];
  private readonly seen = new Set<string>();
  /** How often each member was asked each thing, and who proposed another time. */
  private readonly asked = new Map<string, number>();
  private readonly proposed = new Set<string>();
  private written = 0;
  private rounds = 0;

  constructor(private readonly today: () => number) {}

  /** The office writes: to be fetched when its time has come. */
  deliver(mails: readonly OfficeMail[]): void {
    for (const mail of mails) {
      const id = `office-${++this.written}`;
      const words = mailWords(mail, mail.event, SAYING);
      this.waiting.push({ id, at: mail.at, mime: writeMail({ ...mail, id }, words) });
    }
    this.waiting = this.waiting.slice(-MOST);
  }

  begin(me: z.infer<typeof mailParty>, now: number): void {
    this.deliver(firstMails(me, now, ++this.rounds));
  }

  /** Takes a mail to the office; the same one a second time does nothing. */
  async take({ id, mime, now }: z.infer<typeof posted>): Promise<void> {
    if (this.seen.has(id)) return;
    this.seen.add(id);
    const mail = await PostalMime.parse(mime, { attachmentEncoding: 'arraybuffer' });
    const part = mail.attachments.find(({ mimeType }) => mimeType === 'text/calendar');
    if (!part) return;
    const text = new TextDecoder().decode(part.content as ArrayBuffer);
    if ((text.match(/^BEGIN:VEVENT/gim)?.length ?? 0) > MOST_ENTRIES)
      throw new RangeError('It speaks of too many dates.');
    for (const message of readMessages(text, now))
      for (const { address = '' } of mail.to ?? []) this.answer(message, address, now);
  }

  private answer(message: InviteMessage, address: string, now: number): void {
    const member = memberAt(address);
    if (!member) return;
    const thing = `${member.id} ${message.uid} ${JSON.stringify(message.time)}`;
    const version = `${thing} ${message.sequence}`;
    const situation = {
      today: this.today(),
      now,
      times: this.asked.get(version) ?? 0,
      hasProposed: this.proposed.has(thing),
    };
    if (message.method === 'request') this.asked.set(version, situation.times + 1);
    const answers = answersTo(message, member, situation);
    if (answers.some(({ method }) => method === 'counter')) this.proposed.add(thing);
    this.deliver(answers);
  }
}

/**
 * The stand-in for an office's mail, a box for each browser: takes what is sent to its members
 * (`POST /:box`), has their answers (`GET /:box?now=`) until they are taken (`DELETE /:box/:id`), and
 * asks the person to something when it is told to (`POST /:box/begin`). Its clock is the page's.
 */
export function post(today: () => number): Router {
  const boxes = new Map<string, Box>();
  const boxOf = ({ params }: Request): Box => {
    const name = String(params['box']);
    const box = boxes.get(name) ?? new Box(today);
    // The one used last is last; what was not used for long is let go.
    boxes.delete(name);
    boxes.set(name, box);
    for (const old of boxes.keys()) {
      if (boxes.size <= BOXES) break;
      boxes.delete(old);
    }
    return box;
  };
  const router = express.Router();
  router.param('box', (_request, response, next, box: string) => {
    if (/^[\w-]{10,40}$/.test(box)) return next();
    response.status(404).type('text').send('There is no such box.');
  });
  router.use(onlyApp, express.json({ limit: LARGEST }));

  router.get('/:box', (request: Request, response: Response) => {
    const now = Number(request.query['now']);
    const due = boxOf(request).waiting.filter(({ at }) => at <= now);
    response.set('Cache-Control', 'no-store').json(due.map(({ id, mime }) => ({ id, mime })));
  });

  router.post('/:box', async (request: Request, response: Response) => {
    const read = posted.safeParse(request.body);
    if (!read.success) {
      response.status(400).type('text').send('This is no mail.');
      return;
    }
    try {
      await boxOf(request).take(read.data);
    } catch {
      response.status(422).type('text').send('This mail can’t be read.');
      return;
    }
    response.status(204).end();
  });

  router.post('/:box/begin', (request: Request, response: Response) => {
    const read = beginning.safeParse(request.body);
    if (!read.success) {
      response.status(400).type('text').send('It is not said who is to be asked.');
      return;
    }
    boxOf(request).begin(read.data.me, read.data.now);
    response.status(204).end();
  });

  router.delete('/:box/:id', (request: Request, response: Response) => {
    const box = boxOf(request);
    box.waiting = box.waiting.filter(({ id }) => id !== request.params['id']);
    response.status(204).end();
  });
  return router;
}

import { z } from '@/core/model/zod';
import type { Post } from './post';
import { RefusedMailError } from './post';

const posted = z.array(z.object({ id: z.string(), mime: z.string() }));
/** Answers that stay the same however often a mail is sent: it can’t be read, or is too large. */
const NEVER: ReadonlySet<number> = new Set([400, 413, 415, 422]);
const OWN = { 'X-Orderly-Week': 'post' };

/** Asks the office's post. @throws where it does not answer, or not well. */
async function ask(path: string, init: RequestInit = {}): Promise<Response> {
  const response = await fetch(path, {
    ...init,
    headers: { ...OWN, ...(init.body ? { 'Content-Type': 'application/json' } : {}) },
  });
  if (response.ok) return response;
  if (NEVER.has(response.status)) throw new RefusedMailError(await response.text());
  throw new Error(`The post answered ${response.status}.`);
}

/** The post of the stand-in office, by the box of this browser; null where there is no office, and nothing comes. */
export function officePost(name: string | null): Post {
  const hasOffice = name !== null;
  const box = `/post/${name}`;
  return {
    send: async (mail, now) => {
      if (hasOffice) await ask(box, { method: 'POST', body: JSON.stringify({ ...mail, now }) });
    },
    fetch: async (now) =>
      hasOffice ? posted.parse(await (await ask(`${box}?now=${now}`)).json()) : [],
    take: async (id) => {
      if (hasOffice) await ask(`${box}/${encodeURIComponent(id)}`, { method: 'DELETE' });
    },
  };
}

import type { NextFunction, Request, Response } from 'express';

/** A header that a page of another origin can't send without being asked first whether it may. */
const OWN_HEADER = 'X-Orderly-Week';

/** The host of a Host header, without its port and brackets. */
const hostOf = (header: string) =>
  header
    .replace(/:\d+$/, '')
    .replace(/^\[|\]$/g, '')
    .toLowerCase();

/** How an address of a socket is spelt in a URL. */
const plain = (address: string) => address.replace(/^::ffff:/, '');

/**
 * Answers only to this machine's own name and addresses, and to `names`: a name that leads here by
 * somebody else's doing would be an origin of theirs.
 */
export function onlyOwnNames(names: readonly string[]) {
  const known = new Set(['localhost', ...names.map((name) => name.toLowerCase())]);
  return (request: Request, response: Response, next: NextFunction): void => {
    const host = hostOf(request.get('Host') ?? '');
    if (known.has(host) || host === plain(request.socket.localAddress ?? '')) return next();
    response.status(421).type('text').send('This server answers to its own name only.');
  };
}

/**
 * Whether a request comes from a page of this very origin: browsers say so in one header or the other,
 * and older ones in the second alone. What no browser sent has neither.
 */
export function isSameOrigin(request: Request): boolean {
  if ((request.get('Sec-Fetch-Site') ?? 'same-origin') !== 'same-origin') return false;
  const origin = request.get('Origin');
  if (origin === undefined) return true;
  try {
    return new URL(origin).host === request.get('Host');
  } catch {
    return false;
  }
}

/** Lets through what the app itself asks; other pages may not use this server to look around. */
export function onlyApp(request: Request, response: Response, next: NextFunction): void {
  if (isSameOrigin(request) && request.get(OWN_HEADER) !== undefined) return next();
  response.status(403).type('text').send('Only the app itself may ask for this.');
}

/** The secret of a browser, by which it has what is its own at a server that others reach too; empty for none. */
export function secretOf(request: Request): string {
  const said = request.get('X-Orderly-Browser') ?? request.query['browser'];
  return typeof said === 'string' && /^[\w-]{20,60}$/.test(said) ? said : '';
}

/** Lets through who names their browser's secret. */
export function onlyWithSecret(request: Request, response: Response, next: NextFunction): void {
  if (secretOf(request)) return next();
  response.status(403).type('text').send('This belongs to one browser, and you are another.');
}

import type { IncomingMessage } from 'node:http';
import http from 'node:http';
import https from 'node:https';
import type { LookupFunction } from 'node:net';
import { AddressError, checkedUrl, publicLookup } from './publicAddress';

/** What came back from a feed: its text, or that it is as it was. */
export type Fetched = { status: 200; text: Buffer; etag?: string } | { status: 304 };

export interface FetchLimits {
  bytes: number;
  /** For all of it together, in ms. */
  time: number;
  redirects: number;
}

export const LIMITS: FetchLimits = { bytes: 32 * 1024 * 1024, time: 20_000, redirects: 3 };

/** How an address is checked and a host's name looked up; tests put their own server's in place. */
export interface Guards {
  check(address: string): URL;
  lookup?: LookupFunction;
}

const GUARDS: Guards = { check: checkedUrl, lookup: publicLookup };

function ask(
  url: URL,
  etag: string | undefined,
  guards: Guards,
  signal: AbortSignal,
): Promise<IncomingMessage> {
  const { get } = url.protocol === 'https:' ? https : http;
  const headers = {
    Accept: 'text/calendar, text/plain;q=0.5',
    'User-Agent': 'OrderlyWeek',
    ...(etag ? { 'If-None-Match': etag } : {}),
  };
  return new Promise((resolve, reject) => {
    const request = get(url, { headers, signal, lookup: guards.lookup }, resolve);
    request.once('error', reject);
    // A server that wants to talk of something else gives no answer.
    request.once('upgrade', (_answer, socket) => {
      socket.destroy();
      reject(new AddressError('The server there answered 101.'));
    });
    request.once('close', () => reject(new AddressError('The server there did not answer.')));
  });
}

async function bodyOf(response: IncomingMessage, most: number): Promise<Buffer> {
  const parts: Buffer[] = [];
  let bytes = 0;
  for await (const part of response as AsyncIterable<Buffer>) {
    bytes += part.length;
    if (bytes > most) {
      response.destroy();
      throw new AddressError(
        `What is there is larger than ${Math.round(most / 1024 / 1024)} MB, and was not taken.`,
      );
    }
    parts.push(part);
  }
  return Buffer.concat(parts);
}

const isRedirect = (status: number) => [301, 302, 303, 307, 308].includes(status);

/** Asks one address after the other as redirects lead; each is checked like the first. */
async function follow(
  address: string,
  etag: string | undefined,
  limits: FetchLimits,
  guards: Guards,
  signal: AbortSignal,
): Promise<Fetched> {
  let url = guards.check(address);
  for (let hops = 0; hops <= limits.redirects; hops++) {
    const response = await ask(url, etag, guards, signal);
    const status = response.statusCode ?? 0;
    const { location, etag: tag } = response.headers;
    if (isRedirect(status) && location) {
      response.destroy();
      url = guards.check(new URL(location, url).href);
      continue;
    }
    if (status === 304) {
      response.destroy();
      return { status: 304 };
    }
    if (status !== 200) {
      response.destroy();
      throw new AddressError(`The server there answered ${status}.`);
    }
    return { status: 200, text: await bodyOf(response, limits.bytes), ...(tag && { etag: tag }) };
  }
  throw new AddressError('The address leads on and on to other addresses.');
}

/** What went wrong with a connection, in words for the person. */
function explain(error: unknown): AddressError {
  if (error instanceof AddressError) return error;
  const { name, code } = error as NodeJS.ErrnoException;
  if (name === 'AbortError' || code === 'ETIMEDOUT')
    return new AddressError('The server there took too long to answer.');
  if (code === 'ENOTFOUND' || code === 'EAI_AGAIN')
    return new AddressError('There is no server of that name, or this machine has no network.');
  if (code === 'ECONNREFUSED') return new AddressError('No server answers at that address.');
  return new AddressError(`The connection failed${code ? ` (${code})` : ''}.`);
}

/** Fails when the time is up, whatever the connection is doing. */
const ended = (signal: AbortSignal) =>
  new Promise<never>((_resolve, reject) =>
    signal.addEventListener('abort', () => reject(signal.reason as Error), { once: true }),
  );

/**
 * Gets a feed over http or https, within limits, unless it is still the one that `etag` names.
 * @throws AddressError saying why not.
 */
export async function fetchFeed(
  address: string,
  etag?: string,
  limits = LIMITS,
  guards = GUARDS,
): Promise<Fetched> {
  try {
    const signal = AbortSignal.timeout(limits.time);
    return await Promise.race([follow(address, etag, limits, guards, signal), ended(signal)]);
  } catch (error) {
    const isTimeout = (error as Error).name === 'TimeoutError';
    throw isTimeout
      ? new AddressError('The server there took too long to answer.')
      : explain(error);
  }
}

import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { Express, NextFunction, Request, Response } from 'express';
import express from 'express';
import expressStaticGzip from 'express-static-gzip';
import { DAY } from '../src/core/time/civil';
import { feeds } from './feeds';
import { Lent, lentPages } from './lent';
import { office } from './office';
import { onlyOwnNames } from './onlyOwn';
import { outbox } from './outbox';
import { post } from './post';
import { rooms } from './rooms';
import { shares } from './shares';
import { standIns } from './standIns';
import type { Store } from './store/store';

/** Which of the two stores a browser opens first. */
export type FirstStore = 'own' | 'demo';

/** Nothing but the app itself; styles are also set from script, by React Native's style sheets. */
const CONTENT_SECURITY_POLICY = [
  "default-src 'none'",
  "script-src 'self'",
  "worker-src 'self'",
  "style-src 'self' 'unsafe-inline'",
  "img-src 'self' data: blob:",
  "font-src 'self'",
  "connect-src 'self'",
  "manifest-src 'self'",
  "base-uri 'none'",
  "form-action 'none'",
  "frame-ancestors 'none'",
].join('; ');

function safetyHeaders(_request: Request, response: Response, next: NextFunction): void {
  response.set({
    'Content-Security-Policy': CONTENT_SECURITY_POLICY,
    'X-Content-Type-Options': 'nosniff',
    'X-Frame-Options': 'DENY',
    'Referrer-Policy': 'no-referrer',
    'Cross-Origin-Opener-Policy': 'same-origin',
    'Cross-Origin-Resource-Policy': 'same-origin',
    'Permissions-Policy': 'camera=(), microphone=(), geolocation=()',
  });
  next();
}

/** The day number that is today by UTC. */
const utcToday = () => Math.floor(Date.now() / DAY);

/** What went wrong inside is for the log of the server; who asked is told that it did. */
function sayFailed(
  error: Error & { status?: number },
  _request: Request,
  response: Response,
  next: NextFunction,
): void {
  if (response.headersSent) return next(error);
  // What was asked for wrongly is no fault of the server: bodies, percent signs, charsets.
  const { status = error instanceof URIError ? 400 : 500 } = error;
  if (status >= 400 && status < 500) {
    response.status(status).type('text').send('This request can’t be read.');
    return;
  }
  // eslint-disable-next-line no-console -- the server's log
  console.error(error.message);
  response.status(500).type('text').send('Something went wrong here.');
}

interface ServerOptions {
  /** By which the stand-ins go: a day number. */
  today?: () => number;
  /** Names that it answers to besides its own. */
  names?: readonly string[];
  /** What it keeps. */
  store: Store;
  /** Whether other machines reach it: what is a browser's own needs that browser's secret then. */
  isOpen?: boolean;
}

/** The web server of a built app in `folder`. */
export function createApp(
  folder: string,
  first: FirstStore,
  { today = utcToday, names = [], store, isOpen = false }: ServerOptions,
): Express {
  const page = readFileSync(path.join(folder, 'index.html'), 'utf8').replace(
    /(<meta name="orderly-week-store" content=")[^"]*/,
    `$1${first}`,
  );
  const app = express();
  app.disable('x-powered-by');
  // Answers hold no stack and no path of this machine.
  app.set('env', 'production');
  app.use(onlyOwnNames(names));
  app.use(safetyHeaders);
  app.use('/feeds', standIns(today));
  app.use('/feed', feeds());
  const lent = new Lent(today);
  app.use('/office', office(today, lent));
  app.use(lentPages(lent, isOpen));
  app.use('/outbox', outbox(isOpen));
  app.use('/post', post(today));
  app.use(rooms());
  app.use(shares(store));
  // Names under these hold a hash of what is in them, so that they can be kept for good.
  // They lie there compressed as well: see scripts/compress.mjs.
  app.use(
    '/_expo',
    expressStaticGzip(path.join(folder, '_expo'), {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      serveStatic: { immutable: true, maxAge: '1y' },
    }),
  );
  app.use('/fonts', express.static(path.join(folder, 'fonts'), { maxAge: '30d' }));
  const sendPage = (_request: Request, response: Response) =>
    response.set('Cache-Control', 'no-cache').type('html').send(page);
  // What is kept for use offline is asked for by its file's name.
  app.get('/index.html', sendPage);
  app.use(express.static(folder, { index: false, maxAge: 0 }));
  app.get(/\.[a-z0-9]+$/i, (_request, response) => {
    response.status(404).type('text').send('There is no such file.');
  });
  app.get('/{*path}', sendPage);
  app.use(sayFailed);
  return app;
}

import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { Express, NextFunction, Request, Response } from 'express';
import express from 'express';

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

/** The web server of a built app in `folder`. */
export function createApp(folder: string, first: FirstStore): Express {
  const page = readFileSync(path.join(folder, 'index.html'), 'utf8').replace(
    /(<meta name="orderly-week-store" content=")[^"]*/,
    `$1${first}`,
  );
  const app = express();
  app.disable('x-powered-by');
  app.use(safetyHeaders);
  // Names under these hold a hash of what is in them, so that they can be kept for good.
  app.use('/_expo', express.static(path.join(folder, '_expo'), { immutable: true, maxAge: '1y' }));
  app.use('/fonts', express.static(path.join(folder, 'fonts'), { maxAge: '30d' }));
  app.use(express.static(folder, { index: false, maxAge: 0 }));
  app.get(/\.[a-z0-9]+$/i, (_request, response) => {
    response.status(404).type('text').send('There is no such file.');
  });
  app.get('/{*path}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').type('html').send(page);
  });
  return app;
}

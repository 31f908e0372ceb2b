/** Writes dist/sw.js: what lets the app open when its server can't be reached. */
import path from 'node:path';
import { generateSW } from 'workbox-build';
import { ROOT } from './setup.mjs';

const DIST = path.join(ROOT, 'dist');

const { count, size, warnings } = await generateSW({
  globDirectory: DIST,
  globPatterns: ['**/*.{js,css,html,woff2,svg,png,webmanifest}'],
  globIgnores: ['sw.js'],
  // Names with a hash in them never change what they hold.
  dontCacheBustURLsMatching: /\/_expo\//,
  maximumFileSizeToCacheInBytes: 8 * 1024 * 1024,
  swDest: path.join(DIST, 'sw.js'),
  inlineWorkboxRuntime: true,
  importScripts: ['/notified.js'],
  sourcemap: false,
  // A newer version waits until no window of the old one is open, which may still ask for its files.
  skipWaiting: false,
  clientsClaim: true,
  cleanupOutdatedCaches: true,
  // The server says which store a page opens first: it is asked as long as it answers.
  directoryIndex: null,
  runtimeCaching: [
    {
      urlPattern: ({ request }) => request.mode === 'navigate',
      handler: 'NetworkFirst',
      options: {
        cacheName: 'pages',
        networkTimeoutSeconds: 4,
        precacheFallback: { fallbackURL: '/index.html' },
      },
    },
  ],
});
for (const warning of warnings) console.warn(warning);
console.log(`Kept for use offline: ${count} files, ${Math.round(size / 1000)} KB.`);

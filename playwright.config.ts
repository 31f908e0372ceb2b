import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

/** Another port lets two runs stand beside each other. */
const PORT = Number(process.env['E2E_PORT'] ?? 4399);

/** Debian's Chromium, for what only a whole browser has: notifications. */
const WHOLE = process.env['CHROMIUM'] ?? '/usr/bin/chromium';
/** The same without a window around its pages, in which walks take two thirds of the time. */
const QUICK = '/usr/bin/chromium-headless-shell';

const launchOptions = {
  executablePath: process.env['CHROMIUM'] || !existsSync(QUICK) ? WHOLE : QUICK,
  // Kept from asking other hosts for anything of its own.
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

export default defineConfig({
  testDir: 'e2e',
  fullyParallel: true,
  workers: 2,
  forbidOnly: true,
  // A shared machine may stand still for a while: waiting ends late, since how fast is what the bench measures.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  outputDir: 'test-results/browser',
  reporter: [['list'], ['json', { outputFile: 'playwright-report/results.json' }]],
  use: {
    baseURL: `http://localhost:${PORT}`,
    launchOptions,
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    // What slides into its place is waited for at each step; a walk that is about motion asks for it.
    contextOptions: { reducedMotion: 'reduce' },
    // Keeping the app for use offline takes time; the test of it allows it.
    serviceWorkers: 'block',
    screenshot: 'only-on-failure',
  },
  // A test that is the same at both sizes is tagged with the one at which it runs; one that needs more than pages, too.
  projects: [
    {
      name: 'phone',
      grepInvert: /@wide|@whole/,
      use: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true },
    },
    {
      name: 'wide',
      grepInvert: /@phone|@whole/,
      use: { viewport: { width: 1280, height: 800 } },
    },
    {
      name: 'whole browser',
      grep: /@whole/,
      use: {
        viewport: { width: 1280, height: 800 },
        launchOptions: { ...launchOptions, executablePath: WHOLE },
      },
    },
  ],
  webServer: {
    command: 'node scripts/server.mjs && node dist-server/main.cjs --demo --today=2026-11-24',
    // A run begins with nothing shared, and leaves nothing behind.
    env: { PORT: String(PORT), DATABASE_URL: ':memory:' },
    url: `http://localhost:${PORT}`,
    reuseExistingServer: false,
  },
});

/** Takes the pictures in docs/screenshots from the demo, at a fixed time. */
import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { chromium } from '@playwright/test';
import { ensureBrowser, ensureBuilt, ensurePackages, ROOT } from './setup.mjs';

const PORT = '4398';
const URL = `http://localhost:${PORT}`;
const NOW = new Date('2026-11-24T10:25:00Z');
const SIZES = { phone: { width: 390, height: 844 }, wide: { width: 1280, height: 800 } };

const bar = (page, title) => page.getByRole('button', { name: new RegExp(`^${title}, `) });

async function jot(page) {
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.keyboard.type('Freight call Thu 14:00 for 90 min at Quay 3 in Clients');
}

async function edit(page) {
  await bar(page, 'Barometer calibration').click();
  await page.getByRole('button', { name: 'Edit' }).click();
}

async function preview(page) {
  await page.goto(`${URL}/import`);
  await page.getByLabel('Calendar file').setInputFiles(path.join(ROOT, 'demo', 'ferry-office.ics'));
  await page.getByRole('button', { name: /^Bring in/ }).waitFor();
}

const PICTURES = [
  { name: 'plan-phone', size: 'phone' },
  { name: 'plan-wide', size: 'wide' },
  { name: 'plan-phone-dark', size: 'phone', scheme: 'dark' },
  { name: 'plan-wide-dark', size: 'wide', scheme: 'dark' },
  {
    name: 'details-phone',
    size: 'phone',
    open: (page) => bar(page, 'Barometer calibration').click(),
  },
  { name: 'add-phone', size: 'phone', open: jot },
  { name: 'add-wide', size: 'wide', open: jot },
  { name: 'editor-phone', size: 'phone', open: edit },
  { name: 'editor-wide', size: 'wide', open: edit },
  { name: 'import-phone', size: 'phone', open: preview },
  { name: 'import-wide', size: 'wide', open: preview },
  { name: 'calendars-phone', size: 'phone', open: (page) => page.goto(`${URL}/calendars`) },
  { name: 'settings-phone', size: 'phone', open: (page) => page.goto(`${URL}/settings`) },
];

async function take(browser, { name, size, scheme = 'light', open }) {
  const context = await browser.newContext({
    viewport: SIZES[size],
    hasTouch: size === 'phone',
    isMobile: size === 'phone',
    colorScheme: scheme,
    locale: 'en-GB',
    timezoneId: 'Europe/London',
  });
  await context.clock.install({ time: NOW });
  const page = await context.newPage();
  await page.goto(URL);
  await bar(page, 'Lamp 14 strip-down').waitFor();
  await open?.(page);
  // What fades in has done so once the page's clock has gone on.
  await page.clock.runFor(2000);
  await page.waitForLoadState('networkidle');
  await page.screenshot({ path: path.join(ROOT, 'docs', 'screenshots', `${name}.png`) });
  await context.close();
}

ensurePackages();
ensureBrowser();
ensureBuilt();
mkdirSync(path.join(ROOT, 'docs', 'screenshots'), { recursive: true });
const server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts', '--demo'], {
  cwd: ROOT,
  env: { ...process.env, PORT },
});
await new Promise((resolve, reject) => {
  server.stdout.once('data', resolve);
  server.stderr.once('data', (text) => reject(new Error(String(text))));
});
process.on('exit', () => server.kill());
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
const only = process.argv.slice(2);
for (const picture of PICTURES) {
  if (only.length === 0 || only.includes(picture.name)) await take(browser, picture);
}
await browser.close();
server.kill();

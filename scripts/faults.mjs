import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium } from '@playwright/test';
import { ensureBrowser, ensureBuilt, ensurePackages, ROOT } from './setup.mjs';

/**
 * Kills the browser while events are being added, again and again, and looks each time whether every
 * event that was said to be added is still there.
 */
const KILLS = Number(process.env.KILLS ?? 20);
const PORT = 4397;

ensurePackages();
ensureBrowser();
ensureBuilt();

const server = spawn('node', ['--import', 'tsx', 'server/main.ts'], {
  cwd: ROOT,
  env: { ...process.env, PORT: String(PORT) },
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise((resolve) => server.stdout.once('data', resolve));

const folder = mkdtempSync(path.join(tmpdir(), 'orderly-faults-'));

/** A browser of its own process, with what it stored before. */
async function begin() {
  const child = spawn(
    process.env.CHROMIUM ?? '/usr/bin/chromium',
    [
      ...['--headless=new', '--no-sandbox', '--disable-gpu', '--no-first-run'],
      ...['--remote-debugging-port=0', `--user-data-dir=${folder}`, 'about:blank'],
    ],
    { detached: true, stdio: ['ignore', 'ignore', 'pipe'] },
  );
  const address = await new Promise((resolve) => {
    let said = '';
    child.stderr.on('data', (part) => {
      said += part;
      const found = /DevTools listening on (ws:\S+)/.exec(said);
      if (found) resolve(found[1]);
    });
  });
  const browser = await chromium.connectOverCDP(address);
  const page = await browser.contexts()[0].newPage();
  await page.goto(`http://localhost:${PORT}/`);
  await page.getByRole('button', { name: 'Add', exact: true }).waitFor();
  return { child, page };
}

/** Ends it as a lost battery would: nothing is told, nothing is put in order. */
function kill(child) {
  const ended = new Promise((resolve) => child.once('exit', resolve));
  process.kill(-child.pid, 'SIGKILL');
  return ended;
}

/** Titles of the events that the store holds, as the app finds them. */
async function titlesOf(page) {
  await page.getByRole('link', { name: 'Calendars' }).click();
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Back up', exact: true }).click();
  const stream = await (await waiting).createReadStream();
  let text = '';
  for await (const part of stream) text += part;
  const { records, aside } = JSON.parse(text);
  return { titles: new Set(records.event.map(({ title }) => title)), aside: aside.length };
}

let added = 0;
const kept = [];

/** Adds one event after the other by the interface, until the browser is gone. */
async function addOn(page) {
  for (;;) {
    const title = `Lamp ${++added}`;
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    const line = page.getByRole('textbox', { name: 'What, when, where' });
    await line.fill(`${title} tomorrow 9:00`);
    await line.press('Enter');
    await page.getByText(new RegExp(`^Added “${title}” .*(?<!only\\.)$`)).waitFor();
    kept.push(title);
  }
}

let lost = 0;
let damaged = 0;
for (let n = 1; n <= KILLS; n++) {
  const { child, page } = await begin();
  const adding = addOn(page).catch(() => undefined);
  await new Promise((resolve) => setTimeout(resolve, 1500 + Math.random() * 4000));
  await kill(child);
  await adding;
}
const { child, page } = await begin();
const { titles, aside } = await titlesOf(page);
lost = kept.filter((title) => !titles.has(title)).length;
damaged = aside;
await kill(child);
server.kill();
rmSync(folder, { recursive: true, force: true });
console.log(
  `${KILLS} kills: ${kept.length} events were said to be added, ${lost} of them are lost; ${titles.size} are there, ${damaged} records are damaged.`,
);
process.exitCode = lost || damaged ? 1 : 0;

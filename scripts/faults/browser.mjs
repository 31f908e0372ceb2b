import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';

export const PORT = 4397;
export const URL = `http://localhost:${PORT}/`;

const running = new Set();

/** Ends what still runs, where a walk stopped before its end. */
export const endAll = () => Promise.all([...running].map(kill));

/** A browser of its own process on a folder, with what it stored there before, and a page of the app's origin. */
export async function begin(folder) {
  const child = spawn(
    process.env.CHROMIUM ?? '/usr/bin/chromium',
    [
      ...['--headless=new', '--no-sandbox', '--disable-gpu', '--no-first-run'],
      // Wide enough for the calendars to stand beside the sheet.
      '--window-size=1280,900',
      ...['--remote-debugging-port=0', `--user-data-dir=${folder}`, 'about:blank'],
    ],
    { detached: true, stdio: ['ignore', 'ignore', 'pipe'] },
  );
  running.add(child);
  const address = await new Promise((resolve) => {
    let said = '';
    child.stderr.on('data', (part) => {
      said += part;
      const found = /DevTools listening on (ws:\S+)/.exec(said);
      if (found) resolve(found[1]);
    });
  });
  const browser = await chromium.connectOverCDP(address);
  return { child, page: await browser.contexts()[0].newPage() };
}

/** Opens the app until everything is read. */
export async function openApp(page) {
  await page.goto(URL);
  await page.getByRole('switch', { name: 'My work' }).waitFor();
  await page.getByRole('progressbar').waitFor({ state: 'hidden' });
}

/** Opens the app on its demo data. */
export async function openDemo(page) {
  await page.goto(`${URL}manifest.webmanifest`);
  await page.evaluate(() => sessionStorage.setItem('orderly-week-store', 'demo'));
  await page.goto(URL);
  await page.getByRole('link', { name: 'Calendars' }).waitFor();
  await page.getByRole('progressbar').waitFor({ state: 'hidden' });
}

/** Adds an event by its line. */
export async function add(page, title) {
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  const line = page.getByRole('textbox', { name: 'What, when, where' });
  await line.fill(`${title} today 9:00`);
  await line.press('Enter');
  await page.getByText(new RegExp(`^Added “${title}” .*(?<!only\\.)$`)).waitFor();
}

/** Ends a browser as a lost battery would: nothing is told, nothing is put in order. */
export function kill(child) {
  const ended = new Promise((resolve) => child.once('exit', resolve));
  running.delete(child);
  process.kill(-child.pid, 'SIGKILL');
  return ended;
}

/** Does something until the browser is killed, some time after it began; what it fails of then is no fault. */
export async function killDuring(child, doing, atLeast, atMost) {
  const over = doing.catch(() => undefined);
  await new Promise((resolve) => setTimeout(resolve, atLeast + Math.random() * (atMost - atLeast)));
  await kill(child);
  await over;
}

/** Everything that the store holds, by the app's own backup. */
export async function backUp(page) {
  await page.getByRole('link', { name: 'Calendars' }).click();
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Back up', exact: true }).click();
  const stream = await (await waiting).createReadStream();
  let text = '';
  for await (const part of stream) text += part;
  return JSON.parse(text);
}

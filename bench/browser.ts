import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { chromium } from '@playwright/test';
import config from '../playwright.config';
import { firstEvent, watchFirstEvent } from './firstEvent';
import { benchForms } from './forms';
import { memoryOf } from './memory';
import { median, report, worst } from './report';

/** Notes every task of the page that lasts over 50 ms; what is shorter browsers don't tell of. */
function watchLongTasks(): void {
  const tasks: number[] = [];
  Object.assign(window, { tasks });
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) tasks.push(duration);
  }).observe({ entryTypes: ['longtask'] });
}

/** Presses "Week after" and waits until the week is painted; ms of each. */
async function turnWeeks(page: Page, times: number): Promise<number[]> {
  return page.evaluate(async (count) => {
    const button = document.querySelector<HTMLElement>('[aria-label="Week after"]')!;
    const heading = () => document.querySelector('[role="heading"], h1')!.textContent;
    const frame = () => new Promise<number>((resolve) => requestAnimationFrame(resolve));
    const taken: number[] = [];
    for (let i = 0; i < count; i++) {
      const title = heading();
      const before = performance.now();
      button.click();
      while (heading() === title) await frame();
      await frame();
      taken.push(performance.now() - before);
      await new Promise((resolve) => setTimeout(resolve, 250));
    }
    return taken;
  }, times);
}

/** Drags an event about and looks at every frame; ms between frames. */
async function dragFrames(page: Page): Promise<number[]> {
  const bar = page.locator('[data-occ][aria-label*="busy"]:not([aria-label*="repeats"])').first();
  const box = (await bar.boundingBox())!;
  await page.evaluate(() => {
    const frames: number[] = [];
    Object.assign(window, { frames, isDragging: true });
    let last = performance.now();
    const look = (now: number) => {
      frames.push(now - last);
      last = now;
      if ((window as unknown as { isDragging: boolean }).isDragging) requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  });
  const x = box.x + Math.min(10, box.width / 2);
  const y = box.y + box.height / 2;
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 1; i <= 90; i++) await page.mouse.move(x + 200 * Math.sin(i / 12), y + 3 * i);
  await page.keyboard.press('Escape');
  await page.mouse.up();
  return page.evaluate(() => {
    const state = window as unknown as { frames: number[]; isDragging: boolean };
    state.isDragging = false;
    // The first frames belong to what was done before.
    return state.frames.slice(3);
  });
}

const heapOf = () =>
  (performance as unknown as { memory: { usedJSHeapSize: number } }).memory.usedJSHeapSize / 1e6;

/** Heap of the engine's worker, which only the debugger can tell. */
async function workerHeap(page: Page): Promise<number> {
  const browser = await page.context().browser()!.newBrowserCDPSession();
  const { targetInfos } = await browser.send('Target.getTargets', { filter: [{ type: 'worker' }] });
  const { sessionId } = await browser.send('Target.attachToTarget', {
    targetId: targetInfos[0]!.targetId,
    flatten: false,
  });
  const answer = new Promise<number>((resolve) => {
    browser.on('Target.receivedMessageFromTarget', ({ message }) => {
      const { id, result } = JSON.parse(message) as { id: number; result: { usedSize: number } };
      if (id === 1) resolve(result.usedSize / 1e6);
    });
  });
  await browser.send('Target.sendMessageToTarget', {
    sessionId,
    message: JSON.stringify({ id: 1, method: 'Runtime.getHeapUsage' }),
  });
  return answer;
}

/** Opens the store until nothing is loading any more, in ms. */
async function allLoaded(page: Page, url: string): Promise<number> {
  const before = performance.now();
  await firstEvent(page, url);
  await page.waitForFunction(() => !document.querySelector('[aria-label="Loading"]'));
  return performance.now() - before;
}

async function importFile(page: Page, url: string, text: string): Promise<void> {
  await page.goto(`${url}/import`);
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'orderly-bench-')), 'busy.ics');
  writeFileSync(file, text);
  await page.evaluate(watchLongTasks);
  const reading = performance.now();
  // By path: the browser reads it then, as when a person chooses it, and not the page.
  await page.getByLabel('Calendar file').setInputFiles(file);
  await page.getByRole('button', { name: /^Bring in/ }).waitFor({ timeout: 120_000 });
  report('import: read and preview', performance.now() - reading, 'ms');
  const keeping = performance.now();
  await page.getByRole('button', { name: /^Bring in/ }).click();
  await page.getByText(/^Imported .* new/).waitFor({ timeout: 120_000 });
  report('import: kept', performance.now() - keeping, 'ms');
  const tasks = await page.evaluate(() => (window as unknown as { tasks: number[] }).tasks);
  report('import: longest task of the page meanwhile', worst([0, ...tasks]), 'ms', 100);
}

/** A browser with a folder of its own, so that it can be closed and opened again with what it holds. */
async function openBrowser(folder: string): Promise<Page> {
  const context = await chromium.launchPersistentContext(folder, {
    ...config.use!.launchOptions!,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/London',
  });
  // The compiler names functions by a helper that the page doesn't have.
  await context.addInitScript('globalThis.__name = (named) => named');
  const [page] = context.pages();
  await page!.addInitScript(watchFirstEvent);
  return page!;
}

async function openOwnData(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/settings`);
  await page.getByRole('button', { name: 'Open my own data' }).click();
  await page.getByRole('switch', { name: 'My work' }).waitFor();
}

async function benchComingIn(page: Page, url: string, text: string): Promise<void> {
  await firstEvent(page, url);
  const demo: number[] = [];
  for (let i = 0; i < 3; i++) demo.push(await firstEvent(page, url));
  report('the demo’s first week shown', median(demo), 'ms', 1500);
  await openOwnData(page, url);
  await importFile(page, url, text);
}

/** After so long a browser has given back what reading alone needed, in ms. */
const REST = 45_000;

async function benchOpening(page: Page, url: string): Promise<void> {
  await openOwnData(page, url);
  const whole = [await allLoaded(page, url)];
  // Before it is opened again and again: what is left of that is the browser's to clear.
  const peak = memoryOf('chromium');
  await page.waitForTimeout(REST);
  const memory = memoryOf('chromium');
  const busy: number[] = [];
  for (let i = 0; i < 3; i++) busy.push(await firstEvent(page, url));
  report('the busy store’s first week shown', median(busy), 'ms');
  for (let i = 0; i < 2; i++) whole.push(await allLoaded(page, url));
  report('the busy store read whole', median(whole), 'ms', 5000);
  if (peak !== null) report('memory of the whole browser when it has read', peak, 'MB');
  if (memory !== null) report('memory of the whole browser at rest', memory, 'MB', 600);
}

async function benchWeek(page: Page): Promise<void> {
  const turns = await turnWeeks(page, 12);
  report('week change to painted, median', median(turns), 'ms', 100);
  report('week change to painted, slowest', worst(turns), 'ms');
  const frames = await dragFrames(page);
  report('frames while dragging, median', median(frames), 'ms');
  report('frames while dragging, slowest', worst(frames), 'ms', 50);
}

/** What a person waits for, in Chromium on this machine. */
export async function benchBrowser(url: string, text: string): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'orderly-bench-profile-'));
  const first = await openBrowser(folder);
  await benchComingIn(first, url, text);
  // Opened anew, as on another morning: what bringing in took is not counted to it.
  await first.context().close();
  const page = await openBrowser(folder);
  await benchOpening(page, url);
  await page.waitForTimeout(3000);
  await benchWeek(page);
  await benchForms(page);
  report('memory of the page', await page.evaluate(heapOf), 'MB');
  report('memory of the worker', await workerHeap(page), 'MB');
  await page.context().close();
  rmSync(folder, { recursive: true });
}

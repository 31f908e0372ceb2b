import { request } from 'node:http';
import type { Browser, CDPSession, Page } from '@playwright/test';
import { chromium } from '@playwright/test';
import config from '../playwright.config';
import { firstEvent, watchFirstEvent } from './firstEvent';
import { median, report } from './report';

const PHONE = {
  viewport: { width: 390, height: 844 },
  locale: 'en-US',
  timezoneId: 'Europe/London',
};

/** A phone on the move: 4 Mbit/s, 100 ms away, and four times slower than this machine. */
async function slowDown(session: CDPSession): Promise<void> {
  await session.send('Network.enable');
  await session.send('Network.emulateNetworkConditions', {
    ...{ offline: false, latency: 100 },
    ...{ downloadThroughput: 500_000, uploadThroughput: 200_000 },
  });
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
}

async function openPhone(browser: Browser): Promise<{ page: Page; session: CDPSession }> {
  const context = await browser.newContext(PHONE);
  await context.addInitScript('globalThis.__name = (named) => named');
  const page = await context.newPage();
  await page.addInitScript(watchFirstEvent);
  return { page, session: await context.newCDPSession(page) };
}

/** Bytes that a script takes on the wire, as a browser asks for it. */
const bytesOf = (url: string) =>
  new Promise<number>((resolve, reject) => {
    request(url, { headers: { 'accept-encoding': 'gzip, deflate, br' } }, (response) => {
      let bytes = 0;
      response.on('data', (data: Buffer) => (bytes += data.length));
      response.on('end', () => resolve(bytes));
    })
      .on('error', reject)
      .end();
  });

async function quickly(browser: Browser, url: string): Promise<number> {
  const { page } = await openPhone(browser);
  const ms = await firstEvent(page, url);
  await page.context().close();
  return ms;
}

/** The first visit of a phone, by bytes as received and by time; and another one. */
export async function benchWire(url: string): Promise<void> {
  const browser = await chromium.launch(config.use!.launchOptions);
  const times: number[] = [];
  for (let i = 0; i < 3; i++) times.push(await quickly(browser, url));
  report('a first visit’s week shown', median(times), 'ms', 500);
  const { page, session } = await openPhone(browser);
  let received = 0;
  session.on('Network.loadingFinished', ({ encodedDataLength }) => (received += encodedDataLength));
  await slowDown(session);
  report('a first visit by a slow phone: its week shown', await firstEvent(page, url), 'ms', 4000);
  report('received for it, without the worker', received / 1000, 'KB', 400);
  const worker = page.workers()[0]!.url();
  report('received for the worker', (await bytesOf(worker)) / 1000, 'KB', 250);
  // Kept for use offline, as by the next visit.
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.waitForFunction(() => navigator.serviceWorker.controller?.state === 'activated');
  const again = [await firstEvent(page, url), await firstEvent(page, url)];
  report('another visit by a slow phone: its week shown', median(again), 'ms', 1500);
  await browser.close();
}

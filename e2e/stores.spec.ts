import type { Page } from '@playwright/test';
import {
  bar,
  enterLine,
  expect,
  jot,
  message,
  openDemo,
  openOwn,
  panel,
  pickDay,
  test,
  goTo,
} from './fixtures';

async function rename(page: Page, from: string, field: string, to: string) {
  await bar(page, from).click();
  await page.getByRole('button', { name: 'Edit' }).click();
  await panel(page, /^Edit/).getByRole('textbox', { name: field }).fill(to);
  await page.getByRole('button', { name: 'Keep' }).click();
}

test(
  'two windows show each other’s changes, and edits of different fields both hold',
  { tag: '@wide' },
  async ({ page, context }) => {
    await openDemo(page);
    const other = await context.newPage();
    await openDemo(other);
    await enterLine(page, 'Crane permit Saturday 9:00');
    await expect(bar(other, 'Crane permit')).toBeVisible();

    // The second window opens the editor before the first one keeps: what it shows is old by then.
    await bar(other, 'Supplier terms').click();
    await other.getByRole('button', { name: 'Edit' }).click();
    await rename(page, 'Supplier terms', 'Title', 'Brass terms');
    await expect(bar(page, 'Brass terms')).toBeVisible();
    await panel(other, /^Edit/).getByRole('textbox', { name: 'Place' }).fill('Small office');
    await other.getByRole('button', { name: 'Keep' }).click();
    await bar(page, 'Brass terms').click();
    const card = panel(page, 'Brass terms');
    await expect(card.getByText('Small office')).toBeVisible();
    // Out of the days that the first window shows: its open card says where to.
    await bar(other, 'Brass terms').click();
    await other.getByRole('button', { name: 'Edit' }).click();
    await panel(other, /^Edit/)
      .getByRole('button', { name: /^Starts on/ })
      .click();
    await pickDay(other, '30 November 2026');
    await other.getByRole('button', { name: 'Keep' }).click();
    await expect(bar(page, 'Brass terms')).toHaveCount(0);
    await expect(card.getByText(/^Monday,? 30 November/)).toBeVisible();
  },
);

test(
  'own data and the demo are apart, and the demo starts afresh by one press',
  { tag: '@wide' },
  async ({ page, context }) => {
    await openDemo(page);
    await jot(page, 'Only in the demo Saturday 9:00');
    await expect(bar(page, 'Only in the demo')).toBeVisible();
    await openOwn(page);
    await expect(bar(page, 'Only in the demo')).toHaveCount(0);
    await jot(page, 'Only mine Saturday 9:00');
    await expect(bar(page, 'Only mine')).toBeVisible();

    await goTo(page, 'Settings');
    await page.getByRole('button', { name: 'Open the demo' }).click();
    await expect(bar(page, 'Only in the demo')).toBeVisible();
    await goTo(page, 'Settings');
    const other = await context.newPage();
    await openDemo(other);
    await expect(bar(other, 'Only in the demo')).toBeVisible();
    await page.getByRole('button', { name: 'Start the demo afresh' }).click();
    await expect(bar(other, 'Only in the demo')).toHaveCount(0);
    await expect(bar(other, 'Lamp 14 strip-down')).toBeVisible();
    await page.getByRole('link', { name: 'Plan' }).click();
    await expect(bar(page, 'Lamp 14 strip-down')).toBeVisible();
    await expect(bar(page, 'Only in the demo')).toHaveCount(0);
    await expect(page.getByRole('alert')).toHaveCount(0);

    await openOwn(page);
    await expect(bar(page, 'Only mine')).toBeVisible();
  },
);

test(
  'a damaged record is set aside and named while the rest loads',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await page.evaluate(async () => {
      const [name] = (await indexedDB.databases())
        .map((db) => db.name!)
        .filter((n) => n.includes('demo'));
      const db = await new Promise<IDBDatabase>((resolve) => {
        const request = indexedDB.open(name!);
        request.onsuccess = () => resolve(request.result);
      });
      const store = db.objectStoreNames[0]!;
      const transaction = db.transaction(store, 'readwrite');
      const shelf = transaction.objectStore(store);
      const keys = await new Promise<IDBValidKey[]>((resolve) => {
        const request = shelf.getAllKeys();
        request.onsuccess = () => resolve(request.result);
      });
      const key = keys.find((k) => String(k).includes('event/single-6'))!;
      const old = await new Promise<unknown>((resolve) => {
        const request = shelf.get(key);
        request.onsuccess = () => resolve(request.result);
      });
      const broken = '{"version":1,"data":{"id":';
      const value = typeof old === 'string' ? broken : { ...(old as object), value: broken };
      if (shelf.keyPath) shelf.put(value);
      else shelf.put(value, key);
      await new Promise((resolve) => (transaction.oncomplete = resolve));
      db.close();
    });
    await page.reload();
    await expect(bar(page, 'Lamp 14 strip-down')).toBeVisible();
    await goTo(page, 'Settings');
    await expect(page.getByRole('heading', { name: '1 record set aside' })).toBeVisible();
    await expect(page.getByText('event/single-6: the text is damaged')).toBeVisible();
    const waiting = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Export them' }).click();
    expect((await waiting).suggestedFilename()).toBe('Orderly Week set aside.json');
  },
);

test(
  'when the browser can’t store, that is told, and what was done stays on the page',
  { tag: '@wide' },
  async ({ page, context, problems }) => {
    await openDemo(page);
    // The worker's own storage fails from here on, as it does when the disk is full.
    const [worker] = page.workers();
    await worker!.evaluate(() => {
      const original = IDBDatabase.prototype.transaction;
      Object.assign(globalThis, { originalTransaction: original });
      IDBDatabase.prototype.transaction = function (stores, mode, options) {
        if (mode === 'readwrite')
          throw new DOMException(
            'The current transaction exceeded its quota limitations.',
            'QuotaExceededError',
          );
        return original.call(this, stores, mode, options);
      };
    });
    await enterLine(page, 'Unsaved call Saturday 9:00');
    await expect(bar(page, 'Unsaved call')).toBeVisible();
    const notice = page.getByRole('alert');
    await expect(
      message(page, /^Added “Unsaved call” .*\. It is on this page only\.$/),
    ).toBeVisible();
    await expect(notice).toContainText('storage for this page is full');
    await expect(notice).toContainText('1 change kept on this page only');
    const waiting = page.waitForEvent('download');
    await notice.getByRole('button', { name: 'Export all' }).click();
    expect((await waiting).suggestedFilename()).toBe('All calendars.ics');

    await worker!.evaluate(() => {
      const { originalTransaction } = globalThis as unknown as {
        originalTransaction: typeof IDBDatabase.prototype.transaction;
      };
      IDBDatabase.prototype.transaction = originalTransaction;
    });
    await notice.getByRole('button', { name: 'Try again' }).click();
    await expect(notice).toHaveCount(0);
    const other = await context.newPage();
    await openDemo(other);
    await expect(bar(other, 'Unsaved call')).toBeVisible();
    expect(problems).toEqual([]);
  },
);

test(
  'a worker that breaks, storage that is cleared and a screen that fails lose nothing',
  { tag: '@wide' },
  async ({ page, problems }) => {
    await openDemo(page);
    await jot(page, 'First call Saturday 9:00');
    await page.workers()[0]!.evaluate(() => {
      setTimeout(() => {
        throw new Error('out of steam');
      });
    });
    const notice = page.getByRole('alert');
    await expect(notice).toContainText('What keeps your data stopped and was started again.');
    await notice.getByRole('button', { name: 'Close' }).click();
    await jot(page, 'Second call Saturday 10:00');
    await expect(bar(page, 'First call')).toBeVisible();

    await page.evaluate(async () => {
      for (const { name } of await indexedDB.databases()) indexedDB.deleteDatabase(name!);
    });
    await jot(page, 'Third call Saturday 11:00');
    await expect(notice).toContainText('The browser cleared this page’s storage.');
    await page.reload();
    for (const title of ['First call', 'Second call', 'Third call', 'Lamp 14 strip-down'])
      await expect(bar(page, title)).toBeVisible();

    expect(problems).toEqual([]);
    await page.evaluate(() => {
      const { showModal } = HTMLDialogElement.prototype;
      HTMLDialogElement.prototype.showModal = function () {
        HTMLDialogElement.prototype.showModal = showModal;
        throw new Error('broken on purpose');
      };
    });
    await page.getByRole('button', { name: 'Filter', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'This screen stopped' })).toBeVisible();
    await expect(page.getByRole('alert')).toContainText(
      'Something in the app failed. What you kept is safe',
    );
    await page.getByRole('button', { name: 'Show it again' }).click();
    await expect(bar(page, 'Third call')).toBeVisible();
    // The framework says what it caught; nothing else went wrong.
    expect(problems.filter((text) => !text.includes('broken on purpose'))).toEqual([]);

    await page.route(/settings-\w+\.js$/, (route) => route.fulfill({ status: 404 }));
    await goTo(page, 'Settings');
    await expect(
      page.getByRole('heading', { name: 'This screen could not be fetched' }),
    ).toBeVisible();
    await expect(page.getByRole('alert')).toContainText('A newer version of Orderly Week may have');
    await page.getByRole('link', { name: 'Plan' }).click();
    await expect(bar(page, 'Third call')).toBeVisible();
    await goTo(page, 'Settings');
    await page.unroute(/settings-\w+\.js$/);
    await page.getByRole('button', { name: 'Reload' }).click();
    await expect(page.getByRole('heading', { name: 'Settings' })).toBeVisible();

    // Gone while no window was looking: no beginning like another, but a loss.
    await page.goto('/manifest.webmanifest');
    await page.evaluate(async () => {
      for (const { name } of await indexedDB.databases()) indexedDB.deleteDatabase(name!);
    });
    await page.goto('/');
    await expect(page.getByRole('alert')).toContainText('has lost what was kept here');
    // Parts that are missing are told by the browser too.
    expect(problems.filter((text) => !/broken on purpose|404|AsyncRequire/.test(text))).toEqual([]);
    problems.length = 0;
  },
);

test('settings change what is shown at once, and stay', { tag: '@wide' }, async ({ page }) => {
  await openOwn(page);
  await goTo(page, 'Settings');
  await page.getByRole('radio', { name: '12 hours' }).click();
  await page.getByRole('radio', { name: 'Sunday' }).click();
  await expect(message(page, 'Changed the first weekday')).toBeVisible();
  await page.getByRole('textbox', { name: 'Home zone' }).fill('halifax');
  await page.getByRole('button', { name: /^Halifax, / }).click();
  await page.getByRole('link', { name: 'Plan' }).click();
  await expect(page.getByRole('heading', { name: /^22 – 28 Nov/ })).toBeVisible();
  await jot(page, 'Pilot call Tuesday 2pm');
  await page.reload();
  await expect(bar(page, 'Pilot call')).toHaveAccessibleName(/2:00 pm – 2:30 pm/);
});

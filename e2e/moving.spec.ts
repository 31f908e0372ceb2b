import type { Page } from '@playwright/test';
import {
  bar,
  boxOf,
  expect,
  hourWidth,
  message,
  mouseDrag,
  openDemo,
  panel,
  see,
  sheet,
  test,
  touchDrag,
} from './fixtures';

const LAMP = 'Lamp 14 strip-down';

async function middleOf(page: Page, title: string) {
  const box = await boxOf(bar(page, title));
  return { x: box.x + Math.min(box.width / 2, 20), y: box.y + box.height / 2 };
}

/** How far down the row of a later day is. */
async function rowsDown(page: Page, from: RegExp, to: RegExp): Promise<number> {
  const head = (name: RegExp) => boxOf(sheet(page).getByRole('button', { name }));
  return (await head(to)).y - (await head(from)).y;
}

test('a bar is moved to another day and time, with its new time beside it, and back by Undo', async ({
  page,
  isPhone,
}) => {
  await openDemo(page);
  const from = await middleOf(page, LAMP);
  const down = await rowsDown(page, /^Monday,? 23/, /^Wednesday,? 25/);
  const to = { x: from.x + (await hourWidth(page)), y: from.y + down };
  if (isPhone) await touchDrag(page, [from, to], 400);
  else
    await mouseDrag(page, from, to, () =>
      expect(page.getByText(/^Wed,? 25 Nov, 14:00 – 16:00$/)).toBeVisible(),
    );
  await expect(bar(page, LAMP)).toHaveAccessibleName(/Wed,? 25 Nov, 14:00 – 16:00/);
  await expect(message(page, `Moved “${LAMP}”`)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(bar(page, LAMP)).toHaveAccessibleName(/Mon,? 23 Nov, 13:00 – 15:00/);
});

test('by mouse', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page);
  await test.step('Escape takes a drag back', async () => {
    const from = await middleOf(page, LAMP);
    await mouseDrag(page, from, { x: from.x + 200, y: from.y }, () =>
      page.keyboard.press('Escape'),
    );
    await expect(bar(page, LAMP)).toHaveAccessibleName(/13:00 – 15:00/);
    await expect(page.getByText(/^Moved/)).toHaveCount(0);
    await expect(page.getByRole('dialog')).toHaveCount(0);
  });
  await test.step('a whole day is moved by days', async () => {
    const bars = bar(page, 'Tomas away');
    const box = await boxOf(bars.first());
    const from = { x: box.x + 120, y: box.y + box.height / 2 };
    const to = {
      x: from.x,
      y: from.y - (await rowsDown(page, /^Wednesday,? 25/, /^Thursday,? 26/)),
    };
    await mouseDrag(page, from, to);
    await expect(bars.first()).toHaveAccessibleName(/Wed,? 25 Nov – Thu,? 26 Nov, Leave, free/);
  });
  await test.step('a bar that is let go stays where it was dropped', async () => {
    const from = await middleOf(page, LAMP);
    const hour = await hourWidth(page);
    await page.evaluate(() => {
      const seen: string[] = [];
      Object.assign(window, { seen });
      const look = () => {
        const found = document.querySelector('[data-occ][aria-label^="Lamp 14 strip-down"]');
        if (found) seen.push(String(Math.round(found.getBoundingClientRect().x)));
        requestAnimationFrame(look);
      };
      requestAnimationFrame(look);
    });
    await mouseDrag(page, from, { x: from.x + hour, y: from.y });
    await expect(bar(page, LAMP)).toHaveAccessibleName(/14:00 – 16:00/);
    await expect(message(page, `Moved “${LAMP}”`)).toBeVisible();
    const places = () =>
      page.evaluate(() => [...new Set((window as unknown as { seen: string[] }).seen)].length);
    // Where it was and where it is: no third place, however short.
    await expect.poll(places).toBeGreaterThan(1);
    expect(await places()).toBe(2);
  });
});

test('the end of a bar is stretched', async ({ page, isPhone }) => {
  await openDemo(page);
  const hour = await hourWidth(page);
  if (isPhone) await bar(page, LAMP).click();
  const box = await boxOf(bar(page, LAMP));
  const from = { x: box.x + box.width - (isPhone ? -2 : 2), y: box.y + box.height / 2 };
  const to = { x: from.x + hour, y: from.y };
  if (isPhone) await touchDrag(page, [from, to], 20);
  else await mouseDrag(page, from, to);
  await expect(bar(page, LAMP)).toHaveAccessibleName(/13:00 – 16:00/);
  await expect(message(page, `Stretched “${LAMP}”`)).toBeVisible();
});

test(
  'a drag that is held at the edge scrolls the sheet on',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await see(page, { span: ['How long', 'Month'], form: 'Rows' });
    const rows = sheet(page, 'Month');
    const event = bar(page, 'First aid refresher', 'Month');
    const last = rows.getByRole('button', { name: /^Monday,? 30 November/ });
    await expect(last).not.toBeInViewport();
    const box = await boxOf(event);
    const from = { x: box.x + Math.min(box.width / 2, 20), y: box.y + box.height / 2 };
    const ruler = await boxOf(page.getByRole('slider', { name: 'Weeks' }));
    const edge = { x: from.x, y: ruler.y - 8 };
    const there = () => expect(page.getByText(/^Mon,? 30 Nov, 09:00 – 12:00/)).toBeVisible();
    await touchDrag(page, [from, edge], 400, there);
    await expect(last).toBeInViewport();
    await expect(event).toHaveAccessibleName(/Mon,? 30 Nov, 09:00 – 12:00/);
  },
);

test(
  'a finger that moves at once scrolls and moves nothing',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    const from = await middleOf(page, 'Lens grinding slot');
    await touchDrag(page, [from, { x: from.x + 3, y: from.y - 150 }], 0);
    await expect(bar(page, 'Lens grinding slot')).toHaveAccessibleName(/14:00 – 17:00/);
    await expect(page.getByText(/^Moved/)).toHaveCount(0);
  },
);

test.describe('by keyboard', () => {
  test('by keys', { tag: '@wide' }, async ({ page }) => {
    await openDemo(page);
    await test.step('Enter opens the event in focus', async () => {
      await bar(page, LAMP).focus();
      await page.keyboard.press('Enter');
      await expect(page.getByRole('dialog', { name: LAMP })).toBeVisible();
    });
    await test.step('arrows go from event to event', async () => {
      await bar(page, 'Freight quotes').focus();
      await page.keyboard.press('ArrowRight');
      await expect(bar(page, 'Gasket delivery').first()).toBeFocused();
      await page.keyboard.press('ArrowUp');
      await expect(sheet(page).locator(':focus')).toHaveAccessibleName(/Tue,? 24 Nov/);
    });
    await test.step('Escape takes a move back', async () => {
      await bar(page, LAMP).focus();
      await page.keyboard.down('Alt');
      await page.keyboard.press('ArrowRight');
      await page.keyboard.press('Escape');
      await page.keyboard.up('Alt');
      await expect(bar(page, LAMP)).toHaveAccessibleName(/13:00 – 15:00/);
      await expect(page.getByText(/^Moved/)).toHaveCount(0);
    });
    await test.step('Alt with arrows moves, with Shift stretches, and letting go drops', async () => {
      await bar(page, LAMP).focus();
      await page.keyboard.down('Alt');
      await page.keyboard.press('ArrowRight');
      await page.keyboard.press('ArrowDown');
      await expect(page.getByText(/^Tue,? 24 Nov, 13:15 – 15:15$/)).toBeVisible();
      await page.keyboard.up('Alt');
      await expect(bar(page, LAMP)).toHaveAccessibleName(/Tue,? 24 Nov, 13:15 – 15:15/);
      await expect(bar(page, LAMP)).toBeFocused();
      await page.keyboard.down('Alt');
      await page.keyboard.press('Shift+ArrowRight');
      await page.keyboard.press('Shift+ArrowRight');
      await page.keyboard.up('Alt');
      await expect(bar(page, LAMP)).toHaveAccessibleName(/13:15 – 15:45/);
      await page.keyboard.press('Control+z');
      await page.keyboard.press('Control+z');
      await expect(bar(page, LAMP)).toHaveAccessibleName(/Mon,? 23 Nov, 13:00 – 15:00/);
    });
  });
});

test('free paper beside a short label belongs to no event', async ({ page, isPhone }) => {
  await openDemo(page);
  // Where a label's box goes on past its letters, over nobody's bar.
  const free = await page.evaluate(() =>
    [...document.querySelectorAll('.sheet-bar:not(.sheet-top)')].flatMap((bar) => {
      const letters = bar.querySelector('.sheet-letters')?.getBoundingClientRect();
      const label = bar.querySelector('.sheet-label')?.getBoundingClientRect();
      const box = bar.getBoundingClientRect();
      if (!letters || !label || !letters.width) return [];
      const x = Math.max(letters.right, box.right) + 12;
      const y = box.top + box.height / 2;
      if (x > label.right - 4 || y > window.innerHeight - 160 || y < 200) return [];
      const met = document.elementFromPoint(x, y)?.closest('.sheet-bar');
      return [{ x, y, met: met?.getAttribute('aria-label') ?? null }];
    }),
  );
  expect(free.length).toBeGreaterThan(3);
  expect(free.filter(({ met }) => met !== null)).toEqual([]);
  const { x, y } = free[0]!;
  if (isPhone) await page.touchscreen.tap(x, y);
  else await page.mouse.click(x, y);
  await expect(panel(page, 'Add an event')).toBeVisible();
  await expect(page.getByText(/^Moved/)).toHaveCount(0);
});

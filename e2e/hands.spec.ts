import type { Page } from '@playwright/test';
import { bar, expect, goTo, jot, message, openDemo, panel, see, sheet, test } from './fixtures';

/** What can be pressed and takes less than 40 px of a finger's place, by name; bars and a year's days are thinner. */
function tooSmall(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const all = document.querySelectorAll<HTMLElement>(
      'button, a[href], [role="button"], [role="switch"], [role="radio"], select',
    );
    /** How far from a middle an element is hit, in px, both ways along a line. */
    function reach(element: HTMLElement, x: number, y: number, dx: number, dy: number): number {
      const far = (way: 1 | -1) => {
        let px = 0;
        while (
          px < 40 &&
          element.contains(document.elementFromPoint(x + way * px * dx, y + way * px * dy))
        )
          px++;
        return px;
      };
      return far(1) + far(-1) - 1;
    }
    const isSmall = (element: HTMLElement) => {
      const box = element.getBoundingClientRect();
      if (!element.checkVisibility() || element.closest('[data-occ], .sheet-tasks, .year-day'))
        return false;
      const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
      const isInside = x > 20 && x < innerWidth - 20 && y > 20 && y < innerHeight - 20;
      const holds = (atX: number, atY: number) =>
        element.contains(document.elementFromPoint(atX, atY));
      // What is scrolled half away, or what something lies over, is not to be pressed there.
      const ends = [box.y + 3, box.bottom - 3].every((atY) => holds(x, atY));
      if (!isInside || !ends || !holds(x, y)) return false;
      // A button's border is part of its 40 px, though the press is not taken there.
      return reach(element, x, y, 1, 0) < 38 || reach(element, x, y, 0, 1) < 38;
    };
    return [...all]
      .filter(isSmall)
      .map((element) => element.getAttribute('aria-label') ?? element.textContent ?? '');
  });
}

test('a finger hits what it means, within 40 px', { tag: '@phone' }, async ({ page }) => {
  await openDemo(page);
  expect(await tooSmall(page), 'Plan').toEqual([]);
  // What has no room of its own is done by what is around it: an axis by the corner of all of them …
  await page.getByRole('button', { name: /See the sheet as in/ }).click();
  await page.getByRole('button', { name: /^Back to / }).click();
  // … and the work of a day by its head.
  await sheet(page)
    .getByRole('button', { name: /^Wednesday,? 25 November .* home\. Add$/ })
    .click();
  await page.getByRole('button', { name: 'Work that day: 08:30 – 17:00, home' }).click();
  const work = panel(page, /^Work on Wednesday,? 25 November$/);
  await work.getByRole('radio', { name: 'Away' }).click();
  await work.getByRole('button', { name: 'Keep' }).click();
  await expect(
    sheet(page).getByRole('button', { name: /^Wednesday,? 25 November .* away\. Add$/ }),
  ).toBeVisible();
  for (const form of ['Columns', 'Grid', 'Agenda', 'Table']) {
    await see(page, { form });
    expect(await tooSmall(page), form).toEqual([]);
  }
  for (const place of ['Today', 'Tidy', 'Calendars', 'Settings'] as const) {
    await goTo(page, place);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    expect(await tooSmall(page), place).toEqual([]);
  }
});

test('nothing goes beyond a screen of 320 px', { tag: '@phone' }, async ({ page }) => {
  await page.setViewportSize({ width: 320, height: 640 });
  await openDemo(page);
  const isWhole = () => page.evaluate(() => document.scrollingElement!.scrollWidth <= 320);
  expect(await isWhole()).toBe(true);
  for (const form of ['Columns', 'Grid', 'Table', 'Agenda', 'Rows'] as const) {
    await see(page, { form });
    expect(await isWhole(), form).toBe(true);
  }
  // A filter says how much it hides.
  await page.getByRole('button', { name: 'Filter', exact: true }).click();
  await panel(page, 'Show only').getByRole('button', { name: 'Busy' }).click();
  await panel(page, 'Show only').getByRole('button', { name: 'Done', exact: true }).click();
  expect(await isWhole()).toBe(true);
  await bar(page, 'Crate inspection').click();
  await page.getByRole('button', { name: 'Edit' }).click();
  await expect(panel(page, /^Edit/).getByRole('textbox', { name: 'Title' })).toBeFocused();
  expect(await isWhole()).toBe(true);
  for (const place of ['Today', 'Tidy', 'Calendars'] as const) {
    await goTo(page, place);
    expect(await isWhole(), place).toBe(true);
  }
});

test(
  'the keyboard turns switches, removes, and keeps its place whatever goes away',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    const isOnBody = () => page.evaluate(() => document.activeElement === document.body);
    // The region that is read out is there before its text.
    await expect(page.locator('[aria-live="polite"]')).toBeAttached();
    const chip = page.getByRole('switch', { name: 'Training' });
    await chip.focus();
    await page.keyboard.press('Space');
    await expect(chip).not.toBeChecked();
    await page.keyboard.press('Space');
    await expect(chip).toBeChecked();

    await jot(page, 'Lamp check tomorrow 9-10:30');
    expect(await isOnBody()).toBe(false);
    await bar(page, 'Lamp check').focus();
    await page.keyboard.press('Delete');
    await expect(message(page, 'Removed “Lamp check”')).toBeVisible();
    await expect(bar(page, 'Lamp check')).toHaveCount(0);
    expect(await isOnBody()).toBe(false);
    await page.getByRole('button', { name: 'Undo' }).press('Enter');
    await expect(bar(page, 'Lamp check')).toBeVisible();
    expect(await isOnBody()).toBe(false);

    // A series asks; a followed calendar is left alone.
    await bar(page, 'Bench round').first().focus();
    await page.keyboard.press('Delete');
    await expect(panel(page, /^Remove “Bench round”/)).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(bar(page, 'Bench round').first()).toBeFocused();
    await bar(page, 'Quay closed').focus();
    await page.keyboard.press('Delete');
    await expect(message(page, /^Quay closures is a followed calendar/)).toBeVisible();

    // What is brought back leaves its list.
    await bar(page, 'Lamp check').focus();
    await page.keyboard.press('Delete');
    await goTo(page, 'Removed');
    await page.getByRole('button', { name: 'Bring back Lamp check' }).press('Enter');
    await expect(page.getByText(/^Nothing is here/)).toBeVisible();
    expect(await isOnBody()).toBe(false);
  },
);

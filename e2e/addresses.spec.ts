import {
  bar,
  expect,
  goTo,
  jot,
  message,
  openDemo,
  panel,
  see,
  sheet,
  test,
  toggleCalendar,
} from './fixtures';

test(
  'every week, day and event has an address: copied, opened in a second window, gone back to',
  { tag: '@wide' },
  async ({ page, context }) => {
    await openDemo(page);
    await expect(page).toHaveURL(/\/\?on=2026-11-24&span=week&form=rows$/);
    await page.keyboard.press('PageDown');
    await expect(page).toHaveURL(/on=2026-12-01/);
    await see(page, { span: ['How long', 'Day'] });
    await expect(page).toHaveURL(/\?on=2026-12-01&span=day&form=rows$/);
    const dayAddress = page.url();
    await page.goBack();
    await expect(page).toHaveURL(/on=2026-12-01&span=week&form=rows$/);
    await page.goBack();
    await bar(page, 'Lamp 14 strip-down').click();
    await expect(panel(page, 'Lamp 14 strip-down')).toBeVisible();
    await expect(page).toHaveURL(/&event=/);
    const eventAddress = page.url();

    // Back closes the event first, and does not leave its week.
    await page.goBack();
    await expect(panel(page, 'Lamp 14 strip-down')).toBeHidden();
    await expect(page).toHaveURL(/\/\?on=2026-11-24&span=week&form=rows$/);
    await page.goForward();
    await expect(panel(page, 'Lamp 14 strip-down')).toBeVisible();
    // Closed by hand, Back goes on to what was shown before; nothing is gone through twice.
    await page.keyboard.press('Escape');
    await page.keyboard.press('PageDown');
    await expect(page).toHaveURL(/on=2026-12-01/);
    await page.goBack();
    await expect(page).toHaveURL(/\/\?on=2026-11-24/);

    const other = await context.newPage();
    await other.goto(dayAddress);
    await expect(sheet(other, 'Day')).toBeVisible();
    await expect(other).toHaveTitle(/\b1 Dec/);
    await other.goto(eventAddress);
    await expect(panel(other, 'Lamp 14 strip-down')).toBeVisible();
    await expect(bar(other, 'Lamp 14 strip-down')).toHaveAttribute('aria-pressed', 'true');

    // Removed since, it is said.
    await panel(other, 'Lamp 14 strip-down').getByRole('button', { name: 'Remove' }).click();
    await expect(message(other, /^Removed “Lamp 14/)).toBeVisible();
    await other.goto(eventAddress);
    await expect(message(other, /^That event is not here any more/)).toBeVisible();
  },
);

test(
  'Back closes what is open, the last opened first, on every screen',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await goTo(page, 'Settings');
    await goTo(page, 'Calendars');
    await page.getByRole('button', { name: 'Export…' }).click();
    await panel(page, 'Export').getByRole('radio', { name: 'A period' }).click();
    await panel(page, 'Export').getByRole('button', { name: /^From/ }).click();
    const picker = panel(page, /From/);
    await expect(picker).toBeVisible();
    await page.goBack();
    await expect(picker).toBeHidden();
    await expect(panel(page, 'Export')).toBeVisible();
    await page.goBack();
    await expect(panel(page, 'Export')).toBeHidden();
    await expect(page).toHaveURL(/calendars$/);
    await page.goBack();
    await expect(page).toHaveURL(/settings$/);
  },
);

test(
  'what is added where it can’t be seen is told, and shown by one press',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await toggleCalendar(page, 'Clients');
    await jot(page, 'Freight call tomorrow 15:00 in Clients');
    await expect(
      message(page, /^Added “Freight call” to Clients: Wed,? 25 Nov, 15:00/),
    ).toBeVisible();
    await expect(message(page, /Clients is hidden here\.$/)).toBeVisible();
    await page.getByRole('button', { name: 'Show it' }).click();
    await expect(panel(page, 'Freight call')).toBeVisible();
    await expect(bar(page, 'Freight call')).toBeVisible();
    await page.keyboard.press('Escape');

    // From another screen, for another week.
    await page.getByRole('link', { name: 'Today', exact: true }).click();
    await page
      .getByRole('textbox', { name: 'What, when, where' })
      .fill('Wick order 14 December 9:00');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Show it' }).click();
    await expect(bar(page, 'Wick order')).toBeVisible();
  },
);

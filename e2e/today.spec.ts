import { expect, message, openDemo, panel, pickDay, test } from './fixtures';

test(
  'today tells what is now and next, what is clear, and takes a line',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await page.getByRole('link', { name: 'Today', exact: true }).click();
    await expect(page.getByText('now, 35 min left, until 11:00')).toBeVisible();
    await expect(page.getByText(/^Next: Quarter ledger review at 10:30, in 5 min$/)).toBeVisible();
    await expect(page.getByText('1 h 35 min of today’s working hours are clear.')).toBeVisible();
    await page
      .getByRole('textbox', { name: 'What, when, where' })
      .fill('Varnish test 12:00 for 30 min');
    await expect(page.getByText(/^“Varnish test” · Tue,? 24 Nov, 12:00 – 12:30/)).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(message(page, 'Added “Varnish test”')).toBeVisible();
    await expect(
      page.getByRole('list', { name: 'Today’s events' }).getByRole('button', { name: /^Varnish/ }),
    ).toBeVisible();
    await expect(page.getByText('1 h 5 min of today’s working hours are clear.')).toBeVisible();
  },
);

test(
  'what is upcoming reaches as far as one looks, on and back',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await page.getByRole('link', { name: 'Today', exact: true }).click();
    const day = (name: RegExp) => page.getByRole('group', { name });
    await expect(day(/^Tuesday,? 1 December$/)).toBeVisible();
    await expect(day(/^Wednesday,? 2 December$/)).toHaveCount(0);
    await page.getByRole('button', { name: 'Days on: more' }).click();
    await expect(day(/^Wednesday,? 2 December$/)).toBeVisible();
    await page.getByRole('textbox', { name: 'Days back' }).fill('1');
    await page.getByRole('textbox', { name: 'Days back' }).press('Enter');
    await expect(day(/^Monday,? 23 November$/)).toBeVisible();
    // An event of another week is opened where it lies.
    await day(/^Wednesday,? 2 December$/)
      .getByRole('button')
      .first()
      .click();
    await expect(page.getByRole('heading', { level: 1, name: /^30 Nov – 6 Dec/ })).toBeVisible();
    await expect(page.getByRole('dialog')).toBeVisible();
  },
);

test(
  'the small window holds a day, goes to others, and adds to it',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await page.goto('/small');
    await expect(page.getByRole('heading', { name: /^Today, Tue,? 24 Nov$/ })).toBeVisible();
    await expect(page.getByRole('navigation')).toHaveCount(0);
    await page.getByRole('button', { name: 'Pick a day' }).click();
    await pickDay(page, '26 November 2026');
    await expect(panel(page, 'Pick a day')).toBeHidden();
    // The day is here, and with it the calendars that can be added to.
    await expect(page.getByRole('button', { name: /^Harbour board visit, / })).toBeVisible();
    const line = page.getByRole('textbox', { name: 'What, when, where' });
    await line.fill('Wick order 12:15');
    await line.press('Enter');
    await expect(
      page
        .getByRole('group', { name: 'Events' })
        .getByRole('button', { name: /^Wick order, Thu,? 26 Nov, 12:15/ }),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Day after' }).click();
    await expect(page.getByRole('heading', { name: /^Fri,? 27 Nov$/ })).toBeVisible();
  },
);

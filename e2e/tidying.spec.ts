import type { Page } from '@playwright/test';
import { downloaded, expect, goTo, message, openDemo, panel, pickDay, test } from './fixtures';

const checks = (page: Page) => page.getByRole('list', { name: 'Checks', exact: true });
const found = (page: Page) => page.getByRole('list', { name: /^Found: / });

/** Goes to what a check found, from wherever among the checks one is. */
async function open(page: Page, name: string): Promise<void> {
  const all = page.getByRole('button', { name: 'All checks' });
  if (await all.isVisible()) await all.click();
  await checks(page)
    .getByRole('button', { name: new RegExp(name) })
    .click();
  await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();
}

test('the mess of a year is put in order, check by check, and taken back', async ({ page }) => {
  await openDemo(page);
  await goTo(page, 'Tidy');
  await expect(page.getByText(/^\d+ to look at\. Nothing is changed/)).toBeVisible();

  // Doubles beside each other: the better of each field is chosen.
  await open(page, 'Doubles');
  const gaskets = found(page).getByRole('listitem', { name: 'Gasket Delivery', exact: true });
  await gaskets.getByRole('button', { name: 'Join' }).click();
  const beside = panel(page, /^Join “Gasket Delivery”/);
  await beside.getByRole('radio', { name: 'Workshop' }).click();
  await beside.getByRole('button', { name: 'Join 2 into one' }).click();
  await expect(message(page, /^Joined 2 into/)).toBeVisible();
  await expect(gaskets).toBeHidden();
  await page.getByRole('button', { name: /^Accept all/ }).click();
  await expect(message(page, /^Tidied \d findings?: doubles/)).toBeVisible();
  await expect(page.getByText('Nothing is left of it.')).toBeVisible();

  // Left as it is, it does not come back; it can be shown again.
  await open(page, 'Without a title');
  await found(page).getByRole('button', { name: 'Leave it' }).first().click();
  await expect(found(page).getByRole('listitem')).toHaveCount(1);
  await page.reload();
  await expect(found(page).getByRole('listitem')).toHaveCount(1);
  await page.getByRole('button', { name: 'Show 1 finding again that you left' }).click();
  await expect(found(page).getByRole('listitem')).toHaveCount(2);

  // The others by what each proposes.
  for (const [check, button] of [
    ['A time in the title', '“Museum van” at 14:15'],
    ['Out of place', 'Put the link to its field'],
    ['Odd hours', 'Put it on Tokyo’s clock'],
    ['Only information', 'Make it free'],
    ['Stale series', 'End it now'],
    ['Idle reminders', 'Clear its reminders'],
    ['Private-looking', 'Make it private'],
    ['Spelled twice', 'Merge into Barometers'],
    ['Unused', 'Remove it'],
    ['Series over closures', 'Skip 4 dates'],
  ] as const) {
    await open(page, check);
    const one = found(page).getByRole('button', { name: button }).first();
    const before = await found(page).getByRole('listitem').count();
    await one.click();
    await expect(found(page).getByRole('listitem')).toHaveCount(before - 1);
  }

  // Clashes are many: all are changed by hand, or one is shown.
  await open(page, 'Clashes');
  await found(page).getByRole('button', { name: 'Show' }).first().click();
  await expect(page).toHaveURL(/event=/);

  // One undo each.
  await page.getByRole('button', { name: 'Changes' }).click();
  await expect(panel(page, 'What was done').getByRole('listitem').first()).toContainText(
    'Tidied 1 finding: series over closures',
  );
});

test(
  'what is long over is archived, and read back from its file',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await goTo(page, 'Tidy');
    await page.getByRole('button', { name: /^Over before/ }).click();
    const picker = panel(page, 'Over before');
    await picker.getByRole('combobox', { name: 'Year' }).selectOption('2026');
    await picker.getByRole('combobox', { name: 'Month' }).selectOption({ label: 'August' });
    await pickDay(page, '1 August 2026');
    const archive = page.getByRole('button', { name: /^Archive \d+ events?$/ });
    const file = await downloaded(page, () => archive.click());
    const events = file.match(/^BEGIN:VEVENT/gm)!.length;
    await expect(
      message(page, new RegExp(`^Archived ${events} events to archive-.*\\.ics$`)),
    ).toBeVisible();
    await expect(page.getByRole('button', { name: 'Nothing to archive' })).toBeVisible();

    await page.goto('/import');
    await page.getByLabel('Calendar file').setInputFiles({
      name: 'archive.ics',
      mimeType: 'text/calendar',
      buffer: Buffer.from(file),
    });
    await page.getByRole('button', { name: /^Bring in/ }).click();
    await expect(message(page, new RegExp(`^Imported .*${events} updated`))).toBeVisible();
  },
);

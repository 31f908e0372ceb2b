import { bar, expect, message, openDemo, panel, test, goTo, typeLine } from './fixtures';

test(
  'an event is edited in every field and keeps it over a reload',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await bar(page, 'Supplier terms').click();
    await panel(page, 'Supplier terms').getByRole('button', { name: 'Edit' }).click();
    const editor = panel(page, 'Edit “Supplier terms”');
    await editor.getByRole('textbox', { name: 'Title' }).fill('Brass terms');
    await editor.getByRole('radio', { name: 'Clients' }).click();
    await editor.getByRole('textbox', { name: 'Start' }).fill('10');
    await editor.getByRole('textbox', { name: 'Place' }).fill('Upper store');
    await editor.getByRole('textbox', { name: 'Notes' }).fill('Two lines\nof notes');
    await editor
      .getByRole('textbox', { name: 'Link', exact: true })
      .fill('https://brass.example/new');
    await editor.getByRole('radio', { name: 'Tentative' }).click();
    await editor.getByRole('radio', { name: 'Private' }).click();
    await editor.getByRole('button', { name: 'Keep' }).click();
    await expect(message(page, 'Changed “Brass terms”')).toBeVisible();

    await page.reload();
    await expect(bar(page, 'Brass terms')).toHaveAccessibleName(
      /10:00 – 10:30, Clients, tentative/,
    );
    await bar(page, 'Brass terms').click();
    const details = panel(page, 'Brass terms');
    await expect(details.getByText('Clients · tentative · private')).toBeVisible();
    await expect(details.getByRole('link', { name: 'https://brass.example/new' })).toHaveAttribute(
      'rel',
      /noopener/,
    );
    await expect(details.getByText('Two lines')).toBeVisible();
  },
);

test(
  'the editor checks times, copies to days, and removes',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await test.step('an end before the start is told at once and not saved; the end follows the start', async () => {
      await bar(page, 'Crate inspection').click();
      await page.getByRole('button', { name: 'Edit' }).click();
      const editor = panel(page, /^Edit/);
      await editor.getByRole('textbox', { name: 'End' }).fill('9:00');
      await editor.getByRole('textbox', { name: 'End' }).blur();
      await expect(editor.getByRole('alert')).toHaveText('The end is before the start.');
      await expect(editor.getByRole('button', { name: 'Keep' })).toBeDisabled();
      await editor.getByRole('textbox', { name: 'End' }).fill('12:00');
      await editor.getByRole('textbox', { name: 'Start' }).fill('15:00');
      await editor.getByRole('textbox', { name: 'Start' }).blur();
      await expect(editor.getByRole('textbox', { name: 'End' })).toHaveValue('16:00');
    });
    await test.step('copies go to chosen days on a chosen calendar', async () => {
      await bar(page, 'Supplier terms').click();
      await page.getByRole('button', { name: 'Copy to…' }).click();
      const copy = panel(page, /^Copy “Supplier terms”/);
      await expect(copy.getByRole('button', { name: 'Copy', exact: true })).toBeDisabled();
      await copy.getByRole('button', { name: /^Fri,? 27 Nov/ }).click();
      await copy.getByRole('button', { name: /^Sat,? 28 Nov/ }).click();
      await copy.getByRole('radio', { name: 'Workshop' }).click();
      await copy.getByRole('button', { name: 'Copy to 2 days' }).click();
      await expect(message(page, 'Copied “Supplier terms” to 2 days')).toBeVisible();
      await expect(bar(page, 'Supplier terms')).toHaveCount(3);
      await expect(bar(page, 'Supplier terms').nth(1)).toHaveAccessibleName(
        /Fri,? 27 Nov, 13:30 – 14:00, Workshop/,
      );
      await page.getByRole('button', { name: 'Undo' }).click();
      await expect(bar(page, 'Supplier terms')).toHaveCount(1);
    });
    await test.step('a removed event waits in Removed and can be brought back', async () => {
      await bar(page, 'Pilot station survey').click();
      await panel(page, 'Pilot station survey').getByRole('button', { name: 'Remove' }).click();
      await expect(message(page, 'Removed “Pilot station survey”')).toBeVisible();
      await expect(bar(page, 'Pilot station survey')).toHaveCount(0);
      await goTo(page, 'Removed');
      await page.getByRole('button', { name: 'Bring back Pilot station survey' }).click();
      await expect(page.getByText('Nothing is here.')).toBeVisible();
      await page.getByRole('link', { name: 'Plan' }).click();
      await expect(bar(page, 'Pilot station survey')).toBeVisible();
    });
  },
);

test('whole days, and copies of a date', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page);
  await test.step('whole day and back keeps the hours', async () => {
    async function turn() {
      await bar(page, 'Crate inspection').click();
      await page.getByRole('button', { name: 'Edit' }).click();
      await panel(page, /^Edit/).getByRole('switch', { name: 'Whole day' }).click();
      await page.getByRole('button', { name: 'Keep' }).click();
    }
    await turn();
    await expect(bar(page, 'Crate inspection')).toHaveAccessibleName(
      /^Crate inspection, Fri,? 27 Nov, Clients/,
    );
    await turn();
    await expect(bar(page, 'Crate inspection')).toHaveAccessibleName(/11:00 – 12:00/);
  });
  await test.step('a date of a series can be copied by itself', async () => {
    await bar(page, 'Stock count').click();
    await page.getByRole('button', { name: 'Copy to…' }).click();
    await page.getByRole('button', { name: /^Thu,? 26 Nov/ }).click();
    await page.getByRole('button', { name: 'Copy to 1 day' }).click();
    await expect(bar(page, 'Stock count')).toHaveCount(2);
    await expect(bar(page, 'Stock count').nth(1)).not.toHaveAccessibleName(/repeats/);
  });
});

test('clearing for good asks first, and then is for good', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page);
  await bar(page, 'Lamp 14 strip-down').click();
  await panel(page, 'Lamp 14 strip-down').getByRole('button', { name: 'Remove' }).click();
  await goTo(page, 'Removed');
  await page.getByRole('button', { name: 'Clear for good…' }).click();
  await page.getByRole('button', { name: 'Keep them' }).click();
  await expect(page.getByRole('button', { name: 'Keep them' })).toBeHidden();
  await page.getByRole('button', { name: 'Clear for good…' }).click();
  await page.getByRole('button', { name: 'Clear for good', exact: true }).click();
  await expect(page.getByText('Nothing is here.')).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.getByRole('link', { name: 'Plan' }).click();
  await expect(bar(page, 'Quarter ledger review')).toBeVisible();
  await expect(bar(page, 'Lamp 14 strip-down')).toHaveCount(0);
});

test('undo and redo by keys, after a reload too', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page);
  for (const title of ['Petty cash', 'Gasket delivery']) {
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await typeLine(page, `${title} again Saturday 9:00`);
    await page.keyboard.press('Enter');
    await expect(bar(page, `${title} again`)).toBeVisible();
  }
  await page.reload();
  await expect(bar(page, 'Gasket delivery again')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(bar(page, 'Gasket delivery again')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(bar(page, 'Petty cash again')).toHaveCount(0);
  await page.keyboard.press('Control+Shift+z');
  await expect(bar(page, 'Petty cash again')).toBeVisible();
  await expect(message(page, 'Done again: Added “Petty cash again”')).toBeVisible();
  await expect(bar(page, 'Gasket delivery again')).toHaveCount(0);
});

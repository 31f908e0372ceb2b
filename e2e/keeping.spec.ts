import { bar, expect, goTo, jot, message, openDemo, panel, test } from './fixtures';

test(
  'an edit that was begun waits, however the editor was left, and is gone on with',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    const title = panel(page, /^Edit/).getByRole('textbox', { name: 'Title' });
    async function edit() {
      await bar(page, 'Crate inspection').click();
      await page.getByRole('button', { name: 'Edit' }).click();
    }
    await edit();
    await title.fill('Crate inspection, gate B');
    await page.keyboard.press('Escape');
    await expect(message(page, /^Your changes to “Crate inspection, gate B” wait/)).toBeVisible();
    await expect(bar(page, 'Crate inspection')).toHaveAccessibleName(/changes not kept yet$/);

    // After a reload too; a glance at another event leaves it as it is.
    await page.reload();
    await bar(page, 'Supplier terms').click();
    await edit();
    await expect(title).toHaveValue('Crate inspection, gate B');
    await page.getByRole('button', { name: 'Start over' }).click();
    await expect(title).toHaveValue('Crate inspection');
    await title.fill('Crate inspection, gate D');
    await page.keyboard.press('Escape');
    // Its card says so too, and lets go of it by one press.
    await bar(page, 'Crate inspection').click();
    const begun = page.getByText('Changed and not kept: “Crate inspection, gate D”');
    await expect(begun).toBeVisible();
    await page.getByRole('button', { name: 'Let go' }).click();
    await expect(begun).toBeHidden();
    await expect(bar(page, 'Crate inspection')).not.toHaveAccessibleName(/not kept/);
    await page.getByRole('button', { name: 'Edit' }).click();
    await expect(title).toHaveValue('Crate inspection');
    await title.fill('Crate inspection, gate C');
    // Another screen.
    await page.getByRole('link', { name: 'Today', exact: true }).click();
    await page.getByRole('link', { name: 'Plan' }).click();
    await expect(bar(page, 'Crate inspection')).toHaveAccessibleName(/changes not kept yet$/);
    await edit();
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(message(page, 'Changed “Crate inspection, gate C”')).toBeVisible();
    await expect(bar(page, 'Crate inspection, gate C')).not.toHaveAccessibleName(/not kept/);

    // Kept without a change, it says nothing and changes nothing.
    await bar(page, 'Crate inspection, gate C').click();
    await page.getByRole('button', { name: 'Edit' }).click();
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(panel(page, /^Edit/)).toBeHidden();
    await page.getByRole('button', { name: 'Changes' }).click();
    const list = panel(page, 'What was done').getByRole('listitem');
    await expect(list).toHaveCount(1);
  },
);

test(
  'a line that was begun is offered where one adds, and let go of by one press',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    const add = page.getByRole('button', { name: 'Add', exact: true });
    const line = page.getByRole('textbox', { name: 'What, when, where' });
    await add.click();
    await line.fill('Freight call Thu 14:00');
    await page.keyboard.press('Escape');
    await page.reload();
    await add.click();
    const card = panel(page, 'Add an event');
    await expect(card.getByText('Begun and not added: “Freight call Thu 14:00”')).toBeVisible();
    await card.getByRole('button', { name: 'Go on' }).click();
    await expect(line).toHaveValue('Freight call Thu 14:00');
    await card.getByRole('button', { name: 'All details' }).click();
    await page.getByRole('textbox', { name: 'Place' }).fill('Quay 3');
    await page.keyboard.press('Escape');
    await expect(message(page, /“Freight call” is not added yet/)).toBeVisible();
    await add.click();
    await card.getByRole('button', { name: 'Go on' }).click();
    await expect(page.getByRole('textbox', { name: 'Place' })).toHaveValue('Quay 3');
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(bar(page, 'Freight call')).toBeVisible();
    await add.click();
    await expect(card.getByText('Begun and not added')).toBeHidden();
  },
);

test(
  'what was done is listed on every screen, and taken back step by step or to a point',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await jot(page, 'Lamp check tomorrow 9-10:30');
    await jot(page, 'Wick order tomorrow 11:00');
    await goTo(page, 'Calendars');
    await page.getByRole('button', { name: 'Changes' }).click();
    const done = panel(page, 'What was done');
    await expect(done.getByRole('listitem')).toHaveText([
      /^Added “Wick order”.*Tue,? 24 Nov, 10:25/,
      /^Added “Lamp check”/,
    ]);
    await done.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(done.getByText(/undone$/)).toHaveCount(1);
    await done.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(done.getByText(/undone$/)).toHaveCount(2);
    await done.getByRole('button', { name: /^Do again up to “Added “Wick order” to/ }).click();
    await expect(done.getByText(/undone$/)).toHaveCount(0);
    await done.getByRole('button', { name: /^Undo back to before “Added “Lamp check” to/ }).click();
    await expect(done.getByText(/undone$/)).toHaveCount(2);
    await done.getByRole('button', { name: 'Do again', exact: true }).click();
    await page.keyboard.press('Escape');
    await page.getByRole('link', { name: 'Plan' }).click();
    await expect(bar(page, 'Lamp check')).toBeVisible();
    await expect(bar(page, 'Wick order')).toBeHidden();
  },
);

import { bar, expect, goTo, jot, message, openDemo, panel, test } from './fixtures';

test(
  'new events get a room as it was chosen, which is joined where it is due',
  { tag: '@wide' },
  async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    await openDemo(page);
    await goTo(page, 'Settings');
    await page
      .getByRole('radiogroup', { name: 'Room links for new events' })
      .getByRole('radio', { name: 'All' })
      .click();
    await goTo(page, 'Plan');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(
      panel(page, 'Add an event').getByRole('checkbox', { name: /A room link/ }),
    ).toBeChecked();
    await page.keyboard.press('Escape');
    await jot(page, 'Crate talk 10:45 remind me 15 min before');

    // In the details, on Today, and in its reminder.
    await bar(page, 'Crate talk').click();
    await expect(
      panel(page, 'Crate talk').getByRole('button', { name: 'Join Crate talk' }),
    ).toBeVisible();
    await page.keyboard.press('Escape');
    await goTo(page, 'Today');
    await page.clock.fastForward('06:00');
    const due = page.getByRole('region', { name: 'Reminders' });
    await expect(due.getByRole('button', { name: 'Join Crate talk' })).toBeVisible();
    const opened = page.waitForEvent('popup');
    await page.getByRole('main').getByRole('button', { name: 'Join Crate talk' }).last().click();
    const room = await opened;
    await expect(room.getByRole('heading', { name: 'Crate talk' })).toBeVisible();
    await expect(room.getByText('You')).toBeVisible();
    await room.close();

    await page.getByRole('button', { name: 'Start a call now' }).click();
    await expect(message(page, 'The call begins now. Its link is copied.')).toBeVisible();
    const link = await page.evaluate(() => navigator.clipboard.readText());
    expect(link).toMatch(/\/room\/[\w-]{16}$/);
    await expect(page.getByRole('button', { name: 'Join Call' }).first()).toBeVisible();
  },
);

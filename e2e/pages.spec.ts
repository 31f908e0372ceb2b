import type { Page } from '@playwright/test';
import { bar, expect, message, openDemo, panel, takeHold, test } from './fixtures';

const points = (page: Page) => page.getByRole('list', { name: 'Points' });
/** Opens the page of an event by its details. */
async function openPage(page: Page, title: string): Promise<void> {
  await bar(page, title).click();
  await panel(page, title).getByRole('button', { name: 'Points, notes, follow-ups' }).click();
  await expect(page.getByRole('heading', { name: title, level: 1 })).toBeVisible();
}

test(
  'a meeting is prepared, run in quiet mode, and left with follow-ups',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await openPage(page, 'Pilot station survey');
    await expect(page.getByText('4 points, 1 h of 1 h')).toBeVisible();

    // A point more makes it too long; it goes to the front by keys.
    await page
      .getByRole('textbox', { name: 'A point, and its minutes' })
      .fill('Who comes along, 5 min');
    await page.keyboard.press('Enter');
    await expect(page.getByText('5 points, 1 h 5 min: 5 min too long')).toBeVisible();
    await takeHold(page, 'Who comes along');
    await page.keyboard.press('ArrowUp');
    await expect(page.getByText('Who comes along is at the place of When they')).toBeAttached();
    await page.keyboard.press('Space');
    await expect(message(page, /^Moved a point of/)).toBeVisible();
    await expect(points(page).getByRole('listitem').nth(3)).toContainText('Who comes along');

    // Quiet mode: 10:25 of an hour from 10:00 on.
    await page.getByRole('button', { name: 'Quiet mode' }).click();
    const quiet = panel(page, 'Pilot station survey');
    await expect(quiet.getByRole('timer')).toHaveText('35 min left');
    await expect(quiet.getByText('Cracks in the glass')).toBeVisible();
    await quiet.getByRole('button', { name: 'Dealt with' }).click();
    await expect(quiet.getByText('Stand for the new lantern')).toBeVisible();
    await quiet.getByRole('textbox', { name: 'Write down' }).fill('[ ] Ask for a <b>dry</b> day');
    await page.keyboard.press('Enter');
    await expect(quiet.getByRole('list', { name: 'Written down' })).toContainText('dry');
    await page.keyboard.press('Escape');

    // What was written is formatted, and no HTML of it is run; its open boxes become follow-ups.
    await expect(page.getByRole('heading', { name: 'Before we go' })).toBeVisible();
    await expect(page.getByText('Ask for a <b>dry</b> day')).toBeVisible();
    await page.getByRole('button', { name: 'Make follow-ups of 2 open boxes' }).click();
    const followUps = page.getByRole('list', { name: 'Follow-ups' });
    await expect(followUps.getByRole('listitem')).toHaveCount(3);
    await expect(page.getByRole('button', { name: /open box/ })).toHaveCount(0);
    await page
      .getByRole('textbox', { name: 'What follows, and by when' })
      .fill('due Friday: send the sketch');
    await page.keyboard.press('Enter');
    await expect(followUps.getByRole('listitem', { name: 'send the sketch' })).toContainText(
      /due Fri,? 27 Nov/,
    );
    await page.reload();
    await expect(points(page).getByRole('checkbox', { name: /Cracks in the glass/ })).toBeChecked();
    await expect(followUps.getByRole('listitem')).toHaveCount(4);
  },
);

test(
  'notes that are begun wait, and what a series left open is carried on',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await openPage(page, 'Week close-out');
    await expect(page.getByRole('list', { name: 'Left open last time' })).toContainText(
      'Who has the gate key',
    );
    await page.getByRole('button', { name: 'Carry 2 open points on to this time' }).click();
    await expect(points(page).getByRole('listitem')).toHaveCount(4);
    await expect(message(page, 'Carried on 2 points of “Week close-out”')).toBeVisible();
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(points(page).getByRole('listitem')).toHaveCount(2);

    await page.getByRole('button', { name: 'Write notes' }).click();
    const field = page.getByRole('textbox', { name: 'Notes, in simple Markdown' });
    await field.fill('**Oskar** locks up');
    await page.reload();
    await expect(field).toHaveValue('**Oskar** locks up');
    await page.getByRole('button', { name: 'Keep notes' }).click();
    await expect(page.locator('strong', { hasText: 'Oskar' })).toBeVisible();
    await page.getByRole('button', { name: 'Go there' }).click();
    await expect(page.getByText('Nothing is written down yet.')).toBeVisible();
    await page.getByRole('button', { name: 'Its page' }).click();
    await expect(page.locator('strong', { hasText: 'Oskar' })).toBeVisible();
  },
);

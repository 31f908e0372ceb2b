import type { Browser, Page } from '@playwright/test';
import {
  bar,
  downloaded,
  enterLine,
  expect,
  goTo,
  message,
  openDemo,
  panel,
  test,
} from './fixtures';

const dialog = (page: Page) => panel(page, 'Share Clients');
const shared = (page: Page) =>
  dialog(page).getByRole('list', { name: 'Shared already' }).getByRole('listitem');

/** Shares the calendar at a level, and answers with the address that somebody else opens. */
async function share(page: Page, level: string): Promise<string> {
  const before = await shared(page).count();
  await dialog(page).getByRole('radio', { name: level, exact: true }).click();
  await dialog(page).getByRole('button', { name: 'Share it' }).click();
  await expect(shared(page)).toHaveCount(before + 1);
  const opened = page.context().waitForEvent('page');
  await shared(page)
    .last()
    .getByRole('button', { name: /^Look at it as/ })
    .click();
  const look = await opened;
  const address = look.url();
  await look.close();
  return address;
}

/** A second browser, of somebody who knows nothing of the first, and runs no script. */
async function somebody(browser: Browser): Promise<Page> {
  const context = await browser.newContext({
    javaScriptEnabled: false,
    viewport: { width: 390, height: 844 },
  });
  return context.newPage();
}

test('a calendar is shared at each level, read in another browser, changed and ended', async ({
  page,
  browser,
  isPhone,
}) => {
  await openDemo(page);
  await enterLine(page, 'Secret tender tomorrow 11:00-12:00 in Clients');
  await expect(message(page, /^Added “Secret tender/)).toBeVisible();
  await bar(page, 'Secret tender').click();
  await page.getByRole('button', { name: 'Edit' }).click();
  await page.getByRole('radio', { name: 'Private' }).click();
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(message(page, /^Changed “Secret tender/)).toBeVisible();

  await goTo(page, 'Calendars');
  await page.getByRole('button', { name: 'More for Clients' }).click();
  await page.getByRole('button', { name: 'Share…' }).click();

  // It is seen first as they see it.
  const preview = dialog(page).getByRole('group', { name: 'As they see it' });
  await expect(preview).toContainText('Booked');
  await expect(preview).not.toContainText('Harbour board visit');
  await dialog(page).getByRole('radio', { name: 'All but private' }).click();
  await expect(preview).toContainText('Harbour board visit');
  await expect(preview).not.toContainText('Private');
  await dialog(page).getByRole('radio', { name: 'All', exact: true }).click();
  await expect(preview).toContainText('Private');
  await expect(preview).not.toContainText('Secret');

  const booked = await share(page, 'Booked only');
  const titles = await share(page, 'Titles');
  const other = await somebody(browser);
  const read = async (address: string, until: string) => {
    await expect
      .poll(async () => {
        await other.goto(address);
        return other.locator('body').innerText();
      })
      .toContain(until);
    return other.locator('body').innerText();
  };
  expect(await read(booked, 'Booked')).not.toMatch(/Harbour board|Secret/);
  expect(await read(titles, 'Harbour board visit')).not.toMatch(/Secret/);
  await expect(other.getByRole('heading', { name: 'Clients', level: 1 })).toBeVisible();
  const href = await other.getByRole('link', { name: 'Follow this calendar' }).getAttribute('href');
  const feed = await (await other.request.get(new URL(href!, titles).href)).text();
  expect(feed).toContain('SUMMARY:Harbour board visit');
  expect(feed).not.toMatch(/Secret/);

  // More of it is let be seen, at the same address; seen first in the preview.
  await dialog(page).getByRole('radio', { name: 'Titles' }).click();
  await dialog(page)
    .getByRole('button', { name: 'Let Whoever has the address see: Titles' })
    .click();
  await expect(message(page, 'Changed what is seen of Clients')).toBeVisible();
  expect(await read(booked, 'Harbour board visit')).not.toMatch(/Secret/);

  // What is changed is there soon after; what is ended is gone at once.
  await page.keyboard.press('Escape');
  await enterLine(page, 'Lantern fair tomorrow 15:00-16:00 in Clients');
  await expect(message(page, /^Added “Lantern fair/)).toBeVisible();
  await read(titles, 'Lantern fair');
  await goTo(page, 'People');
  const shares = page.getByRole('list', { name: 'What I share' }).getByRole('listitem');
  await expect(shares).toHaveCount(2);
  await shares.nth(1).getByRole('button', { name: 'End' }).click();
  await expect(shares).toHaveCount(1);
  await read(titles, 'There is nothing shared here, or not any more.');
  if (isPhone) return;

  // With a person: they get a mail with its address; and the same copy as a file.
  await goTo(page, 'Calendars');
  await page.getByRole('button', { name: 'More for Clients' }).click();
  await page.getByRole('button', { name: 'Share…' }).click();
  await dialog(page)
    .getByRole('button', { name: /^With: / })
    .click();
  await dialog(page).getByRole('radio', { name: 'Ida' }).click();
  await expect(dialog(page)).toContainText('Ida gets a mail with the address.');
  await dialog(page).getByRole('radio', { name: 'A week' }).click();
  await dialog(page).getByRole('radio', { name: 'Titles' }).click();
  const file = await downloaded(page, () =>
    dialog(page).getByRole('button', { name: 'Save as a file' }).click(),
  );
  expect(file).toContain('SUMMARY:Lantern fair');
  expect(file).not.toContain('Secret');
  await dialog(page).getByRole('button', { name: 'Share it' }).click();
  await expect(shared(page).filter({ hasText: 'Ida Solberg' })).toContainText(
    'Titles · until 1 Dec',
  );
  await page.keyboard.press('Escape');
  await goTo(page, 'Outbox');
  await expect(page.getByText('Shared with you: Clients')).toBeVisible();
  await expect(page.getByText('ida@lantern-quay.example').first()).toBeVisible();
});

test(
  'whoever may change a calendar does so on its page; what comes in is marked, told where both changed it, and taken back',
  { tag: '@phone' },
  async ({ page, browser }) => {
    await openDemo(page);
    await goTo(page, 'Calendars');
    await page.getByRole('button', { name: 'More for Clients' }).click();
    await page.getByRole('button', { name: 'Share…' }).click();
    const address = await share(page, 'May change');
    await page.keyboard.press('Escape');
    const other = await somebody(browser);
    const change = async (title: string, fields: Record<string, string>, press = 'Send') => {
      await other.goto(address);
      await other
        .getByRole('link', { name: `Change ${title}` })
        .first()
        .click();
      for (const [name, value] of Object.entries(fields))
        await other.getByRole('textbox', { name }).fill(value);
      await other.getByRole('button', { name: press }).click();
    };

    // What is wrong with it is told there, with what was typed.
    await change('Crate inspection', { 'Your name': 'Wren', Title: ' ' });
    await expect(other.getByRole('alert')).toHaveText('It needs a title.');
    await change('Crate inspection', { 'Your name': 'Wren', Place: 'Pier 4' });
    await expect(other.getByRole('status')).toContainText('Wren: Crate inspection');
    await page.getByRole('link', { name: 'Plan' }).click();
    await page.clock.fastForward('01:10');
    const told = page.getByRole('region', { name: 'Changed by others' });
    await expect(told).toContainText('Wren (name not checked) changed “Crate inspection”.');
    await expect(bar(page, 'Crate inspection')).toHaveAccessibleName(
      /changed by Wren \(name not checked\)/,
    );
    await told.getByRole('button', { name: 'Look' }).click();
    await expect(panel(page, 'Crate inspection').getByText('Pier 4')).toBeVisible();
    await page.keyboard.press('Escape');
    await told.getByRole('button', { name: 'Seen' }).click();
    await expect(told).toBeHidden();

    // Both change the same: the person's stays, and theirs can be taken.
    await other.goto(address);
    await other.getByRole('link', { name: 'Change Crate inspection' }).click();
    await bar(page, 'Crate inspection').click();
    await page.getByRole('button', { name: 'Edit' }).click();
    const editor = panel(page, /^Edit/);
    await editor.getByRole('textbox', { name: 'Place' }).fill('Quay 2');
    await editor.getByRole('button', { name: 'Keep' }).click();
    await expect(message(page, /^Changed “Crate inspection”/)).toBeVisible();
    await other.getByRole('textbox', { name: 'Your name' }).fill('Wren');
    await other.getByRole('textbox', { name: 'Place' }).fill('Quay 9');
    await other.getByRole('button', { name: 'Send' }).click();
    await page.clock.fastForward('01:10');
    await expect(told).toContainText('Yours stays; theirs: place “Quay 9”.');
    await told.getByRole('button', { name: 'Take theirs' }).click();
    await expect(told).toBeHidden();
    await expect(
      message(page, 'Took what Wren (name not checked) wrote of “Crate inspection”'),
    ).toBeVisible();

    await expect
      .poll(async () => {
        await other.goto(address);
        return other.locator('body').innerText();
      })
      .toContain('Quay 9');
    await change('Crate inspection', { 'Your name': 'Wren' }, 'Remove it');
    await page.clock.fastForward('01:10');
    await expect(bar(page, 'Crate inspection')).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(bar(page, 'Crate inspection')).toBeVisible();
  },
);

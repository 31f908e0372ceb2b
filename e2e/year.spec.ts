import type { Page } from '@playwright/test';
import {
  bar,
  downloaded,
  expect,
  exportAll,
  goTo,
  jot,
  makeCalendar,
  message,
  openOwn,
  panel,
  test,
} from './fixtures';

const row = (page: Page, name: string) =>
  page.getByRole('list', { name: 'Calendars', exact: true }).getByRole('listitem').filter({
    hasText: name,
  });

async function toCalendars(page: Page) {
  await goTo(page, 'Calendars');
}

async function fromMenu(page: Page, calendar: string, item: string) {
  await toCalendars(page);
  await page.getByRole('button', { name: `More for ${calendar}` }).click();
  await panel(page, calendar).getByRole('button', { name: item }).click();
}

/** Everything in one text. */
async function backup(page: Page): Promise<string> {
  await toCalendars(page);
  return downloaded(page, () => page.getByRole('button', { name: 'Back up' }).click());
}

/** A backup but for when it was made. */
const withoutMoment = (text: string) => text.replace(/"made": "[^"]+"/, '');

test(
  'a year with six calendars: mixed up, merged, swept, followed, exported, restored',
  { tag: '@wide' },
  async ({ page, context, browser, baseURL }, info) => {
    test.setTimeout(240_000);
    await openOwn(page);
    for (const name of ['Freight', 'Freigth', 'Lamps', 'Bills']) await makeCalendar(page, name);
    for (const line of [
      'Quay round every Monday 9:00 until 30 April in Freight',
      'Ferry papers 3 December 10:00 in Freigth',
      'Customs visit 10 December 14:00 in Freigth',
      'Customs visit 10 December 14:00 in Freight',
      'Lens order 12 January 11:00 in Lamps',
      'Pay the glazier monthly on the 8th in Bills',
    ])
      await jot(page, line);

    // Merged: the calendar with the slip of the pen goes, the visit that was on both is one.
    await fromMenu(page, 'Freigth', 'Merge into another…');
    const merge = panel(page, 'Merge Freigth into another');
    await merge.getByRole('radio', { name: 'Freight' }).click();
    await expect(merge.getByText('2 events go to Freight.')).toBeVisible();
    await expect(merge.getByRole('list', { name: 'On both calendars' })).toContainText('Customs');
    await merge.getByRole('button', { name: 'Merge 2 events' }).click();
    await expect(message(page, 'Merged Freigth into Freight: 2 events, 1 joined')).toBeVisible();
    await expect(row(page, 'Freight')).toContainText('3 events');

    // Coloured.
    await fromMenu(page, 'Lamps', 'Edit');
    const edit = panel(page, 'Edit Lamps');
    await edit.getByRole('radio', { name: 'Madder' }).click();
    await edit.getByRole('radio', { name: 'drop' }).click();
    await edit.getByRole('button', { name: 'Keep' }).click();
    await expect(message(page, 'Changed Lamps')).toBeVisible();

    // Followed, with a copy of the office that no other test plays with.
    const address = `/feeds/quay-closures.ics?copy=${info.project.name}-${Date.now()}`;
    await page.getByRole('button', { name: 'Follow one' }).click();
    const follow = panel(page, 'Follow a calendar');
    await follow.getByRole('textbox', { name: 'Address' }).fill(address);
    await follow.getByRole('button', { name: 'Look' }).click();
    await expect(follow.getByText('3 events are there.')).toBeVisible();
    await follow.getByRole('button', { name: 'Its events are closures' }).click();
    await follow.getByRole('button', { name: 'Follow', exact: true }).click();
    await expect(row(page, 'Quay closures')).toContainText(
      /3 events · closures · followed · updated/,
    );

    // Swept: the round that falls on the closing over Christmas goes to the next clear day.
    await page.getByRole('link', { name: 'Tidy' }).click();
    await page.getByRole('button', { name: 'Sweep 1 date' }).click();
    await expect(message(page, 'Moved 1 date')).toBeVisible();

    // The office changes its notice, then its server is away.
    await fromMenu(page, 'Quay closures', 'What it follows');
    const feed = panel(page, 'Quay closures');
    await feed.getByRole('button', { name: 'Let it change' }).click();
    await expect(message(page, /^Done\. Look again/)).toBeVisible();
    await feed.getByRole('button', { name: 'Look now' }).click();
    const news = feed.getByRole('list', { name: 'What changed' });
    await expect(news.getByRole('listitem')).toHaveCount(3);
    await expect(news).toContainText('Crane inspection');
    await feed.getByRole('button', { name: 'Take it off the network' }).click();
    await feed.getByRole('button', { name: 'Look now' }).click();
    await expect(feed.getByRole('alert')).toContainText('The events are those of the last time.');
    await page.keyboard.press('Escape');
    await expect(row(page, 'Quay closures')).toContainText('its feed is away');

    await page.getByRole('link', { name: 'Plan' }).click();
    await page.getByRole('button', { name: 'Today', exact: true }).click();
    await page.getByRole('button', { name: 'Week after' }).click();
    await expect(bar(page, 'Crane inspection')).toBeVisible();

    const file = await exportAll(page);
    expect(file.match(/BEGIN:VEVENT/g)).toHaveLength(9);
    expect(file).toContain('SUMMARY:Customs visit');
    const kept = await backup(page);

    // Into an empty profile: looked at, restored, equal; and undone to what was there.
    const other = await browser.newContext({ baseURL, viewport: page.viewportSize() });
    await other.clock.install({ time: await page.evaluate(() => Date.now()) });
    const fresh = await other.newPage();
    await openOwn(fresh);
    await toCalendars(fresh);
    await fresh.getByLabel('Backup file').setInputFiles({
      name: 'backup.json',
      mimeType: 'application/json',
      buffer: Buffer.from(kept),
    });
    const restore = panel(fresh, /^Backup of/);
    await expect(restore.getByRole('list', { name: 'What is in it' })).toContainText('9 events');
    await restore.getByRole('button', { name: 'Restore it' }).click();
    await expect(message(fresh, /^Restored the backup/)).toBeVisible();
    expect(withoutMoment(await backup(fresh))).toBe(withoutMoment(kept));
    expect(await exportAll(fresh)).toBe(file);
    await fresh.getByRole('link', { name: 'Plan' }).click();
    await fresh.keyboard.press('Control+z');
    await expect(fresh.getByRole('switch', { name: 'Quay closures' })).toHaveCount(0);
    await other.close();
    await context.close();
  },
);

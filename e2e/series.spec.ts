import type { Page } from '@playwright/test';
import {
  bar,
  boxOf,
  expect,
  exportAll,
  jot,
  makeCalendar,
  message,
  openDemo,
  openOwn,
  panel,
  sheet,
  test,
  touchDrag,
  typeLine,
} from './fixtures';

/** All of the person's calendars as the file that they would get, and back to the plan. */
async function exported(page: Page): Promise<string> {
  const text = await exportAll(page);
  await page.getByRole('link', { name: 'Plan' }).click();
  await expect(sheet(page)).toBeVisible();
  return text.replaceAll('\r\n ', '');
}

/** Shows the week of a day by its weeks' distance from the one shown. */
async function turn(page: Page, weeks: number): Promise<void> {
  const name = weeks > 0 ? 'Week after' : 'Week before';
  for (let i = 0; i < Math.abs(weeks); i++) await page.getByRole('button', { name }).click();
}

const round = (page: Page) => bar(page, 'Crate round');

/** Moves a bar one hour on: with the keyboard, or with a finger. */
async function moveAnHourOn(page: Page, isPhone: boolean): Promise<void> {
  if (!isPhone) {
    await round(page).focus();
    await page.keyboard.down('Alt');
    for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight');
    await page.keyboard.up('Alt');
    return;
  }
  const box = await boxOf(round(page));
  const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  // The bar lasts half an hour.
  await touchDrag(page, [from, { x: from.x + 2 * box.width, y: from.y }], 400);
}

test(
  'the whole life of a series, undone step by step to nothing',
  { tag: '@phone' },
  async ({ page, isPhone }) => {
    test.slow();
    await openOwn(page);
    await makeCalendar(page, 'Quay gates', true);
    await page.getByRole('link', { name: 'Plan' }).click();
    await jot(page, 'Gate repairs 6 January in Quay gates');
    await jot(page, 'Harbour works 17 February in Quay gates');
    await page.getByRole('button', { name: 'Today', exact: true }).click();

    const files = [await exported(page)];
    const keepFile = async () => files.push(await exported(page));
    expect(files[0]).not.toContain('Crate round');

    // Made by jot, and seen over months.
    await jot(page, 'Crate round every other Wednesday 11:15, 8 times in My work');
    await expect(round(page)).toHaveAccessibleName(
      /Wed,? 25 Nov, 11:15 – 11:45, My work, busy, repeats/,
    );
    await turn(page, 1);
    await expect(page.getByRole('heading', { name: /^30 Nov/ })).toBeVisible();
    await expect(round(page)).toHaveCount(0);
    await turn(page, 13);
    await expect(round(page)).toHaveAccessibleName(/Wed,? 3 Mar/);
    await turn(page, 2);
    await expect(page.getByRole('heading', { name: /^15 – 21 Mar/ })).toBeVisible();
    await expect(round(page)).toHaveCount(0);
    await keepFile();
    expect(files.at(-1)).toContain('RRULE:FREQ=WEEKLY;INTERVAL=2;BYDAY=WE;COUNT=8');

    // One date moved.
    await page.getByRole('button', { name: 'Today', exact: true }).click();
    await turn(page, 2);
    await expect(round(page)).toHaveAccessibleName(/Wed,? 9 Dec, 11:15/);
    await moveAnHourOn(page, isPhone);
    const move = panel(page, 'Move “Crate round”');
    await expect(move.getByRole('radio', { name: 'This date and later: 7 dates' })).toBeVisible();
    await expect(move.getByRole('radio', { name: 'Every date: 8 dates' })).toBeVisible();
    await move.getByRole('button', { name: 'Move this date' }).click();
    await expect(message(page, 'Moved one date of “Crate round”')).toBeVisible();
    await expect(round(page)).toHaveAccessibleName(/Wed,? 9 Dec, 12:15 – 12:45/);
    await keepFile();
    expect(files.at(-1)).toMatch(/RECURRENCE-ID;TZID=Europe\/London:20261209T111500/);

    // One skipped.
    await turn(page, 2);
    await round(page).click();
    await panel(page, 'Crate round').getByRole('button', { name: 'Skip' }).click();
    await expect(message(page, 'Skipped one date of “Crate round”')).toBeVisible();
    await expect(round(page)).toHaveCount(0);
    await keepFile();
    expect(files.at(-1)).toContain('EXDATE;TZID=Europe/London:20261223T111500');

    // Changed from a date on: a series of its own that names the first.
    await turn(page, 4);
    await round(page).click();
    await panel(page, 'Crate round').getByRole('button', { name: 'Edit' }).click();
    await page.getByRole('textbox', { name: 'Start' }).fill('14:00');
    await page.getByRole('textbox', { name: 'Start' }).blur();
    await page.getByRole('button', { name: 'Keep' }).click();
    const change = panel(page, 'Change “Crate round”');
    await change.getByRole('radio', { name: 'This date and later: 4 dates' }).click();
    await change.getByRole('button', { name: 'Change 4 dates' }).click();
    await expect(message(page, 'Changed later dates of “Crate round”')).toBeVisible();
    await expect(round(page)).toHaveAccessibleName(/Wed,? 20 Jan, 14:00 – 14:30/);
    await keepFile();
    expect(files.at(-1)).toContain('RRULE:FREQ=WEEKLY;INTERVAL=2;BYDAY=WE;COUNT=4');
    expect(files.at(-1)).toContain('RELATED-TO;RELTYPE=SIBLING:');

    // Swept against closures: 6 January skipped, 17 February moved on.
    await page.getByRole('link', { name: 'Tidy' }).click();
    await expect(page.getByText('2 dates in the way: move 2')).toBeVisible();
    await page
      .getByRole('radiogroup', { name: /^Crate round, Wed,? 6 Jan/ })
      .getByRole('radio', { name: 'Skip' })
      .click();
    await expect(page.getByText('2 dates in the way: skip 1, move 1')).toBeVisible();
    await expect(page.getByText(/^moves to Thu,? 18 Feb, 14:00 – 14:30$/)).toBeVisible();
    await page.getByRole('button', { name: 'Sweep 2 dates' }).click();
    await expect(message(page, 'Skipped 1 date, moved 1 date')).toBeVisible();
    await expect(page.getByText('No dates fall on those. Nothing to sweep.')).toBeVisible();
    await page.getByRole('link', { name: 'Plan' }).click();
    await keepFile();
    expect(files.at(-1)).toContain('EXDATE;TZID=Europe/London:20270106T111500');
    expect(files.at(-1)).toContain('DTSTART;TZID=Europe/London:20270218T140000');

    // One undo for each, and each leaves the file as it was before.
    for (let i = files.length - 2; i >= 0; i--) {
      await sheet(page).focus();
      await page.keyboard.press('Control+z');
      await expect(message(page, /^Undone: /).last()).toBeVisible();
      expect(await exported(page)).toBe(files[i]);
    }
  },
);

test(
  'the editor makes a repeat, and tells of days that some months lack',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await typeLine(page, 'Lantern dues 31 December 9:00');
    await page.getByRole('button', { name: 'Repeats: Once' }).click();
    const card = panel(page, 'Add an event');
    await card.getByRole('radio', { name: 'Monthly' }).click();
    await expect(card.getByText('Months with fewer than 31 days are left out.')).toBeVisible();
    await expect(
      card.getByRole('button', { name: 'Repeats: On the 31st of each month that has one' }),
    ).toBeVisible();
    await card.getByRole('button', { name: 'Use the last day of the month' }).click();
    await expect(
      card.getByRole('button', { name: 'Repeats: On the last day of each month' }),
    ).toBeVisible();
    await card.getByRole('radio', { name: 'After a number of dates' }).click();
    await card.getByRole('textbox', { name: 'Dates' }).fill('3');
    await card.getByRole('textbox', { name: 'Dates' }).blur();
    await expect(
      card.getByRole('button', {
        name: 'Repeats: On the last day of each month, 3 times',
      }),
    ).toBeVisible();
    const next = card.getByRole('status', { name: 'Next dates' });
    for (const day of [/Thu,? 31 Dec 26/, /Sun,? 31 Jan 27/, /Sun,? 28 Feb 27/])
      await expect(next.getByText(day)).toBeVisible();
    await expect(next.getByText(/2 of the next 3 dates fall on a closure/)).toBeVisible();
    await card.getByRole('button', { name: 'Keep' }).click();
    await expect(bar(page, 'Lantern dues')).toHaveAccessibleName(
      /Thu,? 31 Dec, 09:00 – 09:30.*repeats/,
    );
  },
);

test(
  'a rule of a file that goes beyond the editor is shown and kept',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await page.getByRole('button', { name: 'Week after' }).click();
    await page.getByRole('button', { name: 'Week before' }).click();
    // The last weekday of the month falls into the week after.
    await page.getByRole('button', { name: 'Week after' }).click();
    await bar(page, 'Ledger close').click();
    await expect(
      panel(page, 'Ledger close').getByText('On the last weekday of each month'),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Edit' }).click();
    const editor = panel(page, 'Edit “Ledger close”');
    await editor.getByRole('button', { name: /^Repeats: On the last weekday/ }).click();
    await expect(editor.getByRole('radio', { name: 'Custom' })).toBeChecked();
    await editor.getByRole('textbox', { name: 'Title' }).fill('Ledger closing');
    await editor.getByRole('button', { name: 'Keep' }).click();
    const change = panel(page, /^Change/);
    await change.getByRole('radio', { name: /^Every date/ }).click();
    await change.getByRole('button', { name: 'Change every date' }).click();
    await bar(page, 'Ledger closing').click();
    await expect(
      panel(page, 'Ledger closing').getByText('On the last weekday of each month'),
    ).toBeVisible();
  },
);

test(
  'dates changed by hand keep what they have, or follow, as is chosen',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    const thursday = sheet(page).getByRole('button', { name: /^Bench round, Thu,? 26 Nov/ });
    await expect(thursday).toHaveAccessibleName(/09:00 – 09:30/);
    for (const fate of ['Keep what they have', 'Follow this change']) {
      await sheet(page)
        .getByRole('button', { name: /^Bench round, Tue,? 24 Nov/ })
        .click();
      await page.getByRole('button', { name: 'Edit' }).click();
      await page.getByRole('textbox', { name: 'Start' }).fill('7:45');
      await page.getByRole('textbox', { name: 'Start' }).blur();
      await page.getByRole('button', { name: 'Keep' }).click();
      const change = panel(page, /^Change/);
      await change.getByRole('radio', { name: /^This date and later: without an end/ }).click();
      await expect(
        change.getByText('Becomes: Every Monday, Tuesday, Thursday and Friday, 07:45').first(),
      ).toBeVisible();
      await expect(
        change.getByText('1 date changed by hand has something else here'),
      ).toBeVisible();
      await change.getByRole('radio', { name: fate }).click();
      await change.getByRole('button', { name: 'Change later dates' }).click();
      await expect(
        sheet(page).getByRole('button', { name: /^Bench round, Fri,? 27 Nov, 07:45/ }),
      ).toBeVisible();
      await expect(thursday).toHaveAccessibleName(
        fate.startsWith('Keep') ? /09:00 – 09:30/ : /07:45 – 08:15/,
      );
      await page.getByRole('button', { name: 'Undo' }).click();
      await expect(
        sheet(page).getByRole('button', { name: /^Bench round, Fri,? 27 Nov, 08:30/ }),
      ).toBeVisible();
    }
  },
);

test(
  'skipped and changed dates are listed in the editor, and each is restored',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await bar(page, 'Stock count').click();
    await page.getByRole('button', { name: 'Edit' }).click();
    const list = page.getByRole('list', { name: 'Skipped and changed dates' });
    await expect(list.getByRole('listitem')).toHaveCount(2);
    await list.getByRole('button', { name: /^Restore Wed,? 23 Dec/ }).click();
    await expect(message(page, 'Restored one date of “Stock count”')).toBeVisible();
    await expect(list.getByRole('listitem')).toHaveCount(1);
    await page.getByRole('button', { name: 'Cancel' }).click();
    for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Week after' }).click();
    await expect(bar(page, 'Stock count')).toHaveAccessibleName(/Wed,? 23 Dec, 15:00/);
  },
);

test('series dragged', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page);
  await test.step('a drag that is taken back at the question leaves the date where it was', async () => {
    await bar(page, 'Freight quotes').focus();
    await page.keyboard.down('Alt');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.up('Alt');
    await expect(bar(page, 'Freight quotes')).toHaveAccessibleName(/09:15 – 10:15/);
    await page.getByRole('button', { name: 'Cancel' }).click();
    await expect(bar(page, 'Freight quotes')).toHaveAccessibleName(/09:00 – 10:00/);
  });
  await test.step('a weekly date dragged to another day moves its weekday', async () => {
    await bar(page, 'Freight quotes').focus();
    await page.keyboard.down('Alt');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.up('Alt');
    const move = panel(page, 'Move “Freight quotes”');
    await move.getByRole('radio', { name: /^Every date/ }).click();
    await expect(move.getByText('Becomes: Every Thursday, 09:00').last()).toBeVisible();
    await move.getByRole('button', { name: 'Move every date' }).click();
    await expect(bar(page, 'Freight quotes')).toHaveAccessibleName(/Thu,? 26 Nov, 09:00/);
    await page.getByRole('button', { name: 'Week after' }).click();
    await expect(bar(page, 'Freight quotes')).toHaveAccessibleName(/Thu,? 3 Dec, 09:00/);
  });
});

test(
  'later dates are removed, and a copy of a series begins on a chosen day',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await bar(page, 'Stock count').click();
    await page.getByRole('button', { name: 'Copy to…' }).click();
    const copy = panel(page, /^Copy/);
    await copy.getByRole('radio', { name: /^This date and later/ }).click();
    await copy.getByRole('button', { name: /^Thu,? 26 Nov/ }).click();
    await copy.getByRole('button', { name: 'Copy to 1 day' }).click();
    await expect(message(page, 'Copied later dates of “Stock count”')).toBeVisible();
    await page.getByRole('button', { name: 'Week after' }).click();
    await expect(bar(page, 'Stock count')).toHaveCount(2);
    await expect(bar(page, 'Stock count').last()).toHaveAccessibleName(
      /Thu,? 3 Dec, 15:00.*repeats/,
    );
    await bar(page, 'Stock count').first().click();
    await page.getByRole('button', { name: 'Remove…' }).click();
    const remove = panel(page, 'Remove “Stock count”');
    await remove.getByRole('radio', { name: /^This date and later/ }).click();
    await remove.getByRole('button', { name: 'Remove later dates' }).click();
    await expect(message(page, 'Removed later dates of “Stock count”')).toBeVisible();
    await expect(bar(page, 'Stock count')).toHaveCount(1);
    await page.getByRole('button', { name: 'Week before' }).click();
    await expect(bar(page, 'Stock count')).toHaveCount(2);
  },
);

import type { Page } from '@playwright/test';
import {
  bar,
  boxOf,
  expect,
  message,
  mouseDrag,
  openDemo,
  panel,
  see,
  sheet,
  test,
} from './fixtures';

const heading = (page: Page, name: string | RegExp) =>
  page.getByRole('heading', { level: 1, name });

test(
  'spans from a day to a year, each with its way on and back',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await see(page, { span: ['How long', 'Day'] });
    await expect(heading(page, /^Tue(sday)?,? 24 Nov(ember)?$/)).toBeVisible();
    await page.getByRole('button', { name: 'Day after' }).click();
    await expect(heading(page, /^Wed(nesday)?,? 25 Nov(ember)?$/)).toBeVisible();

    await see(page, { span: ['Days', '3'] });
    await expect(heading(page, /^25 – 27 Nov/)).toBeVisible();
    await page.getByRole('button', { name: '3 days before' }).click();
    await expect(heading(page, /^22 – 24 Nov/)).toBeVisible();

    await page.getByRole('button', { name: 'Today', exact: true }).click();
    await see(page, { span: ['How long', 'Work week'] });
    await expect(heading(page, /^23 – 27 Nov/)).toBeVisible();
    await expect(sheet(page, 'Work week').getByRole('button', { name: /^Saturday/ })).toHaveCount(
      0,
    );

    await see(page, { span: ['Weeks', '4'] });
    await expect(heading(page, /^23 Nov(ember)? – 20 Dec/)).toBeVisible();
    await see(page, { span: ['How long', 'Month'] });
    await expect(heading(page, /^Nov(ember)? 2026$/)).toBeVisible();
    await page.getByRole('button', { name: 'Month after' }).click();
    await expect(heading(page, /^Dec(ember)? 2026$/)).toBeVisible();
    await page.getByRole('button', { name: 'Today', exact: true }).click();
    await see(page, { span: ['How long', 'Year'] });
    await expect(heading(page, '2026')).toBeVisible();
    // Back from the year, today's week is in sight again.
    await see(page, { span: ['How long', 'Week'] });
    await expect(heading(page, /^23 – 29 Nov/)).toBeVisible();
  },
);

test(
  'the seven days from today begin with today, and a window keeps its view',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await page.getByRole('button', { name: /change how the sheet is seen$/ }).click();
    const dialog = panel(page, 'How the sheet is seen');
    await dialog.getByRole('button', { name: 'Seven days from today' }).click();
    await expect(heading(page, /^24 – 30 Nov/)).toBeVisible();
    await page.reload();
    await expect(heading(page, /^24 – 30 Nov/)).toBeVisible();
    await expect(bar(page, 'Barometer calibration', '7 days')).toBeVisible();
  },
);

test('forms for a span, and the year', { tag: '@phone' }, async ({ page }) => {
  await openDemo(page);
  await test.step('a form that does not suit the span says what it is for', async () => {
    await page.getByRole('button', { name: /change how the sheet is seen$/ }).click();
    const dialog = panel(page, 'How the sheet is seen');
    await expect(dialog.getByRole('radio', { name: 'Year: for a year' })).toBeDisabled();
    await dialog.getByRole('radio', { name: 'Month', exact: true }).click();
    await expect(
      dialog.getByRole('radio', { name: 'Columns: for up to seven days' }),
    ).toBeDisabled();
    await expect(dialog.getByRole('radio', { name: /^Grid/ })).toBeChecked();
  });
  await test.step('the year shades its days, and a press shows the events of one', async () => {
    await page.keyboard.press('Escape');
    await see(page, { span: ['How long', 'Year'] });
    const year = page.getByRole('group', { name: 'Year', exact: true });
    const today = year.getByRole('button', {
      name: /^Tuesday,? 24 November 2026, today, \d+ events/,
    });
    await expect(today).toBeVisible();
    await today.click();
    const day = panel(page, /^Tuesday,? 24 November$/);
    await day.getByRole('button', { name: /^Barometer calibration, / }).click();
    await expect(panel(page, 'Barometer calibration')).toBeVisible();

    await today.focus();
    await page.keyboard.press('ArrowDown');
    await expect(year.getByRole('button', { name: /^Tuesday,? 1 December 2026/ })).toBeFocused();
    await page.keyboard.press('Enter');
    await panel(page, /^Tuesday,? 1 December$/)
      .getByRole('button', { name: 'Show the day' })
      .click();
    await expect(heading(page, /^Tue(sday)?,? 1 Dec(ember)?$/)).toBeVisible();
  });
});

test('columns: side by side, dragged, by keys, pressed', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page);
  await test.step('an empty spot of a column begins an event there', async () => {
    await see(page, { span: ['Days', '3'], form: 'Columns' });
    const stock = await boxOf(bar(page, 'Stock count', '3 days'));
    // Half an hour is as tall as the count; one and a half before it is clear.
    await page.mouse.click(stock.x + 12, stock.y - stock.height * 2.6);
    const add = panel(page, 'Add an event');
    await expect(add.getByText(/Wed,? 25 Nov, 13:30 – 14:00/)).toBeVisible();
  });
  await test.step('columns stand overlapping events side by side, and a drag moves one down', async () => {
    await page.keyboard.press('Escape');
    await see(page, { span: ['Days', '3'], form: 'Columns' });
    const pilot = await boxOf(bar(page, 'Pilot station survey', '3 days'));
    const ledger = await boxOf(bar(page, 'Quarter ledger review', '3 days'));
    expect(pilot.x + pilot.width).toBeLessThanOrEqual(ledger.x + 1);
    expect(ledger.y).toBeLessThan(pilot.y + pilot.height);
    await expect(
      sheet(page, '3 days').getByRole('button', { name: /^Tomas away, .* day 1 of 2$/ }),
    ).toBeVisible();

    const calls = bar(page, 'Barometer calibration', '3 days');
    const box = await boxOf(calls);
    const hour = box.height / (145 / 60);
    const from = { x: box.x + box.width / 2, y: box.y + 12 };
    await mouseDrag(page, from, { x: from.x, y: from.y + hour });
    await expect(calls).toHaveAccessibleName(/15:00 – 17:25/);
  });
  await test.step('columns: keys move by slot down and by day across', async () => {
    await see(page, { span: ['Days', '3'], form: 'Columns' });
    const ledger = bar(page, 'Quarter ledger review', '3 days');
    await ledger.focus();
    await page.keyboard.press('Alt+ArrowDown');
    await expect(ledger).toHaveAccessibleName(/10:45 – 12:15/);
    await ledger.focus();
    await page.keyboard.press('Alt+ArrowRight');
    await expect(ledger).toHaveAccessibleName(/Wed 25 Nov, 10:45/);
    await expect(ledger).toBeFocused();
  });
});

test('the grid of a month', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page);
  await test.step('the grid tells less where less is wanted, and a week is a press away', async () => {
    await see(page, { span: ['How long', 'Month'], form: 'Grid' });
    await see(page, { span: ['Detail of the grid', 'Marks'] });
    const grid = sheet(page, 'Month');
    await expect(bar(page, 'Tomas away', 'Month')).toHaveCount(0);
    // A day that is opened says everything, whatever the detail of the rest.
    await grid.getByRole('button', { name: /^Thursday,? 26 November/ }).click();
    await expect(bar(page, 'Lens grinding slot', 'Month')).toBeVisible();
    await see(page, { span: ['Detail of the grid', 'Bars'] });
    await expect(bar(page, 'Freight quotes', 'Month').first()).toBeVisible();
    await grid.getByRole('button', { name: 'Show week 46' }).click();
    await expect(heading(page, /^9 – 15 Nov/)).toBeVisible();
  });
  await test.step('the grid of a month lays long events across, and opens a full day in place', async () => {
    await see(page, { span: ['How long', 'Month'], form: 'Grid' });
    await see(page, { span: ['Detail of the grid', 'Titles where they fit'] });
    const grid = sheet(page, 'Month');
    const tomas = await boxOf(bar(page, 'Tomas away', 'Month'));
    const thursday = await boxOf(grid.getByRole('button', { name: /^Thursday,? 26 November/ }));
    expect(tomas.width).toBeGreaterThan(thursday.width * 1.8);

    await grid.getByRole('button', { name: /^\d+ more on Friday,? 27 November/ }).click();
    await expect(bar(page, 'Week close-out', 'Month').last()).toBeVisible();
    await expect(
      grid.getByRole('button', { name: /^Friday,? 27 November .*Close the day$/ }),
    ).toHaveAttribute('aria-expanded', 'true');
    await expect(grid.getByRole('button', { name: /more on Friday,? 27 November/ })).toHaveCount(0);

    const crates = bar(page, 'Crate inspection', 'Month');
    const box = await boxOf(crates);
    const from = { x: box.x + 20, y: box.y + box.height / 2 };
    await mouseDrag(page, from, { x: from.x - thursday.width, y: from.y });
    await expect(crates).toHaveAccessibleName(/Thu 26 Nov, 11:00 – 12:00/);
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await expect(crates).toHaveAccessibleName(/Fri 27 Nov, 11:00/);
  });
});

test(
  'a month on the phone says the pressed day in full, and what is selected there stays in sight',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await see(page, { span: ['How long', 'Month'], form: 'Grid' });
    const cell = (day: RegExp) => sheet(page, 'Month').getByRole('button', { name: day });
    const below = (name: RegExp) => page.getByRole('region', { name });
    await expect(cell(/^Tuesday,? 24 November/)).toHaveAttribute('aria-pressed', 'true');
    await expect(
      below(/^Tuesday,? 24 November/).getByRole('button', { name: /^Barometer calibration, / }),
    ).toBeVisible();
    await cell(/^Sunday,? 8 November/).click();
    await expect(below(/^Sunday,? 8 November/)).toContainText('Quay closed');
    await cell(/^Wednesday,? 28 October/).click();
    await expect(cell(/^Tuesday,? 24 November/)).toBeInViewport();
    await below(/^Wednesday,? 28 October/)
      .getByRole('button', { name: /^Freight quotes, / })
      .click();
    await expect(panel(page, 'Freight quotes')).toBeVisible();
    await see(page, { span: ['How long', 'Week'] });
    await expect(heading(page, /^26 Oct – 1 Nov/)).toBeVisible();
    await expect(bar(page, 'Freight quotes')).toHaveAttribute('aria-pressed', 'true');
  },
);

test(
  'the agenda opens at today, says what is clear, and runs on and back',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await see(page, { form: 'Agenda' });
    const agenda = sheet(page);
    const today = agenda.getByRole('heading', { name: /^Tuesday,? 24 November$/ });
    await expect(today).toBeInViewport();
    await expect(
      agenda.getByText(/^today · workshop · [\d.]+ h(?: \d+ min)? booked · .* clear$/),
    ).toBeVisible();
    const top = (await boxOf(agenda)).y;
    expect(Math.abs((await boxOf(today)).y - top)).toBeLessThan(20);

    await agenda.hover();
    const scrollTo = async (month: RegExp, by: number) =>
      expect(async () => {
        await page.mouse.wheel(0, by);
        await expect(heading(page, month)).toBeVisible({ timeout: 500 });
      }).toPass();
    await scrollTo(/^Oct(ober)? 2026$/, -4000);
    const october = agenda.getByRole('heading', { name: /October$/ });
    await expect(async () => {
      const tops = await Promise.all(
        (await october.all()).map(async (one) => (await boxOf(one)).y),
      );
      expect(tops.some((y) => y >= top - 400 && y < top + 800)).toBe(true);
    }).toPass();
    await scrollTo(/^Jan(uary)? 2027$/, 4000);
    await expect(agenda.getByRole('heading', { name: /January 2027$/ }).first()).toBeVisible();
  },
);

test(
  'the table is sorted, grouped with totals, and given other columns',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await see(page, { span: ['How long', 'Month'], form: 'Table' });
    const table = page.getByRole('region', { name: 'Month' });
    const rows = table.getByRole('row');
    await expect(rows.nth(1)).toContainText('Quay closed');
    await table.getByRole('button', { name: 'Hours' }).click();
    await table.getByRole('button', { name: 'Hours' }).click();
    await expect(table.getByRole('columnheader', { name: 'Hours' })).toHaveAttribute(
      'aria-sort',
      'descending',
    );
    await expect(rows.nth(1)).toContainText(/8 h.*Night watch/);

    const status = page
      .getByRole('status')
      .filter({ hasText: /^\d+ events · [\d.]+ h(?: \d+ min)?$/ });
    const all = await status.innerText();
    await page.getByRole('button', { name: 'Not grouped' }).click();
    await panel(page, 'Group the lines').getByRole('button', { name: 'By calendar' }).click();
    await table.getByRole('button', { name: 'Calendar' }).click();
    await expect(rows.nth(1)).toContainText(/^Accounts \d+ events · [\d.]+ h(?: \d+ min)?$/);
    await expect(status).toHaveText(all);

    await page.getByRole('button', { name: 'Columns' }).click();
    const columns = panel(page, 'Columns of the table');
    await columns.getByRole('checkbox', { name: 'Availability' }).check();
    await columns.getByRole('checkbox', { name: 'Place' }).uncheck();
    await columns.getByRole('button', { name: 'Title: to the left' }).click();
    await columns.getByRole('button', { name: 'Close' }).click();
    const heads = table.getByRole('columnheader').filter({ has: page.getByRole('button') });
    await expect(heads).toHaveText(['Date', 'Start', 'Title', 'Hours', 'Calendar', 'Availability']);
    await page.reload();
    await expect(table.getByRole('columnheader', { name: 'Availability' })).toBeVisible();
  },
);

test(
  'periods: one with a name, and a run that goes on and back',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    const periods = async () => {
      await page.getByRole('button', { name: /change how the sheet is seen$/ }).click();
      await panel(page, 'How the sheet is seen')
        .getByRole('button', { name: /a period$|Edit periods/ })
        .click();
      return panel(page, 'Periods');
    };
    const first = await periods();
    await first.getByRole('button', { name: 'Make and show' }).click();
    await expect(first.getByRole('alert')).toHaveText('Give it a name.');
    await first.getByRole('textbox', { name: 'Name' }).fill('Refit season');
    await first.getByRole('button', { name: 'Make and show' }).click();
    await expect(heading(page, 'Refit season')).toBeVisible();
    await expect(page.getByText(/^23 Nov – 20 Dec/)).toBeVisible();
    await page.getByRole('button', { name: 'Period after' }).click();
    await expect(message(page, 'There is no period after this one.')).toBeVisible();

    const second = await periods();
    await second.getByRole('textbox', { name: 'Name' }).fill('Ledger period');
    await second.getByRole('radio', { name: '13 times 4 weeks' }).click();
    await second.getByRole('button', { name: 'Make and show' }).click();
    await expect(heading(page, 'Ledger period 1 of 2026/27')).toBeVisible();
    await page.getByRole('button', { name: 'Period before' }).click();
    await expect(heading(page, 'Ledger period 13 of 2025/26')).toBeVisible();
  },
);

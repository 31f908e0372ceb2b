import type { Page } from '@playwright/test';
import {
  bar,
  expect,
  goTo,
  message,
  openDemo,
  panel,
  see,
  sheet,
  test,
  toggleCalendar,
} from './fixtures';

const heading = (page: Page, name: string | RegExp) =>
  page.getByRole('heading', { level: 1, name });

async function openLenses(page: Page) {
  await page.getByRole('button', { name: /change how the sheet is seen$/ }).click();
  await panel(page, 'How the sheet is seen')
    .getByRole('button', { name: /^Save as a lens/ })
    .click();
  return panel(page, 'Lenses');
}

async function saveLens(page: Page, name: string, isFixed = false): Promise<void> {
  const dialog = await openLenses(page);
  await dialog.getByRole('textbox', { name: 'Name' }).fill(name);
  await dialog.getByRole('radio', { name: 'Flag' }).click();
  if (isFixed) await dialog.getByRole('radio', { name: /^Always / }).click();
  await dialog.getByRole('button', { name: 'Save this sheet' }).click();
  await expect(dialog).toBeHidden();
}

const picker = (page: Page, label: string) =>
  page.getByRole('button', { name: `${label}: change how the sheet is seen` });

test('the filter', { tag: '@phone' }, async ({ page }) => {
  await openDemo(page);
  await test.step('the filter holds in every form, and knows kinds, categories and the past', async () => {
    await page.getByRole('button', { name: 'Filter', exact: true }).click();
    const dialog = panel(page, 'Show only');
    await dialog.getByRole('checkbox', { name: 'Hide what is past' }).check();
    await dialog.getByRole('button', { name: 'Single' }).click();
    await dialog.getByRole('button', { name: 'Done', exact: true }).click();
    await expect(bar(page, 'Lamp 14 strip-down')).toHaveCount(0);
    await expect(bar(page, 'Barometer calibration')).toBeVisible();
    await expect(bar(page, 'Freight quotes')).toHaveCount(0);
    await see(page, { form: 'Table' });
    const table = page.getByRole('region', { name: 'Week' });
    await expect(table.getByRole('button', { name: /^Barometer calibration/ })).toBeVisible();
    await expect(table.getByRole('button', { name: /^Freight quotes/ })).toHaveCount(0);
    await see(page, { form: 'Agenda' });
    await expect(sheet(page).getByRole('button', { name: /^Barometer calibration/ })).toBeVisible();
    await expect(sheet(page).getByRole('button', { name: /^Bench round/ })).toHaveCount(0);
  });
  await test.step('the filter shows only what was asked for, says how much it hides, and is cleared', async () => {
    await page.getByRole('button', { name: 'Clear the filter' }).click();
    await see(page, { form: 'Rows' });
    await page.getByRole('button', { name: 'Filter', exact: true }).click();
    const dialog = panel(page, 'Show only');
    await dialog.getByRole('textbox', { name: 'Place', exact: true }).fill('bench');
    await expect(dialog.getByRole('status')).toHaveText(/^[1-9]\d* hidden$/);
    await dialog.getByRole('button', { name: 'Busy' }).click();
    await dialog.getByRole('button', { name: 'Done', exact: true }).click();
    await expect(bar(page, 'Lamp 14 strip-down')).toBeVisible();
    await expect(bar(page, 'Freight quotes')).toHaveCount(0);
    const filter = page.getByRole('button', { name: /^Filter: 2 parts set, \d+ hidden$/ });
    await expect(filter).toBeVisible();
    // It is the window's: a reload keeps it.
    await page.reload();
    await expect(bar(page, 'Lamp 14 strip-down')).toBeVisible();
    await expect(bar(page, 'Freight quotes')).toHaveCount(0);
    await page.getByRole('button', { name: 'Clear the filter' }).click();
    await expect(bar(page, 'Freight quotes')).toBeVisible();
  });
  await test.step('the hours of what is shown agree with the table', async () => {
    await see(page, { span: ['How long', 'Month'], form: 'Table' });
    const totals = page
      .getByRole('status')
      .filter({ hasText: /^\d+ events · [\d.]+ h(?: \d+ min)?$/ });
    const hours = (await totals.innerText()).split(' · ')[1]!;
    await page.getByRole('button', { name: /: show the hours$/ }).click();
    const load = panel(page, 'Booked and clear');
    await expect(load.getByText(`${hours} in events`)).toBeVisible();
    await expect(load.getByRole('img', { name: /working hours/ })).toHaveAccessibleName(
      new RegExp(`^${hours} in events, [\\d.]+ h(?: \\d+ min)? of working hours clear: Workshop`),
    );
    await load.getByRole('radio', { name: 'By category' }).click();
    await expect(load.getByRole('listitem').filter({ hasText: 'Lamps' })).toBeVisible();
    await expect(load.getByText(`${hours} in events`)).toBeVisible();
  });
});

test(
  'rows and columns stand for calendars; past five, columns turn into rows',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await see(page, { span: ['Each row or column stands for', 'A calendar'] });
    await see(page, { span: ['How long', 'Day'] });
    const day = sheet(page, 'Day');
    await expect(
      day.getByRole('button', { name: /^Clients, Tuesday,? 24 November/ }),
    ).toBeVisible();
    await expect(day.getByRole('button', { name: /^Leave, Tuesday,? 24 November/ })).toBeVisible();
    // Seven calendars are too many to stand beside each other.
    await see(page, { form: 'Columns' });
    await expect(day.getByRole('button', { name: /^Leave, Tuesday,? 24 November/ })).toBeVisible();
    await toggleCalendar(page, 'Leave');
    await toggleCalendar(page, 'Apprentices');
    await expect(day.getByRole('button', { name: /^Clients, Tuesday/ })).toHaveCount(0);
    await expect(day.getByText('Accounts')).toBeVisible();
    const pilot = (await bar(page, 'Pilot station survey', 'Day').boundingBox())!;
    const head = (await day.getByText('Clients').boundingBox())!;
    expect(pilot.x).toBeLessThan(head.x + head.width);
    expect(pilot.x + pilot.width).toBeGreaterThan(head.x);
  },
);

test(
  'a lens keeps the sheet, has an address, and is updated, renamed, moved and removed',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await page.getByRole('switch', { name: 'Workshop' }).click();
    await expect(bar(page, 'Bench round')).toHaveCount(0);
    await see(page, { span: ['Days', '3'], form: 'Columns' });
    await saveLens(page, 'Next three');
    await expect(picker(page, 'Next three')).toBeVisible();
    const address = page.url();
    expect(address).toContain('lens=');

    await see(page, { span: ['How long', 'Month'], form: 'Table' });
    await expect(picker(page, 'Month · table')).toBeVisible();
    await saveLens(page, 'November as a table', true);
    await page.getByRole('button', { name: 'Month after' }).click();
    await expect(heading(page, /^Dec/)).toBeVisible();

    // Its key takes it up again, with its own calendars.
    await page.keyboard.press('1');
    await expect(picker(page, 'Next three')).toBeVisible();
    await expect(heading(page, /^24 – 26 Nov/)).toBeVisible();
    await expect(page.getByRole('switch', { name: 'Workshop' })).not.toBeChecked();
    const here = page.getByRole('button', { name: /^This window shows calendars of its own/ });
    await expect(here).toBeVisible();
    await here.click();
    await expect(here).toBeHidden();
    await page.keyboard.press('2');
    await expect(heading(page, /^Nov(ember)? 2026$/)).toBeVisible();

    // Another window by the address holds the other lens.
    const other = await page.context().newPage();
    await other.goto(address);
    await expect(picker(other, 'Next three')).toBeVisible();
    await expect(heading(page, /^Nov(ember)? 2026$/)).toBeVisible();
    await other.close();

    await see(page, { form: 'Agenda' });
    await page.getByRole('button', { name: /change how the sheet is seen$/ }).click();
    await page.getByRole('button', { name: 'Update November as a table' }).click();
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    await expect(picker(page, 'November as a table')).toBeVisible();

    const dialog = await openLenses(page);
    const list = dialog.getByRole('list', { name: 'Lenses' }).getByRole('listitem');
    await dialog.getByRole('button', { name: 'November as a table: up' }).click();
    await expect(list.first()).toContainText('November as a table');
    await dialog.getByRole('button', { name: 'Rename November as a table' }).click();
    await dialog.getByRole('textbox', { name: 'Name' }).fill('November');
    await dialog.getByRole('button', { name: 'Keep' }).click();
    await expect(list.first()).toContainText('November');
    await dialog.getByRole('button', { name: 'Remove Next three' }).click();
    await expect(list).toHaveCount(1);
    await dialog.getByRole('button', { name: 'Close' }).click();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(message(page, /^Undone: Removed the lens Next three/)).toBeVisible();
  },
);

test('a new window opens with the lens that was put first', { tag: '@phone' }, async ({ page }) => {
  await openDemo(page);
  await see(page, { span: ['How long', 'Month'], form: 'Grid' });
  await saveLens(page, 'The month');
  const dialog = await openLenses(page);
  await dialog.getByRole('button', { name: 'Open The month first' }).click();
  await expect(dialog.getByText(/opens first/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await see(page, { span: ['How long', 'Week'] });
  const other = await page.context().newPage();
  await other.goto('/');
  await expect(picker(other, 'The month')).toBeVisible();
});

test(
  'the work of one date is changed from its icon, and shades the sheet',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await page.getByRole('button', { name: /^Work on Wed,? 25 Nov: home\. Change$/ }).click();
    const work = panel(page, /^Work on Wednesday,? 25 November$/);
    await work.getByRole('radio', { name: 'Other hours or place' }).click();
    await work.getByRole('textbox', { name: 'Where' }).fill('office');
    await work.getByRole('textbox', { name: 'From' }).fill('10:00');
    await work.getByRole('textbox', { name: 'From' }).press('Tab');
    await work.getByRole('button', { name: 'Keep' }).click();
    const icon = page.getByRole('button', { name: /^Work on Wed,? 25 Nov: office, changed/ });
    await expect(icon).toBeVisible();
    await expect(
      sheet(page).getByRole('button', { name: /^Wednesday,? 25 November .* office\. Add$/ }),
    ).toBeVisible();
    // The pattern of the weekday stays.
    await goTo(page, 'Settings');
    const wednesday = page.getByRole('group', { name: 'Wednesday' });
    await expect(wednesday.getByRole('textbox', { name: 'Where' })).toHaveValue('home');
    await page.getByRole('link', { name: 'Plan' }).click();
    await see(page, { form: 'Agenda' });
    await sheet(page)
      .getByRole('button', { name: /^Work on Wednesday,? 25 November: office/ })
      .click();
    await work.getByRole('radio', { name: 'As usual' }).click();
    await work.getByRole('button', { name: 'Keep' }).click();
    await see(page, { form: 'Rows' });
    await expect(
      page.getByRole('button', { name: /^Work on Wed,? 25 Nov: home\. Change$/ }),
    ).toBeVisible();
  },
);

test('a weekday of the working week is turned on and off', { tag: '@phone' }, async ({ page }) => {
  await openDemo(page);
  await goTo(page, 'Settings');
  const saturday = page.getByRole('group', { name: 'Saturday' });
  await saturday.getByRole('checkbox').click();
  await expect(saturday.getByRole('textbox', { name: 'From' })).toHaveValue('08:30');
  await page.getByRole('link', { name: 'Plan' }).click();
  await see(page, { span: ['How long', 'Work week'] });
  await expect(heading(page, /^23 – 28 Nov/)).toBeVisible();
});

test('a date is typed, and the months mark what is shown', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page);
  const open = async () => {
    await page.getByRole('button', { name: /choose a date$/ }).click();
    return panel(page, 'Go to a date');
  };
  const first = await open();
  await first.getByRole('textbox').fill('week 51');
  await expect(first.getByText(/^Monday,? 14 December 2026$/)).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(heading(page, /^14 – 20 Dec/)).toBeVisible();
  const second = await open();
  await second.getByRole('textbox').fill('soonish');
  await expect(second.getByText('That names no date yet.')).toBeVisible();
  await expect(second.getByRole('button', { name: 'Go', exact: true })).toBeDisabled();
  await second.getByRole('textbox').fill('in 3 weeks');
  await second.getByRole('button', { name: 'Go', exact: true }).click();
  await expect(heading(page, /^14 – 20 Dec/)).toBeVisible();
});

test(
  'back and forward of the browser go through where the sheet stood',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await page.getByRole('button', { name: 'Week after' }).click();
    await expect(heading(page, /^30 Nov – 6 Dec/)).toBeVisible();
    await page.clock.runFor(1000);
    await see(page, { span: ['How long', 'Month'] });
    await expect(heading(page, /^(Nov|Dec)(ember)? 2026$/)).toBeVisible();
    await page.goBack();
    await expect(heading(page, /^30 Nov – 6 Dec/)).toBeVisible();
    await expect(bar(page, 'Lamp 14 reassembly')).toBeVisible();
    await page.goBack();
    await expect(heading(page, /^23 – 29 Nov/)).toBeVisible();
    await page.goForward();
    await page.goForward();
    await expect(heading(page, /^(Nov|Dec)(ember)? 2026$/)).toBeVisible();
    // Another screen is an entry of its own.
    await page.getByRole('link', { name: 'Today', exact: true }).click();
    await expect(page.getByText('Upcoming')).toBeVisible();
    await page.goBack();
    await expect(heading(page, /^(Nov|Dec)(ember)? 2026$/)).toBeVisible();
  },
);

test(
  'keys change the form and the time, and are looked up by “?”',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await page.keyboard.press('c');
    await expect(picker(page, 'Week · columns')).toBeVisible();
    await page.keyboard.press('PageDown');
    await expect(heading(page, /^30 Nov – 6 Dec/)).toBeVisible();
    await page.keyboard.press('Home');
    await expect(heading(page, /^23 – 29 Nov/)).toBeVisible();
    await page.keyboard.press('u');
    await expect(message(page, 'Year: for a year.')).toBeVisible();
    await page.keyboard.press('4');
    await expect(message(page, 'There is no lens 4 yet.')).toBeVisible();
    await page.keyboard.press('?');
    const keys = panel(page, 'Keys');
    await keys.getByRole('textbox').fill('stretch');
    await expect(keys.getByRole('listitem')).toHaveCount(1);
    await expect(keys.getByRole('listitem')).toContainText('Alt + Shift + arrows');
    // Letters typed into a text are letters.
    await keys.getByRole('textbox').fill('rows');
    await expect(picker(page, 'Week · columns')).toBeAttached();
  },
);

import type { Page } from '@playwright/test';
import {
  downloaded,
  enterLine,
  expect,
  goTo,
  message,
  openDemo,
  panel,
  pickDay,
  test,
  typeLine,
} from './fixtures';

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

test(
  'the mess of a year is put in order, check by check, and taken back',
  { tag: '@wide' },
  async ({ page }) => {
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
    const all = panel(page, 'Doubles');
    await expect(all.getByRole('status')).toContainText(/would change/);
    await all.getByRole('button', { name: /^Accept \d$/ }).click();
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
      ['Private-looking', 'Make it private, and new ones too'],
      ['Spelled twice', 'Merge into Barometers'],
      ['Unused', 'Remove it'],
      ['Series over closures', 'Skip 4 dates'],
    ] as const) {
      await open(page, check);
      const one = found(page).getByRole('button', { name: button }).first();
      await expect(one).toBeVisible();
      const before = await found(page).getByRole('listitem').count();
      await one.click();
      await expect(found(page).getByRole('listitem')).toHaveCount(before - 1);
    }

    await expect(page.getByRole('checkbox', { name: /^Titled "Dentist": private/ })).toBeChecked();

    // What a check finds can be asked for, and then done with as with all that is found.
    await open(page, 'Files');
    await page.getByRole('button', { name: 'Find them' }).click();
    await expect(
      page.getByRole('button', { name: /^Found by Tidy: found by Tidy: Files/ }),
    ).toBeVisible();
    await expect(page.getByRole('button', { name: 'Select all 2' })).toBeVisible();
    await goTo(page, 'Tidy');

    // Clashes are many: all are changed by hand, or one is shown.
    await open(page, 'Clashes');
    await found(page).getByRole('button', { name: 'Show' }).first().click();
    await expect(page).toHaveURL(/event=/);

    // One undo each.
    await page.getByRole('button', { name: 'Changes' }).click();
    await expect(panel(page, 'What was done').getByRole('listitem').first()).toContainText(
      'Tidied 1 finding: series over closures',
    );
  },
);

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

test(
  'a rule is made from a change, shapes what is typed and imported, and is switched off',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await goTo(page, 'Find');
    await page.getByRole('textbox', { name: 'Find', exact: true }).fill('"petty cash"');
    await page.getByRole('button', { name: 'Select all 1' }).click();
    await page.getByRole('button', { name: 'Change…' }).click();
    await panel(page, 'Change').getByRole('button', { name: 'Calendar', exact: true }).click();
    await page.getByRole('radio', { name: 'Clients' }).click();
    await page
      .getByRole('checkbox', { name: 'Do this to new events titled “Petty cash” too' })
      .check();
    await page.getByRole('button', { name: 'Change 1 event' }).click();
    await expect(message(page, 'and made a rule for "Petty cash"')).toBeVisible();

    // Typed: said before it is kept, and kept so.
    await goTo(page, 'Plan');
    await enterLine(page, 'Petty cash run Thu 13:00');
    await expect(message(page, /^Added “Petty cash run” to Clients/)).toBeVisible();
    // A calendar that the line names holds.
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await typeLine(page, 'Petty cash box Thu 13:30');
    const card = panel(page, 'Add an event');
    await expect(card.getByText('By your rule for "Petty cash": to Clients')).toBeVisible();
    await card.getByRole('button', { name: 'Not this time' }).click();
    await expect(card.getByRole('radio', { name: 'Workshop' })).toBeChecked();
    await card.getByRole('button', { name: 'Keep' }).click();
    await expect(message(page, /^Added “Petty cash box” to Workshop/)).toBeVisible();

    // Imported.
    const entry = (uid: string, title: string) =>
      `BEGIN:VEVENT\r\nUID:${uid}\r\nDTSTAMP:20261101T000000Z\r\nSUMMARY:${title}\r\nDTSTART:20261203T090000Z\r\nDTEND:20261203T093000Z\r\nEND:VEVENT\r\n`;
    await page.goto('/import');
    await page.getByLabel('Calendar file').setInputFiles({
      name: 'till.ics',
      mimeType: 'text/calendar',
      buffer: Buffer.from(
        `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//x//EN\r\n${entry('t1', 'Petty cash till')}END:VCALENDAR\r\n`,
      ),
    });
    await expect(page.getByText('1 by your rules for new events')).toBeVisible();
    await page.getByRole('button', { name: /^Bring in/ }).click();
    await expect(message(page, /^Imported till\.ics/).first()).toBeVisible();
    await goTo(page, 'Find');
    await page.getByRole('textbox', { name: 'Find', exact: true }).fill('till');
    await expect(
      page.getByRole('region', { name: 'Results', exact: true }).getByRole('button').first(),
    ).toHaveAccessibleName(/^Petty cash till, .*Clients/);

    // Listed, tried on what is there, switched off.
    await goTo(page, 'Tidy');
    const rules = page.getByRole('list', { name: 'Rules for new events' });
    await rules.getByRole('button', { name: 'Try on what is there' }).click();
    await expect(page.getByText(/^1 of 4 would change\.$/)).toBeVisible();
    await page.getByRole('button', { name: 'Back' }).click();
    await rules.getByRole('checkbox').click();
    await expect(message(page, 'Switched off the rule for "Petty cash"')).toBeVisible();
  },
);

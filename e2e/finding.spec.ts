import type { Page } from '@playwright/test';
import {
  bar,
  expect,
  goTo,
  message,
  mouseDrag,
  boxOf,
  openDemo,
  panel,
  sheet,
  test,
} from './fixtures';

const results = (page: Page) => page.getByRole('region', { name: 'Results', exact: true });
const line = (page: Page, title: string) =>
  results(page).getByRole('button', { name: new RegExp(`^${title}, `) });
const field = (page: Page) => page.getByRole('textbox', { name: 'Find', exact: true });
const selected = (page: Page) => page.getByRole('region', { name: 'Selection' });

test(
  'found, narrowed, looked at one by one, selected, changed and taken back',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await goTo(page, 'Find');
    await expect(field(page)).toBeFocused();

    // Words as they are typed, where they stand; a slip is forgiven.
    await field(page).fill('fresnle');
    const suggestions = page.getByRole('region', { name: 'Suggestions' });
    await expect(suggestions.getByRole('group', { name: 'In title' })).toContainText(
      'Fresnel alignment',
    );
    await expect(page.getByText('Showing results for “fresnel”.')).toBeVisible();
    await expect(line(page, 'Fresnel alignment').first()).toBeVisible();
    await page.getByRole('button', { name: 'Search for what I typed' }).click();
    await expect(field(page)).toHaveValue('"fresnle"');
    await expect(results(page)).not.toContainText('Fresnel');

    // Words and days together; the days are a part of the question, to be taken away.
    await field(page).fill('bench round next week');
    await expect(page.getByRole('button', { name: 'Dates: next week. Change' })).toBeVisible();
    await expect(line(page, 'Bench round').first()).toContainText(/30 Nov|[1-6] Dec/);

    await field(page).fill('gasket');
    await suggestions
      .getByRole('button', { name: /^Gasket delivery/ })
      .first()
      .click();
    await expect(
      page.getByRole('button', { name: /^Words: “gasket delivery” in title/ }),
    ).toBeVisible();
    await expect(line(page, 'Gasket delivery')).toHaveCount(3);

    // More exact: not on Clients.
    await page.getByRole('button', { name: 'More exact' }).click();
    await panel(page, 'Ask for').getByRole('button', { name: 'Calendars' }).click();
    const part = panel(page, 'Calendars');
    await part.getByRole('button', { name: 'Clients' }).click();
    await part.getByRole('button', { name: 'Turned round: not' }).click();
    await part.getByRole('button', { name: 'Done', exact: true }).click();
    await expect(
      page.getByRole('button', { name: 'Calendars: not on Clients. Change' }),
    ).toBeVisible();

    // One is looked at on its week, then the next, then back to the list.
    await line(page, 'Gasket delivery').first().click();
    const walk = page.getByRole('region', { name: 'Results on the sheet' });
    await expect(walk).toContainText('1 of 3');
    await expect(
      page
        .getByRole('complementary')
        .or(panel(page, /Gasket/))
        .first(),
    ).toBeVisible();
    await walk.getByRole('button', { name: 'Next result' }).click();
    await expect(walk).toContainText('2 of 3');
    await walk.getByRole('button', { name: 'Results', exact: true }).click();
    await expect(line(page, 'Gasket delivery')).toHaveCount(3);

    // Kept, and asked again after a reload.
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    const keep = panel(page, 'Keep this question');
    await keep.getByRole('textbox', { name: 'Name' }).fill('Gaskets');
    await keep.getByRole('button', { name: 'Keep' }).click();
    await expect(message(page, 'Kept the question Gaskets')).toBeVisible();
    await page.reload();
    await expect(line(page, 'Gasket delivery')).toHaveCount(3);
    await page.getByRole('button', { name: 'Ask anew' }).click();
    await page.getByRole('button', { name: 'Gaskets', exact: true }).click();
    await expect(line(page, 'Gasket delivery')).toHaveCount(3);

    // All of them are selected; the selection stays on another screen.
    await page.getByRole('button', { name: 'Select all 3' }).click();
    await expect(selected(page)).toContainText('3 events selected · 1.5 h');
    await goTo(page, 'Plan');
    await expect(bar(page, 'Gasket delivery').first()).toHaveAccessibleName(/selected$/);
    await selected(page).getByRole('button', { name: 'Change…' }).click();

    // Two things at once, looked at before they are done; one is left out.
    const choose = panel(page, 'Change');
    await choose.getByRole('button', { name: 'Move by days' }).click();
    await page.getByRole('button', { name: 'Another change' }).click();
    await choose.getByRole('button', { name: 'Put after the title' }).click();
    await page.getByRole('textbox', { name: 'After the title' }).fill(' (door 3)');
    const lines = page.getByRole('list', { name: 'What becomes of each' }).getByRole('listitem');
    await expect(lines).toHaveCount(3);
    await expect(lines.first()).toContainText(/Title: .*→ Gasket delivery \(door 3\)/);
    await expect(lines.first()).toContainText('→ Wed 2 Dec, 11:30 – 12:00');
    await lines.last().getByRole('checkbox').uncheck();
    await page.getByRole('button', { name: 'Change 2 events' }).click();
    await expect(message(page, 'Changed 2 events: 7 days on and title')).toBeVisible();
    await expect(selected(page)).toBeHidden();
    await expect(bar(page, 'Gasket delivery')).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(bar(page, 'Gasket delivery')).toHaveCount(2);

    // By F from the sheet.
    await page.keyboard.press('f');
    await expect(field(page)).toBeFocused();
  },
);

test(
  'on the sheet: by Ctrl, Shift, a frame and keys; followed calendars say no',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await bar(page, 'Lamp 14 strip-down').click({ modifiers: ['Control'] });
    await bar(page, 'Bench round')
      .first()
      .click({ modifiers: ['Control'] });
    await expect(selected(page)).toContainText('1 event, 1 date of series selected');
    // A press takes more in while something is selected, and lets go again.
    await bar(page, 'Barometer calibration').click();
    await bar(page, 'Barometer calibration').click();
    await expect(selected(page)).toContainText('1 event, 1 date of series selected');
    await page.keyboard.press('Escape');
    await expect(selected(page)).toBeHidden();

    // By keys.
    await bar(page, 'Crate inspection').focus();
    await page.keyboard.press('Control+Space');
    await expect(bar(page, 'Crate inspection')).toHaveAccessibleName(/selected$/);
    // What is shown is turned round.
    await selected(page).getByRole('button', { name: 'More for the selection' }).click();
    await page.getByRole('button', { name: 'Turn the selection round' }).click();
    await expect(bar(page, 'Crate inspection')).not.toHaveAccessibleName(/selected$/);
    await expect(bar(page, 'Supplier terms')).toHaveAccessibleName(/selected$/);
    await selected(page).getByRole('button', { name: 'Let the selection go' }).click();

    // A frame around Thursday's afternoon.
    const terms = await boxOf(bar(page, 'Supplier terms'));
    await page.keyboard.down('Shift');
    await mouseDrag(
      page,
      { x: terms.x - 12, y: terms.y - 3 },
      { x: terms.x + 30, y: terms.y + terms.height + 3 },
    );
    await page.keyboard.up('Shift');
    await expect(bar(page, 'Supplier terms')).toHaveAccessibleName(/selected$/);
    await expect(panel(page, 'Add an event')).toBeHidden();
    // It stays while the week turns and another form is chosen.
    await page.keyboard.press('PageDown');
    await page.keyboard.press('PageUp');
    await page.keyboard.press('l');
    await expect(selected(page)).toContainText(/selected/);
    await page.keyboard.press('r');
    await expect(sheet(page)).toBeVisible();
    await selected(page).getByRole('button', { name: 'Remove', exact: true }).click();
    await expect(message(page, /^Removed \d+ events?$/)).toBeVisible();
    await expect(bar(page, 'Supplier terms')).toBeHidden();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(bar(page, 'Supplier terms')).toBeVisible();
  },
);

test('by a menu and presses on the phone', { tag: '@phone' }, async ({ page }) => {
  await openDemo(page);
  await bar(page, 'Crate inspection').click({ button: 'right' });
  await page.getByRole('button', { name: 'Select it, and more' }).click();
  await bar(page, 'Supplier terms').tap();
  await expect(selected(page)).toContainText('2 events selected');
  await selected(page).getByRole('button', { name: 'Change…' }).click();
  await panel(page, 'Change').getByRole('button', { name: 'Availability' }).click();
  await page.getByRole('radio', { name: 'Free' }).click();
  await expect(page.getByText('2 of 2 would change.')).toBeVisible();
  await page.getByRole('button', { name: 'Change 2 events' }).click();
  await expect(bar(page, 'Supplier terms')).toHaveAccessibleName(/, free/);
});

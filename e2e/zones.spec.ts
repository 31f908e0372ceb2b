import type { Page } from '@playwright/test';
import {
  bar,
  expect,
  goTo,
  message,
  openDemo,
  panel,
  pickDay,
  sheet,
  spotOf,
  test,
  typeLine,
} from './fixtures';

const zones = (page: Page) => page.getByRole('button', { name: 'Zones', exact: true });

test(
  'an event in another zone shows both times, and its zone is found by what people call it',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await bar(page, 'Crate inspection').click();
    await page.getByRole('button', { name: 'Edit' }).click();
    const editor = panel(page, 'Edit “Crate inspection”');
    await editor.getByRole('button', { name: 'Time zone: London time, home' }).click();
    const field = editor.getByRole('textbox', { name: 'Zone' });
    await field.fill('nowhere at all');
    await expect(editor.getByText(/^No zone goes by that/)).toBeVisible();
    await field.fill('osak');
    await editor
      .getByRole('button', { name: /^Osaka, UTC\+9 · JST, Japan Standard Time, now 19:2/ })
      .click();
    await expect(
      editor.getByRole('button', {
        name: 'Time zone: Tokyo time · 02:00 – 03:00 in London',
      }),
    ).toBeVisible();
    await editor.getByRole('button', { name: 'Keep' }).click();
    await page.getByRole('button', { name: /^1 earlier event on Fri/ }).click();
    await bar(page, 'Crate inspection').click();
    const details = panel(page, 'Crate inspection');
    await expect(details.getByText(/^Friday,? 27 November, 02:00 – 03:00/)).toBeVisible();
    await expect(details.getByText('11:00 – 12:00 in Tokyo')).toBeVisible();
  },
);

test('a flight leaves by one clock and arrives by another', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await typeLine(page, 'Flight to Halifax Saturday 13:00');
  await page.getByRole('button', { name: 'All details' }).click();
  const editor = panel(page, 'New event');
  await editor.getByRole('button', { name: /^Time zone/ }).click();
  await editor.getByRole('button', { name: 'Ends in another zone' }).click();
  await editor.getByRole('textbox', { name: 'Zone of the end' }).fill('halifax');
  await editor.getByRole('button', { name: /^Halifax, / }).click();
  // 12:00 there is three hours after 13:00 here, not an hour before.
  await editor.getByRole('textbox', { name: 'End', exact: true }).fill('12:00');
  await editor.getByRole('textbox', { name: 'End', exact: true }).blur();
  await expect(
    editor.getByRole('button', { name: /^Time zone: Starts in London, ends in Halifax/ }),
  ).toBeVisible();
  await editor.getByRole('textbox', { name: 'End', exact: true }).fill('8:30');
  await editor.getByRole('textbox', { name: 'End', exact: true }).blur();
  await expect(editor.getByRole('alert')).toHaveText('The end is before the start.');
  await editor.getByRole('textbox', { name: 'End', exact: true }).fill('12:00');
  await editor.getByRole('textbox', { name: 'End', exact: true }).blur();
  await editor.getByRole('button', { name: 'Keep' }).click();
  await expect(bar(page, 'Flight to Halifax')).toHaveAccessibleName(/Sat,? 28 Nov, 13:00 – 16:00/);
  await bar(page, 'Flight to Halifax').click();
  await expect(
    panel(page, 'Flight to Halifax').getByText('13:00 in London – 12:00 in Halifax'),
  ).toBeVisible();
});

test('zones on the phone', { tag: '@phone' }, async ({ page }) => {
  await openDemo(page);
  await test.step('the sheet is seen as in another zone, clearly marked, and back by one press', async () => {
    await page.getByRole('button', { name: 'Osaka +9 h. See the sheet as in Osaka' }).click();
    await expect(page.getByText('Seen as in Osaka, UTC+9')).toBeVisible();
    await expect(bar(page, 'Osaka call: lens order')).toHaveAccessibleName(
      /Mon,? 23 Nov, 18:45 – 19:30/,
    );
    await bar(page, 'Osaka call: lens order').click();
    await expect(
      panel(page, 'Osaka call: lens order').getByText('09:45 – 10:30 in London'),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Back to London' }).click();
    await expect(page.getByText(/^Seen as in/)).toHaveCount(0);
    await expect(panel(page, 'Osaka call: lens order')).toHaveCount(0);
    await expect(bar(page, 'Osaka call: lens order')).toHaveAccessibleName(/09:45 – 10:30/);
  });
  await test.step('the hours of an axis follow a clock change within the week', async () => {
    await zones(page).click();
    await panel(page, 'Zones').getByRole('button', { name: 'Halifax: hours on the sheet' }).click();
    await page.keyboard.press('Escape');
    // Clocks in Halifax went back on Sunday 1 November 2026.
    for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Week before' }).click();
    await expect(page.getByRole('heading', { name: /^26 Oct/ })).toBeVisible();
    await expect(
      page.getByRole('button', { name: /Halifax −3 h, Mon–Sat; Halifax −4 h, Sun/ }),
    ).toBeVisible();
    // For a finger the axes are one target, which asks whose hours are meant.
    await page.getByRole('button', { name: /\. Choose the hours shown$/ }).click();
    await page.getByRole('button', { name: 'See the sheet as in Halifax' }).click();
    await expect(page.getByText(/^Seen as in Halifax/)).toBeVisible();
  });
});

test(
  'zones are watched: on the sheet, on the world clock, three at most',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await zones(page).click();
    const list = panel(page, 'Zones');
    await list.getByRole('button', { name: 'Halifax: hours on the sheet' }).click();
    await expect(page.getByRole('button', { name: /^Halifax −4 h\./ })).toBeVisible();
    await expect(list.getByRole('textbox', { name: 'Watch another zone' })).toHaveCount(0);
    await list.getByRole('button', { name: 'Stop watching Lisbon' }).click();
    await list.getByRole('textbox', { name: 'Watch another zone' }).fill('+5:45');
    await list.getByRole('button', { name: /^Kat(h)?mandu, / }).click();
    await expect(page.getByRole('button', { name: /^Kat(h)?mandu \+5:45 h\./ })).toBeVisible();
    await page.getByRole('link', { name: 'Today', exact: true }).click();
    const clocks = page.getByRole('list', { name: 'Clocks elsewhere, from London' });
    await expect(
      clocks.getByRole('listitem', { name: /^Osaka: 19:2\d, 9 h ahead, out of office hours/ }),
    ).toBeVisible();
    await expect(
      clocks.getByRole('listitem', { name: /^Kat(h)?mandu: 16:1\d, 5:45 h ahead, office hours/ }),
    ).toBeVisible();
  },
);

test(
  'on days of travel the sheet goes by the clock there',
  { tag: '@wide' },
  async ({ page, isPhone }) => {
    await openDemo(page);
    for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Week after' }).click();
    const away = sheet(page).getByRole('button', { name: /by the clock of Halifax/ });
    await expect(away).toHaveCount(3);
    await expect(away.first()).toHaveAccessibleName(/^Tuesday,? 15 December/);
    // 15:00 at home is 11:00 there.
    await expect(bar(page, 'Stock count')).toHaveAccessibleName(/Wed,? 16 Dec, 11:00 – 11:30/);
    // A time put on such a day is by the clock there.
    const spot = await spotOf(page, /^Thursday,? 17/, 14.1, 0.9);
    if (isPhone) await page.touchscreen.tap(spot.x, spot.y);
    else await page.mouse.click(spot.x, spot.y);
    await expect(panel(page, 'Add an event').getByText('18:00 – 18:30 in London')).toBeVisible();
    await page.getByRole('textbox', { name: 'What, when, where' }).fill('Lens talk');
    await page.keyboard.press('Enter');
    await expect(message(page, 'Added “Lens talk”')).toBeVisible();
    await zones(page).click();
    await panel(page, 'Zones').getByRole('button', { name: 'Remove travel to Halifax' }).click();
    await expect(away).toHaveCount(0);
    await expect(bar(page, 'Lens talk')).toHaveAccessibleName(/Thu,? 17 Dec, 18:00 – 18:30/);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(away).toHaveCount(3);
  },
);

test('travel is added, and can’t end before it begins', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page);
  await zones(page).click();
  const all = panel(page, 'Zones');
  await all.getByRole('textbox', { name: 'Travel to' }).fill('JST');
  await all.getByRole('button', { name: /^Tokyo, / }).click();
  await all.getByRole('button', { name: /^Last day there/ }).click();
  await pickDay(page, '1 December 2026');
  await all.getByRole('button', { name: 'Add travel' }).click();
  await expect(message(page, 'Added travel to Tokyo')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Week after' }).click();
  await expect(
    sheet(page).getByRole('button', { name: /^Tuesday,? 1 December.*by the clock of Tokyo/ }),
  ).toBeVisible();
});

test(
  'the home zone is chosen in the settings, and given back to the browser',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await goTo(page, 'Settings');
    await page.getByRole('textbox', { name: 'Home zone' }).fill('lisbon');
    await page.getByRole('button', { name: /^Lisbon, / }).click();
    await expect(page.getByRole('textbox', { name: 'Home zone' })).toHaveValue('Lisbon (UTC)');
    await page.getByRole('button', { name: 'Follow the browser' }).click();
    await expect(page.getByRole('textbox', { name: 'Home zone' })).toHaveAttribute(
      'placeholder',
      'As the browser: London',
    );
  },
);

test(
  'today shows what is now and next, and opens it on the plan',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await page.getByRole('link', { name: 'Today', exact: true }).click();
    const events = page.getByRole('list', { name: 'Today’s events' });
    await expect(
      events.getByRole('button', { name: /^Pilot station survey.*now, ends in 3\d min$/ }),
    ).toBeVisible();
    await expect(events.getByRole('button', { name: /^Bench round.*over$/ })).toBeVisible();
    await events.getByRole('button', { name: /^Barometer calibration/ }).click();
    await expect(panel(page, 'Barometer calibration')).toBeVisible();
    await expect(bar(page, 'Barometer calibration')).toBeVisible();
  },
);

test(
  'sweeping one series off a chosen calendar looks first, and is taken back by one undo',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await page.getByRole('link', { name: 'Tidy' }).click();
    await page.getByRole('textbox', { name: 'One series, by its title' }).fill('payroll');
    await page.getByRole('button', { name: 'Payroll check' }).click();
    const offs = page.getByRole('group', { name: 'Off the events of' });
    await expect(offs.getByRole('switch', { name: 'Quay closures' })).toBeChecked();
    await offs.getByRole('switch', { name: 'Quay closures' }).click();
    await expect(page.getByText('Choose a calendar whose events are in the way.')).toBeVisible();
    await offs.getByRole('switch', { name: 'Leave' }).click();
    await page.getByRole('radio', { name: 'To the clear working day before' }).click();
    const list = page.getByRole('list', { name: 'Dates in the way' });
    await expect(list.getByRole('listitem').first()).toContainText('on “Tomas away”');
    const before = await list.getByRole('listitem').count();
    await page.getByRole('button', { name: /^Sweep \d+ dates?$/ }).click();
    await expect(message(page, /^Moved \d+ dates?$/)).toBeVisible();
    await expect(page.getByText('No dates fall on those. Nothing to sweep.')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(list.getByRole('listitem')).toHaveCount(before);
  },
);

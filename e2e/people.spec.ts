import type { Page } from '@playwright/test';
import {
  bar,
  downloaded,
  expect,
  goTo,
  message,
  mouseDrag,
  openDemo,
  openOwn,
  panel,
  sheet,
  test,
  typeLine,
  spotOf,
} from './fixtures';

const openings = (page: Page) => page.getByRole('list', { name: 'Openings' }).getByRole('listitem');

/** Puts people's time on the sheet, from the dialog that is open. */
async function show(page: Page, ...names: string[]): Promise<void> {
  for (const name of names) await page.getByRole('switch', { name: `Show ${name}` }).click();
}

test(
  'people are found, added, noted, and their time is laid over the sheet or beside it',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await goTo(page, 'People');
    const person = (name: string) => page.getByRole('listitem', { name, exact: true });
    await expect(person('Ida Solberg')).toContainText('clear until 11:00');
    await expect(person('Junia Pace')).toContainText('booked until 12:00');
    await expect(person('Junia Pace')).toContainText('next clear hour 12:00 · shows when booked');
    await expect(person('Nell Macrae')).toContainText('06:25 in Halifax');

    // The directory of the office knows more of them.
    await page.getByRole('textbox', { name: 'Whom do you look for?' }).fill('quill');
    await page.getByRole('button', { name: 'Add Piers Quill' }).click();
    const form = panel(page, 'Somebody new');
    await form.getByRole('textbox', { name: 'My notes' }).fill('Sends the audit list.');
    await form.getByRole('textbox', { name: 'Groups, with commas between' }).fill('Accounts');
    await form.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(message(page, 'Added Piers Quill to people')).toBeVisible();
    const accounts = page.getByRole('list', { name: 'Accounts' });
    await expect(accounts.getByRole('listitem')).toHaveCount(2);

    // On the sheet: titles where they may be seen, else only that it is taken.
    await goTo(page, 'Plan');
    await page.getByRole('button', { name: 'People', exact: true }).click();
    await show(page, 'Ida Solberg', 'Junia Pace');
    await page.getByRole('button', { name: 'Done' }).click();
    await expect(bar(page, 'Lens fitting').first()).toHaveAccessibleName(/Ida Solberg, busy/);
    await expect(bar(page, 'Booked').first()).toHaveAccessibleName(/Junia Pace, busy/);
    await expect(bar(page, 'Private')).not.toHaveCount(0);
    await expect(page.getByText('Dentist')).toHaveCount(0);

    // A press tells of them and their day; nothing of it can be moved.
    await bar(page, 'Lens fitting').first().click();
    const panelOfIda = panel(page, 'Ida Solberg');
    await expect(panelOfIda.getByRole('listitem').filter({ hasText: 'Bench hours' })).toBeVisible();
    await page.keyboard.press('Escape');
    await bar(page, 'Lens fitting').first().focus();
    await page.keyboard.press('Alt+ArrowRight');
    await expect(
      message(page, 'This is Ida Solberg’s time: it can’t be changed here.'),
    ).toBeVisible();

    // Side by side, each has a row of each day; after a reload too.
    await page.getByRole('button', { name: 'People: 2 on the sheet' }).click();
    await page.getByRole('checkbox', { name: 'Side by side: a row or a column each' }).click();
    await page.getByRole('button', { name: 'Done' }).click();
    const rowOf = (name: string) =>
      sheet(page).getByRole('button', { name: `${name}, Tuesday, 24 November 2026. Add` });
    await expect(rowOf('Ida Solberg')).toBeVisible();
    await page.reload();
    await expect(rowOf('You')).toBeVisible();
    await expect(bar(page, 'Lens fitting').first()).toBeVisible();

    // One press takes everybody off again.
    await page.getByRole('button', { name: 'People: 2 on the sheet' }).click();
    await page.getByRole('button', { name: 'Nobody' }).click();
    await page.getByRole('checkbox', { name: /^Side by side/ }).click();
    await page.getByRole('button', { name: 'Done' }).click();
    await expect(bar(page, 'Lens fitting')).toHaveCount(0);
    await expect(bar(page, 'Lamp 14 strip-down')).toBeVisible();
  },
);

test('a time for all is found, with what speaks against it, and taken', async ({
  page,
  isPhone,
}) => {
  await openDemo(page);
  await goTo(page, 'People');
  await page.getByRole('button', { name: 'When could all of Workshop meet?' }).click();
  await expect(openings(page).first()).toContainText('All clear');
  await expect(
    page.getByRole('button', { name: 'Tuesday, 24 November 2026: clear for all' }),
  ).toBeVisible();

  // With Tomas, who is away on Thursday and Friday, and Nell in Halifax.
  const dialog = panel(page, 'When could we meet?');
  await dialog.getByRole('button', { name: /^With: / }).click();
  await dialog.getByRole('checkbox', { name: 'Tomas Reyl' }).check();
  await dialog.getByRole('checkbox', { name: 'Nell Macrae' }).check();
  await dialog.getByRole('button', { name: 'Nell Macrae is optional' }).click();
  await expect(dialog.getByRole('button', { name: /^With: / })).toHaveAccessibleName(
    'With: Ida, Oskar, Mei, Tomas and Nell (optional)',
  );
  await dialog.getByRole('button', { name: /^With: / }).click();
  await expect(
    dialog.getByRole('button', { name: /^Thursday, 26 November 2026: clear for (some|none)$/ }),
  ).toBeVisible();

  // As bands on the sheet, on which one draws; then back to what was looked for.
  if (isPhone) {
    await dialog.getByRole('button', { name: 'On the sheet' }).click();
    const bands = page.getByRole('region', { name: 'Openings on the sheet' });
    await expect(bands).toContainText('Ida, Tomas, Oskar, Mei and Nell: draw in a band to add');
    await expect(page.locator('.opening-band').first()).toBeVisible();
    await bands.getByRole('button', { name: 'Take off' }).click();
    await expect(page.locator('.opening-band')).toHaveCount(0);
    return;
  }

  // All in the house: those who work at home would have to come.
  await dialog.getByRole('button', { name: /^How: / }).click();
  await dialog
    .getByRole('radiogroup', { name: 'All at one place' })
    .getByRole('radio', { name: 'workshop' })
    .click();
  await dialog
    .getByRole('radiogroup', { name: 'How long' })
    .getByRole('radio', { name: '1 h', exact: true })
    .click();
  await expect(dialog.getByRole('button', { name: /^How: / })).toHaveAccessibleName(
    'How: 1 h, within two weeks, all at workshop',
  );
  const wednesday = dialog.getByRole('button', { name: /^Wednesday, 25 November 2026: / });
  await wednesday.click();
  await expect(openings(page).first()).toContainText('Wed 25 Nov');
  await expect(openings(page).filter({ hasText: 'would have to come from home' })).not.toHaveCount(
    0,
  );
  await expect(openings(page).filter({ hasText: 'in Halifax' })).not.toHaveCount(0);
  await wednesday.click();

  const [first] = await openings(page).all();
  await first!.getByRole('button', { name: /^(Starts|Take)/ }).click();
  const starts = first!.getByRole('group').getByRole('button');
  if (await starts.count()) await starts.first().click();
  await expect(
    message(page, /^Added “Meeting with Ida, Oskar, Mei, Tomas and Nell”/),
  ).toBeVisible();
});

test(
  'guests are added in the editor, each with how the time suits them, and an opening is taken over',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await bar(page, 'Supplier terms').click();
    await page.getByRole('button', { name: 'Edit' }).click();
    const editor = panel(page, 'Edit “Supplier terms”');
    const field = editor.getByRole('textbox', { name: 'Guests: a name or a mail address' });
    await field.fill('tom');
    await page.keyboard.press('Enter');
    await field.fill('wren@pilot-station.example');
    await page.keyboard.press('Enter');
    const guest = (name: string) => editor.getByRole('listitem', { name });
    // On Thursday he is away.
    await expect(guest('Tomas Reyl')).toContainText('is away');
    await expect(guest('wren@pilot-station.example')).toBeVisible();
    await editor.getByRole('button', { name: 'Tomas Reyl is optional' }).click();

    await editor.getByRole('button', { name: 'Find openings' }).click();
    const dialog = panel(page, 'When could all come?');
    await expect(openings(page).first()).toContainText('All clear');
    await dialog.getByRole('button', { name: /^Monday, 30 November 2026: / }).click();
    await openings(page)
      .first()
      .getByRole('button', { name: /^(Starts|Take)/ })
      .click();
    const starts = openings(page).first().getByRole('group').getByRole('button');
    if (await starts.count()) await starts.first().click();
    await expect(dialog).toBeHidden();
    await expect(guest('Tomas Reyl')).toContainText('clear then');
    await editor.getByRole('button', { name: 'Keep' }).click();
    await expect(message(page, /^Changed “Supplier terms”/)).toBeVisible();
    await page.getByRole('button', { name: 'Week after' }).click();
    await bar(page, 'Supplier terms').click();
    await expect(panel(page, 'Supplier terms')).toContainText(
      'Tomas Reyl, wren@pilot-station.example',
    );

    // In a typed line, those who are known become guests, and their names stay in the title.
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await typeLine(page, 'Varnish talk with Ida and Tomas Fri 15:00');
    await expect(
      page.getByRole('checkbox', { name: 'With Ida Solberg and Tomas Reyl as guests' }),
    ).toBeChecked();
    await page.keyboard.press('Enter');
    await expect(message(page, /^Added “Varnish talk with Ida and Tomas”/)).toBeVisible();
  },
);

test(
  'own data has no office: somebody is added by hand, and an office that is away is said',
  { tag: '@phone' },
  async ({ page }) => {
    await openOwn(page);
    await goTo(page, 'People');
    await page
      .getByRole('textbox', { name: 'Whom do you look for?' })
      .fill('ida@lantern-quay.example');
    await expect(page.getByRole('button', { name: 'Add Ida Solberg' })).toHaveCount(0);
    await page.getByRole('button', { name: 'Add “ida@lantern-quay.example” by hand' }).click();
    const form = panel(page, 'Somebody new');
    await form.getByRole('textbox', { name: 'Name' }).fill('Ida');
    await form.getByRole('textbox', { name: /^Where their calendar/ }).fill('/office/nobody.ics');
    await form.getByRole('button', { name: 'Add', exact: true }).click();
    const ida = page.getByRole('listitem', { name: 'Ida', exact: true });
    await expect(ida).toContainText('There is nobody of that name in the office.');
    await ida.getByRole('button', { name: /^Ida/ }).click();
    const again = panel(page, 'Ida');
    await again.getByRole('textbox', { name: /^Where their calendar/ }).fill('/office/ida.ics');
    await again.getByRole('button', { name: 'Keep' }).click();
    await expect(ida).toContainText('clear until 11:00');
    await again.waitFor({ state: 'hidden' });
    await ida.getByRole('button', { name: /^Ida/ }).click();
    await panel(page, 'Ida').getByRole('button', { name: 'Remove' }).click();
    await expect(message(page, 'Removed Ida from people')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(ida).toBeVisible();
  },
);

test('times are offered as text and file, held, and let go when one is taken or over', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await openDemo(page);
  await goTo(page, 'People');
  await page.getByRole('button', { name: 'When could all of Partners meet?' }).click();
  await expect(openings(page).first()).toBeVisible();
  await page.getByRole('button', { name: 'Offer some of these' }).click();
  await page.getByRole('button', { name: 'The best 3' }).click();
  await page.getByRole('button', { name: 'Offer 3 times' }).click();
  const offer = panel(page, 'Offer 3 times');
  await offer.getByRole('textbox', { name: 'What it is' }).fill('Lens and pilots');
  const text = offer.getByRole('group', { name: 'The offer as a text' });
  await expect(text).toContainText('Lens and pilots, 30 min');
  await expect(text).toContainText('in Halifax');
  await offer.getByRole('button', { name: 'Halifax' }).click();
  await expect(text).not.toContainText('in Halifax');
  await expect(text).toContainText('in Tokyo');
  await offer.getByRole('button', { name: 'Copy the text' }).click();
  await expect
    .poll(() => page.evaluate(() => navigator.clipboard.readText()))
    .toMatch(/^Lens and pilots, 30 min\n\nWould one of these times suit you\?/);
  const file = await downloaded(page, () =>
    offer.getByRole('button', { name: 'Save as a file' }).click(),
  );
  expect(file.match(/SUMMARY:Lens and pilots/g)).toHaveLength(3);
  await offer.getByRole('button', { name: 'Hold them' }).click();
  await expect(message(page, 'Held 3 times for “Lens and pilots”')).toBeVisible();
  const offered = page.getByRole('listitem', { name: 'Lens and pilots' });
  await expect(offered.getByRole('button', { name: /^Taken: / })).toHaveCount(3);

  // The first begins at noon: nobody took it, and it goes by itself. Then one is taken.
  await page.clock.fastForward('02:00:00');
  await expect(message(page, 'Let go of 1 held time that nobody took')).toBeVisible();
  await expect(offered.getByRole('button', { name: /^Taken: / })).toHaveCount(2);
  await offered.getByRole('button', { name: 'Taken: Wed 25 Nov, 08:30' }).click();
  await expect(
    message(page, 'Took Wed 25 Nov, 08:30 for “Lens and pilots”, and let go of 1 other'),
  ).toBeVisible();
  await expect(offered).toHaveCount(0);
  await goTo(page, 'Plan');
  await expect(bar(page, 'Lens and pilots')).toHaveAccessibleName(/busy/);
  await expect(bar(page, 'Held: ')).toHaveCount(0);
});

test(
  'times to offer are drawn on the sheet, each as long as the last',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await goTo(page, 'People');
    await page.getByRole('button', { name: 'When could all of Workshop meet?' }).click();
    await expect(openings(page).first()).toContainText('All clear');
    await panel(page, 'When could we meet?').getByRole('button', { name: 'On the sheet' }).click();
    const bands = page.getByRole('region', { name: 'Openings on the sheet' });
    await bands.getByRole('button', { name: 'Offer drawn times' }).click();
    await expect(bands).toContainText('Draw the times to offer on the sheet');
    for (const [from, to] of [
      [14, 15],
      [16, 16.5],
    ] as const) {
      const [start, end] = [
        await spotOf(page, /^Saturday,? 28/, from + 0.05),
        await spotOf(page, /^Saturday,? 28/, to),
      ];
      await mouseDrag(page, start, end);
      const said = new RegExp(`^Leave out Sat 28 Nov, ${from}:00$`);
      await expect(bands.getByRole('button', { name: said })).toBeVisible();
    }
    await expect(bands).toContainText('2 times to offer, 30 min each');
    await bands.getByRole('button', { name: 'Leave out Sat 28 Nov, 16:00' }).click();
    await bands.getByRole('button', { name: 'Offer them' }).click();
    await expect(
      panel(page, 'Offer 1 time').getByRole('group', { name: 'The offer as a text' }),
    ).toContainText('14:00');
    await panel(page, 'Offer 1 time').getByRole('button', { name: 'Hold them' }).click();
    await expect(bands).toBeHidden();
    await expect(
      page.getByRole('button', { name: /^Held: .*Sat,? 28 Nov, 14:00 – 14:30/ }),
    ).toBeVisible();
  },
);

import {
  bar,
  boxOf,
  enterLine,
  expect,
  goTo,
  openDemo,
  openOwn,
  panel,
  pickDay,
  sheet,
  test,
  typeLine,
} from './fixtures';

test('what can’t be is told; copies go to a picked month', { tag: '@phone' }, async ({ page }) => {
  await openDemo(page);
  await test.step('hours that end before they begin are not taken', async () => {
    await goTo(page, 'Settings');
    const from = page.getByRole('textbox', { name: 'Show from' });
    await from.fill('20:00');
    await from.blur();
    await expect(from).toHaveValue('07:00');
  });
  await test.step('a copy goes to a day of a picked month', async () => {
    await page.getByRole('link', { name: 'Plan' }).click();
    await bar(page, 'Crate inspection').click();
    await page.getByRole('button', { name: 'Copy to…' }).click();
    await page.getByRole('button', { name: 'Other days' }).click();
    await panel(page, 'Copy to days').getByRole('button', { name: 'Month after' }).click();
    await pickDay(page, '24 December 2026');
    await page.getByRole('button', { name: 'Take 1 day' }).click();
    await page.getByRole('button', { name: 'Copy to 1 day' }).click();
    await expect(page.getByText('Copied “Crate inspection” to 1 day')).toBeVisible();
    await page.getByRole('button', { name: /: choose a date/ }).click();
    await panel(page, 'Go to a date')
      .getByRole('combobox', { name: 'Month' })
      // A wide screen shows three months.
      .first()
      .selectOption('December');
    await pickDay(page, '22 December 2026');
    await expect(bar(page, 'Crate inspection')).toHaveAccessibleName(/24 Dec/);
  });
});

test(
  'the clock goes on: the next event changes, and at midnight today does',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await page.clock.fastForward('02:10:00');
    await page.clock.fastForward('12:00:00');
    await expect(
      sheet(page).getByRole('button', { name: /^Wednesday,? 25 November 2026, today/ }),
    ).toBeVisible();
    await expect(
      sheet(page).getByRole('button', { name: /^Tuesday,? 24 November 2026, today/ }),
    ).toHaveCount(0);
  },
);

test(
  'the card, several whole days, the ruler, the hours shown',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await test.step('Escape closes the card, and nothing was added', async () => {
      await page.getByRole('button', { name: 'Add', exact: true }).click();
      await typeLine(page, 'Never mind Saturday 9:00');
      await page.keyboard.press('Escape');
      await expect(panel(page, 'Add an event')).toBeHidden();
      await expect(bar(page, 'Never mind')).toHaveCount(0);
    });
    await test.step('several whole days are set by their last day', async () => {
      await bar(page, 'Tomas away').first().click();
      await page.getByRole('button', { name: 'Edit' }).click();
      const editor = panel(page, /^Edit/);
      await editor.getByRole('button', { name: /^Last day: Fri,? 27 Nov 2026$/ }).click();
      await pickDay(page, '28 November 2026');
      await expect(
        editor.getByRole('button', { name: /^Last day: Sat,? 28 Nov 2026$/ }),
      ).toBeVisible();
      await editor.getByRole('button', { name: 'Keep' }).click();
      await expect(bar(page, 'Tomas away')).toHaveCount(3);
      await expect(bar(page, 'Tomas away').nth(2)).toHaveAccessibleName(/day 3 of 3/);
    });
    await test.step('a press on the ruler goes to that week', async () => {
      const ruler = page.getByRole('slider', { name: 'Weeks' });
      const box = await boxOf(ruler);
      await ruler.click({ position: { x: box.width - 20, y: 30 } });
      await expect(page.getByRole('heading', { name: /^23 – 29 Nov/ })).toHaveCount(0);
      await expect(ruler).not.toHaveAttribute('aria-valuetext', /^Week 48/);
      await page.getByRole('button', { name: 'Today', exact: true }).click();
      await expect(page.getByRole('heading', { name: /^23 – 29 Nov/ })).toBeVisible();
    });
    await test.step('the hours of the sheet follow the settings', async () => {
      await goTo(page, 'Settings');
      const from = page.getByRole('textbox', { name: 'Show from' });
      await from.fill('9');
      await from.blur();
      await expect(from).toHaveValue('09:00');
      await page.getByRole('link', { name: 'Plan' }).click();
      const quotes = await boxOf(bar(page, 'Freight quotes'));
      const head = await boxOf(sheet(page).getByRole('button', { name: /^Wednesday,? 25/ }));
      expect(Math.abs(quotes.x - (head.x + head.width))).toBeLessThan(2);
      await expect(
        sheet(page).getByRole('button', { name: /^1 earlier event on Tue/ }),
      ).toBeVisible();
    });
  },
);

test('a last day before the first is told and not kept', { tag: '@phone' }, async ({ page }) => {
  await openDemo(page);
  await bar(page, 'Tomas away').first().click();
  await page.getByRole('button', { name: 'Edit' }).click();
  const editor = panel(page, /^Edit/);
  await editor.getByRole('button', { name: /^Last day/ }).click();
  await pickDay(page, '20 November 2026');
  await expect(editor.getByRole('alert')).toHaveText('The last day is before the first.');
  await expect(editor.getByRole('button', { name: 'Keep' })).toBeDisabled();
});

test(
  'a very long title stays in its place on the sheet and is whole in its details',
  { tag: '@phone' },
  async ({ page }) => {
    const title = `Survey of the ${'north and south '.repeat(12)}lamps`;
    await openOwn(page);
    await enterLine(page, `${title} Wednesday 17:00`);
    const long = bar(page, title);
    await expect(long).toBeVisible();
    const overflow = await page.evaluate(
      () => document.documentElement.scrollWidth - window.innerWidth,
    );
    expect(overflow).toBeLessThanOrEqual(0);
    await long.click();
    await expect(panel(page, title).getByRole('heading', { name: title })).toBeVisible();
  },
);

test('a new calendar is made, and events can go to it', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page);
  await goTo(page, 'Calendars');
  await page.getByRole('button', { name: 'New calendar' }).click();
  const form = panel(page, 'New calendar');
  await form.getByRole('textbox', { name: 'Name' }).fill('workshop');
  await expect(form.getByRole('alert')).toHaveText('Another calendar has this name.');
  await expect(form.getByRole('button', { name: 'Make' })).toBeDisabled();
  await form.getByRole('textbox', { name: 'Name' }).fill('Harbour talks');
  await form.getByRole('button', { name: 'Make' }).click();
  await expect(form).toBeHidden();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await typeLine(page, 'Opening talk Saturday 11:00 in Harbour talks');
  await page.keyboard.press('Enter');
  await expect(bar(page, 'Opening talk')).toHaveAccessibleName(
    /11:00 – 11:30, Harbour talks, busy/,
  );
});

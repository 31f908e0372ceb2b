import {
  amongCalendars,
  bar,
  boxOf,
  expect,
  message,
  openDemo,
  panel,
  pickDay,
  sheet,
  spotOf,
  test,
  touchDrag,
} from './fixtures';

test('the week shows its events with their true place, and says how booked it is', async ({
  page,
}) => {
  await openDemo(page);
  await expect(page.getByRole('heading', { name: /^23 – 29 Nov/ })).toBeVisible();
  await expect(page.getByText(/^Week 48 · demo/)).toBeVisible();
  await expect(page.getByRole('button', { name: /[\d.]+ ?h.*: show the hours$/ })).toBeVisible();
  await expect(
    sheet(page).getByRole('button', { name: /^Tuesday,? 24 November 2026, today/ }),
  ).toBeVisible();

  const nine = await spotOf(page, /^Wednesday,? 25/, 9);
  const quotes = await boxOf(bar(page, 'Freight quotes'));
  expect(Math.abs(quotes.x - nine.x)).toBeLessThan(2);
  const ten = await spotOf(page, /^Wednesday,? 25/, 10);
  expect(Math.abs(quotes.x + quotes.width - ten.x)).toBeLessThan(2);

  await expect(bar(page, 'Tomas away').nth(1)).toHaveAccessibleName(/day 2 of 2/);
  await expect(bar(page, 'Osaka call: lens order')).toHaveAccessibleName(
    /09:45 – 10:30, Clients, busy, repeats/,
  );
});

test('the phone’s plan', { tag: '@phone' }, async ({ page }) => {
  await openDemo(page);
  await test.step('the whole page fits: nothing scrolls sideways', async () => {
    const overflow = await page.evaluate(
      () => document.documentElement.scrollWidth - window.innerWidth,
    );
    expect(overflow).toBeLessThanOrEqual(0);
  });
  await test.step('a swipe turns the week, a scroll does not', async () => {
    const spot = await spotOf(page, /^Saturday,? 28/, 15);
    await touchDrag(page, [spot, { x: spot.x - 180, y: spot.y + 6 }], 0);
    await expect(page.getByRole('heading', { name: '30 Nov – 6 Dec' })).toBeVisible();
    await touchDrag(page, [spot, { x: spot.x + 20, y: spot.y - 200 }], 0);
    await expect(page.getByRole('heading', { name: '30 Nov – 6 Dec' })).toBeVisible();
  });
  await test.step('a calendar is hidden and shown by its chip, and Undo knows it', async () => {
    await page.getByRole('button', { name: 'Today', exact: true }).click();
    await amongCalendars(page, async (calendars) => {
      const chip = calendars.getByRole('switch', { name: 'Workshop' });
      await chip.click();
      await expect(chip).not.toBeChecked();
    });
    await expect(bar(page, 'Lamp 14 strip-down')).toBeHidden();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(bar(page, 'Lamp 14 strip-down')).toBeVisible();
  });
});

test(
  'weeks are turned by buttons, Today, the ruler and a date',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await page.getByRole('button', { name: 'Week after' }).click();
    await expect(page.getByRole('heading', { name: '30 Nov – 6 Dec' })).toBeVisible();
    await expect(bar(page, 'Lamp 14 reassembly')).toBeVisible();
    await page.getByRole('button', { name: 'Week before' }).click();
    await page.getByRole('button', { name: 'Week before' }).click();
    await expect(page.getByRole('heading', { name: /^16 – 22 Nov/ })).toBeVisible();
    await page.getByRole('button', { name: 'Today', exact: true }).click();
    await expect(page.getByRole('heading', { name: /^23 – 29 Nov/ })).toBeVisible();

    const ruler = page.getByRole('slider', { name: 'Weeks' });
    await expect(ruler).toHaveAttribute(
      'aria-valuetext',
      /^Week 48, [\d.]+ h(?: \d+ min)? booked$/,
    );
    await ruler.focus();
    await page.keyboard.press('ArrowRight');
    await expect(page.getByRole('heading', { name: '30 Nov – 6 Dec' })).toBeVisible();

    await page.getByRole('button', { name: /choose a date/ }).click();
    await pickDay(page, '14 November 2026');
    await expect(page.getByRole('heading', { name: /^9 – 15 Nov/ })).toBeVisible();
  },
);

test(
  'the week that was shown is still shown after a reload',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await page.getByRole('button', { name: 'Week after' }).click();
    await expect(bar(page, 'Lamp 14 reassembly')).toBeVisible();
    await page.reload();
    await expect(bar(page, 'Lamp 14 reassembly')).toBeVisible();
  },
);

test('the wide plan', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page);
  await test.step('details tell everything, and close by Escape with the focus back on the bar', async () => {
    await bar(page, 'Osaka call: lens order').click();
    const details = panel(page, 'Osaka call: lens order');
    await expect(details.getByText('18:45 – 19:30 in Tokyo')).toBeVisible();
    await expect(details.getByText('Small office')).toBeVisible();
    await expect(details.getByText('Mr Hayashi’s team. Agree crate sizes first.')).toBeVisible();
    await expect(details.getByText('Every Monday')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(details).toBeHidden();
    await expect(bar(page, 'Osaka call: lens order')).toBeFocused();
  });
  await test.step('what a wide margin says: the next event and the clashes', async () => {
    const margin = page.getByRole('complementary', { name: 'Today and clashes' });
    await expect(
      margin.getByRole('button', { name: /Pilot station survey.*10:00 · ends in 35 min/ }),
    ).toBeVisible();
    await margin
      .getByRole('button', { name: /Pilot station survey overlaps Quarter ledger review/ })
      .click();
    await expect(panel(page, 'Quarter ledger review')).toBeVisible();
  });
  await test.step('events outside the shown hours are counted, and a press shows them', async () => {
    await sheet(page)
      .getByRole('button', { name: /^1 later event on Fri/ })
      .click();
    await expect(bar(page, 'Night watch rota').first()).toBeVisible();
    await page.getByRole('button', { name: 'Back to the usual hours' }).click();
    await expect(bar(page, 'Night watch rota')).toHaveCount(0);
  });
  await test.step('an address that leads nowhere says so', async () => {
    await page.goto('/nowhere');
    await expect(message(page, 'This address leads nowhere in the app.')).toBeVisible();
    await page.getByRole('button', { name: 'Go to the plan' }).click();
    await expect(bar(page, 'Lamp 14 strip-down')).toBeVisible();
  });
});

test('a followed calendar can be looked at, not changed', { tag: '@phone' }, async ({ page }) => {
  await openDemo(page);
  await bar(page, 'Quay closed').click();
  const details = panel(page, 'Quay closed');
  await expect(details.getByText(/followed calendar/)).toBeVisible();
  await expect(details.getByRole('button', { name: /Edit|Remove/ })).toHaveCount(0);
});

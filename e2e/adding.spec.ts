import {
  goTo,
  bar,
  boxOf,
  expect,
  message,
  mouseDrag,
  openDemo,
  openOwn,
  panel,
  spotOf,
  test,
  touchDrag,
  typeLine,
} from './fixtures';

test('typed lines', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page);
  await test.step('a jotted line becomes an event, part by part', async () => {
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    const card = panel(page, 'Add an event');
    await expect(card.getByRole('textbox', { name: 'What, when, where' })).toBeFocused();
    await typeLine(page, 'Freight call Thu 14:00 for 90 min at Quay 3 in Clients');
    await expect(
      card.getByRole('button', { name: /When: Thu,? 26 Nov, 14:00 – 15:30 · 1 h 30 min/ }),
    ).toBeVisible();
    await expect(card.getByRole('button', { name: 'Where: Quay 3' })).toBeVisible();
    await expect(card.getByRole('radio', { name: 'Clients' })).toBeChecked();
    await expect(card.getByText(/Overlaps “Lens grinding slot”/)).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(message(page, 'Added “Freight call”')).toBeVisible();
    await expect(bar(page, 'Freight call')).toHaveAccessibleName(/14:00 – 15:30, Clients, busy/);
  });
  await test.step('a line with two readings gives the other by a key, and says what it will remind of', async () => {
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await typeLine(page, 'Lamp check Fri at 8 remind me 20 min before');
    const card = panel(page, 'Add an event');
    const when = (times: RegExp) => card.getByRole('button', { name: times });
    await expect(when(/^When: Fri,? 27 Nov, 08:00/)).toBeVisible();
    await page.keyboard.press('ArrowDown');
    await expect(when(/^When: Fri,? 27 Nov, 20:00/)).toBeVisible();
    await page.keyboard.press('ArrowDown');
    await expect(when(/^When: Fri,? 27 Nov, 08:00/)).toBeVisible();
    await expect(card.getByText('Reminder 20 min before')).toBeVisible();
    await page.keyboard.press('Enter');
    await bar(page, 'Lamp check').click();
    await expect(panel(page, 'Lamp check').getByText('Reminder 20 min before')).toBeVisible();
    await page.keyboard.press('Escape');
  });
  await test.step('a length without an hour is offered the first free time', async () => {
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await typeLine(page, 'Stocktake tomorrow 2 hours');
    const card = panel(page, 'Add an event');
    await card.getByRole('button', { name: 'First free at 12:00' }).click();
    await expect(card.getByRole('button', { name: /^When: .*12:00 – 14:00/ })).toBeVisible();
    await expect(card.getByText(/^No time is said/)).toHaveCount(0);
    await card.getByRole('button', { name: 'Keep' }).click();
    await expect(bar(page, 'Stocktake')).toHaveAccessibleName(/12:00 – 14:00/);
  });
  await test.step('what a line leaves out, and what it says of who sees it', async () => {
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await typeLine(page, 'Glue class every Wed 16:00 except 9 Dec, private notes: bring the jar');
    const card = panel(page, 'Add an event');
    await expect(
      card.getByRole('button', { name: /^Repeats: Every Wednesday · without Wed,? 9 Dec/ }),
    ).toBeVisible();
    await expect(card.getByText('private · notes: bring the jar')).toBeVisible();
    await card.getByRole('textbox', { name: 'What, when, where' }).fill('Glue class twice a week');
    await expect(
      card.getByText('“twice a week” is not understood. It stays in the title.'),
    ).toBeVisible();
  });
  await test.step('a line that says so becomes a task', async () => {
    await panel(page, 'Add an event')
      .getByRole('textbox', { name: 'What, when, where' })
      .fill('task: order lamp oil by Fri');
    const card = panel(page, 'Add a task');
    await expect(card.getByText(/^A task: .*27 Nov/)).toBeVisible();
    await card.getByRole('button', { name: 'Keep the task' }).click();
    await goTo(page, 'Tasks');
    await expect(page.getByRole('listitem', { name: 'order lamp oil' })).toBeVisible();
  });
});

test(
  'the add card: parts are corrected, all details taken along, a day’s head adds to it',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await test.step('each part can be corrected before the event is kept', async () => {
      await page.getByRole('button', { name: 'Add', exact: true }).click();
      const card = panel(page, 'Add an event');
      await typeLine(page, 'Lamp check tomorrow 9-10:30');
      await card.getByRole('button', { name: /^When: Wed,? 25 Nov, 09:00 – 10:30/ }).click();
      await card.getByRole('textbox', { name: 'Start' }).fill('1115');
      await card.getByRole('textbox', { name: 'Start' }).blur();
      await expect(card.getByRole('textbox', { name: 'End' })).toHaveValue('12:45');
      await card.getByRole('button', { name: 'Where: No place' }).click();
      await card.getByRole('textbox', { name: 'Place' }).fill('Lamp tower');
      await card.getByRole('radio', { name: 'Training' }).click();
      await card.getByRole('button', { name: 'Keep' }).click();
      await bar(page, 'Lamp check').click();
      const details = panel(page, 'Lamp check');
      await expect(details.getByText(/11:15 – 12:45/)).toBeVisible();
      await expect(details.getByText('Lamp tower')).toBeVisible();
      await expect(details.getByText('Training · busy')).toBeVisible();
    });
    await test.step('All details takes what was typed along', async () => {
      await page.getByRole('button', { name: 'Add', exact: true }).click();
      await typeLine(page, 'Supplier visit Friday 10:00 at Loading door');
      await page.getByRole('button', { name: 'All details' }).click();
      const editor = panel(page, 'New event');
      await expect(editor.getByRole('textbox', { name: 'Title' })).toHaveValue('Supplier visit');
      await expect(editor.getByRole('textbox', { name: 'Place' })).toHaveValue('Loading door');
      await editor
        .getByRole('textbox', { name: 'Notes' })
        .fill('<b>Bring</b> the <script>list</script>');
      await editor.getByRole('button', { name: 'Keep' }).click();
      await bar(page, 'Supplier visit').click();
      await expect(
        panel(page, 'Supplier visit').getByText('<b>Bring</b> the <script>list</script>'),
      ).toBeVisible();
    });
    await test.step('the head of a day adds a whole day to it', async () => {
      await page.getByRole('button', { name: /^Saturday,? 28 November/ }).click();
      await expect(
        panel(page, 'Add an event').getByRole('button', { name: /When: Sat,? 28 Nov$/ }),
      ).toBeVisible();
    });
  },
);

test('a bare title lasts the whole day', { tag: '@wide' }, async ({ page }) => {
  await openOwn(page);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await typeLine(page, 'Order brass polish');
  await page.keyboard.press('Enter');
  await expect(bar(page, 'Order brass polish')).toHaveAccessibleName(/Tue,? 24 Nov, My work, busy/);
});

test('a press on a time begins an event there', async ({ page, isPhone }) => {
  await openDemo(page);
  const spot = await spotOf(page, /^Saturday,? 28/, 15.1, 0.7);
  await (isPhone ? page.touchscreen.tap(spot.x, spot.y) : page.mouse.click(spot.x, spot.y));
  const card = panel(page, 'Add an event');
  await expect(
    card.getByRole('button', { name: /When: Sat,? 28 Nov, 15:00 – 15:30/ }),
  ).toBeVisible();
  await typeLine(page, 'Polish lenses for 2 hours');
  await expect(card.getByRole('button', { name: /15:00 – 17:00/ })).toBeVisible();
  await card.getByRole('button', { name: 'Keep' }).click();
  const kept = await boxOf(bar(page, 'Polish lenses'));
  expect(Math.abs(kept.x - (await spotOf(page, /^Saturday,? 28/, 15)).x)).toBeLessThan(2);
});

test('a span is drawn by mouse, or by a finger that rests first', async ({ page, isPhone }) => {
  await openDemo(page);
  const from = await spotOf(page, /^Saturday,? 28/, 13.02, 0.7);
  const to = await spotOf(page, /^Saturday,? 28/, 16, 0.7);
  if (isPhone) await touchDrag(page, [from, to], 400);
  else await mouseDrag(page, from, to);
  const card = panel(page, 'Add an event');
  await expect(
    card.getByRole('button', { name: /When: Sat,? 28 Nov, 13:00 – 16:00/ }),
  ).toBeVisible();
});

test(
  'the calendar shown alone is the one that new events go to',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    for (const name of ['Workshop', 'Clients', 'Training', 'Leave', 'Apprentices'])
      await page.getByRole('switch', { name }).click();
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(
      panel(page, 'Add an event').getByRole('radio', { name: 'Accounts' }),
    ).toBeChecked();
  },
);

test(
  'who adds again while a line is still being kept begins anew, and loses neither',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    const field = page.getByRole('textbox', { name: 'What, when, where' });
    await field.fill('Buoy paint Wednesday 13:00');
    await expect(page.getByText('Wed 25 Nov, 13:00 – 13:30')).toBeVisible();
    // Both presses within one turn: nothing can have been kept between them.
    await field.evaluate((input) => {
      input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
      const add = [...document.querySelectorAll<HTMLElement>('button, [role=button]')];
      add.find((button) => button.textContent?.trim() === 'Add')!.click();
    });
    await expect(field).toHaveValue('');
    await expect(field).toBeFocused();
    await page.keyboard.type('Rope order Wednesday 14:00');
    await expect(message(page, /^Added “Buoy paint”/)).toBeVisible();
    await expect(field).toHaveValue('Rope order Wednesday 14:00');
    await field.press('Enter');
    await expect(message(page, /^Added “Rope order”/)).toBeVisible();
    await expect(field).toBeHidden();
    await expect(bar(page, 'Buoy paint')).toHaveAccessibleName(/Wed 25 Nov, 13:00/);
    await expect(bar(page, 'Rope order')).toHaveAccessibleName(/Wed 25 Nov, 14:00/);
  },
);

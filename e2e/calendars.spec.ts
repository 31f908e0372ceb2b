import type { Page } from '@playwright/test';
import {
  amongCalendars,
  bar,
  boxOf,
  expect,
  goTo,
  jot,
  makeCalendar,
  message,
  openDemo,
  openOwn,
  panel,
  see,
  sheet,
  takeHold,
  test,
  touchDrag,
} from './fixtures';

const list = (page: Page, name = 'Calendars') => page.getByRole('list', { name, exact: true });
const row = (page: Page, name: string) =>
  list(page).getByRole('listitem').filter({ hasText: name });

/** Opens what can be done to a calendar, on the Calendars screen. */
async function menuOf(page: Page, name: string) {
  await page.getByRole('button', { name: `More for ${name}` }).click();
  return panel(page, name);
}

/** Opens what can be done to an event, by holding it. */
async function eventMenu(page: Page, title: string) {
  const box = await boxOf(bar(page, title).first());
  await touchDrag(page, [{ x: box.x + 6, y: box.y + box.height / 2 }], 500);
  return panel(page, title);
}

test(
  'a calendar is shown alone, takes new events, and the others come back',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await amongCalendars(page, async (calendars) => {
      // Held and let go: what opens stays open.
      const box = await boxOf(calendars.getByRole('switch', { name: 'Clients' }));
      await touchDrag(page, [{ x: box.x + 20, y: box.y + box.height / 2 }], 700);
      await panel(page, 'Clients').getByRole('button', { name: 'Only this one' }).click();
    });
    await expect(bar(page, 'Bench round')).toHaveCount(0);
    await expect(bar(page, 'Crate inspection')).toBeVisible();
    await jot(page, 'Lens parcel Saturday 9:00');
    await expect(bar(page, 'Lens parcel')).toHaveAccessibleName(/, Clients, busy/);
    await amongCalendars(page, async () => {
      const back = page.getByRole('button', { name: 'As before' });
      await back.click();
      await expect(back).toHaveCount(0);
    });
    await expect(bar(page, 'Bench round').first()).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(bar(page, 'Bench round')).toHaveCount(0);
  },
);

test(
  'the default calendar is chosen, and what new events begin with',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await goTo(page, 'Calendars');
    await (
      await menuOf(page, 'Training')
    )
      .getByRole('button', { name: 'New events go here' })
      .click();
    await expect(row(page, 'Training')).toContainText('new events go here');
    await (await menuOf(page, 'Training')).getByRole('button', { name: 'Edit' }).click();
    const form = panel(page, 'Edit Training');
    await form.getByRole('button', { name: 'What new events begin with' }).click();
    await form.getByRole('radio', { name: '90 min' }).click();
    await form.getByRole('radio', { name: 'Tentative', exact: true }).click();
    await form.getByRole('button', { name: '15 min before' }).click();
    await form.getByRole('button', { name: 'Keep' }).click();
    await panel(page, 'For the events that are there, too?')
      .getByRole('button', { name: 'Only for new ones' })
      .click();
    await jot(page, 'Knots for beginners Saturday 14:00');
    await expect(bar(page, 'Knots for beginners')).toHaveAccessibleName(
      /14:00 – 15:30, Training, tentative/,
    );
  },
);

test('links, and inks that look alike', { tag: '@phone' }, async ({ page }) => {
  await openDemo(page);
  await test.step('a pasted address becomes the event’s link', async () => {
    await jot(page, 'Tide talk Saturday 9:00 https://tides.example/talk?n=4');
    await bar(page, 'Tide talk').click();
    const link = panel(page, 'Tide talk').getByRole('link', {
      name: 'https://tides.example/talk?n=4',
    });
    await expect(link).toHaveAttribute('rel', /noopener/);
  });
  await test.step('inks that look alike are told, and mended by one press', async () => {
    await goTo(page, 'Calendars');
    await expect(page.getByText(/^Apprentices looks like Workshop/)).toBeVisible();
    await page.getByRole('button', { name: /^Give Apprentices the ink / }).click();
    await expect(page.getByText(/^Apprentices looks like/)).toHaveCount(0);
    await page.getByRole('button', { name: 'New calendar' }).click();
    const form = panel(page, 'New calendar');
    await form.getByRole('radio', { name: 'Fjord' }).click();
    await expect(form.getByRole('status')).toContainText('Hard to tell from');
    await form.getByRole('button', { name: /^Take / }).click();
    await expect(form.getByRole('status')).toHaveCount(0);
  });
});

test('what can’t be followed is said, and nothing is made', { tag: '@phone' }, async ({ page }) => {
  await openOwn(page);
  await makeCalendar(page, 'Spare');
  await page.getByRole('button', { name: 'Follow one' }).click();
  const form = panel(page, 'Follow a calendar');
  await form.getByRole('textbox').fill('http://192.168.0.1/a.ics');
  await form.getByRole('button', { name: 'Look' }).click();
  await expect(form.getByRole('alert')).toContainText('inside a private network');
  await page.keyboard.press('Escape');
  await expect(list(page).getByRole('listitem')).toHaveCount(2);
  await expect(sheet(page)).toHaveCount(0);
});

test(
  'calendars are put in another order with the keyboard, and by dragging',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await goTo(page, 'Calendars');
    const names = list(page).getByRole('listitem');
    await expect(names.first()).toContainText('Workshop');
    await takeHold(page, 'Workshop');
    await page.keyboard.press('ArrowDown');
    await expect(page.getByText('Workshop is at the place of Clients.')).toBeAttached();
    await page.keyboard.press('Space');
    await expect(names.first()).toContainText('Clients');
    await expect(message(page, 'Moved Workshop in the list')).toBeVisible();
    const from = await boxOf(page.getByRole('button', { name: 'Move Workshop' }));
    const to = await boxOf(page.getByRole('button', { name: 'Move Training' }));
    await page.mouse.move(from.x + 10, from.y + 10);
    await page.mouse.down();
    await page.mouse.move(from.x + 10, from.y + 40, { steps: 4 });
    await page.mouse.move(to.x + 10, to.y + to.height / 2, { steps: 8 });
    await page.mouse.up();
    await expect(names.nth(3)).toContainText('Workshop');
  },
);

test(
  'a calendar is unlisted, found again, duplicated and removed, and all comes back',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await goTo(page, 'Calendars');
    await (await menuOf(page, 'Leave')).getByRole('button', { name: 'Unlist' }).click();
    await expect(row(page, 'Leave')).toHaveCount(0);
    await page.getByRole('button', { name: '1 unlisted' }).click();
    await expect(list(page, 'Unlisted calendars')).toContainText('Leave');
    await (await menuOf(page, 'Leave')).getByRole('button', { name: 'List again' }).click();
    await expect(row(page, 'Leave')).toBeVisible();

    await (await menuOf(page, 'Leave')).getByRole('button', { name: 'Duplicate' }).click();
    await expect(row(page, 'Leave copy')).toContainText('6 events');
    await (await menuOf(page, 'Leave copy')).getByRole('button', { name: 'Remove' }).click();
    await expect(message(page, 'Removed Leave copy with 6 events')).toBeVisible();
    await expect(row(page, 'Leave copy')).toHaveCount(0);
    await page.goto('/removed');
    await page.getByRole('button', { name: 'Bring back Leave copy' }).click();
    await goTo(page, 'Calendars');
    await expect(row(page, 'Leave copy')).toContainText('6 events');
  },
);

test('the menu key, and categories', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page);
  await test.step('the menu key opens an event’s menu; a series asks which dates', async () => {
    await bar(page, 'Bench round').first().focus();
    await page.keyboard.press('Shift+F10');
    const menu = panel(page, 'Bench round');
    await menu.getByRole('button', { name: 'Categories' }).click();
    const part = panel(page, 'Categories: Bench round');
    await part.getByRole('button', { name: 'Lamps' }).click();
    await part.getByRole('button', { name: 'Keep' }).click();
    await page.getByRole('radio', { name: /^Every date/ }).click();
    await page.getByRole('button', { name: /^Change / }).click();
    // What it is kept with closes once it is kept.
    await expect(message(page, /^Changed /)).toBeVisible();
    await bar(page, 'Bench round').nth(1).click();
    await expect(panel(page, 'Bench round').getByText('Lamps', { exact: true })).toBeVisible();
  });
  await test.step('categories are made, jotted, coloured by and removed', async () => {
    await goTo(page, 'Calendars');
    await page.getByRole('button', { name: 'New category' }).click();
    const form = panel(page, 'New category');
    await form.getByRole('textbox', { name: 'Name' }).fill('Sea trials');
    await form.getByRole('radio', { name: 'Madder' }).click();
    await form.getByRole('button', { name: 'Make' }).click();
    await jot(page, 'Lamp on trial Saturday 9:00 #sea-trials #lamps');
    await bar(page, 'Lamp on trial').click();
    const details = panel(page, 'Lamp on trial');
    await expect(details.getByText('Sea trials')).toBeVisible();
    await expect(details.getByText('Lamps', { exact: true })).toBeVisible();
    await page.keyboard.press('Escape');

    const edge = () => bar(page, 'Lamp on trial').evaluate((el) => getComputedStyle(el).boxShadow);
    const before = await edge();
    await see(page, { span: ['Inks are those of', 'Categories'] });
    await expect.poll(edge).not.toBe(before);

    await goTo(page, 'Calendars');
    await page.getByRole('button', { name: 'Edit Sea trials' }).click();
    await panel(page, 'Edit Sea trials')
      .getByRole('button', { name: /^Remove from/ })
      .click();
    await expect(message(page, 'Removed the category Sea trials from 1 event')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('button', { name: 'Edit Sea trials' })).toBeVisible();
  });
});

test(
  'an event’s menu changes its ink, icon, calendar and availability',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    const title = 'Crate inspection';
    let menu = await eventMenu(page, title);
    await menu.getByRole('button', { name: 'Ink' }).click();
    await panel(page, `Ink: ${title}`).getByRole('radio', { name: 'Gentian' }).click();
    await expect(message(page, `Gave an ink to “${title}”`)).toBeVisible();
    menu = await eventMenu(page, title);
    await menu.getByRole('button', { name: 'Availability' }).click();
    await page.getByRole('radio', { name: 'Away' }).click();
    await expect(bar(page, title)).toHaveAccessibleName(/Clients, away/);
    menu = await eventMenu(page, title);
    await menu.getByRole('button', { name: 'Calendar' }).click();
    await page.getByRole('dialog').getByRole('radio', { name: 'Workshop' }).click();
    await expect(bar(page, title)).toHaveAccessibleName(/Workshop, away/);
    // From Friday over the weekend.
    menu = await eventMenu(page, title);
    await menu.getByRole('button', { name: 'Move to the next working day' }).click();
    await expect(bar(page, title)).toHaveCount(0);
    await page.getByRole('button', { name: 'Week after' }).click();
    await expect(bar(page, title)).toHaveAccessibleName(/Mon,? 30 Nov/);
  },
);

test(
  'files are attached, opened without running, and removed together',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await bar(page, 'Crate inspection').click();
    const details = panel(page, 'Crate inspection');
    await page.getByLabel('Files to attach').setInputFiles([
      { name: 'list.txt', mimeType: 'text/plain', buffer: Buffer.from('Nine lamps') },
      {
        name: 'sly.html',
        mimeType: 'text/html',
        buffer: Buffer.from('<script>document.title = "ran"</script>'),
      },
    ]);
    await expect(details.getByText('2 files, 49 bytes')).toBeVisible();
    await details.getByRole('button', { name: 'Open list.txt' }).click();
    await expect(panel(page, 'list.txt').getByText('Nine lamps')).toBeVisible();
    await page.keyboard.press('Escape');
    await details.getByRole('button', { name: 'Open sly.html' }).click();
    await expect(panel(page, 'sly.html').getByText(/not opened here/)).toBeVisible();
    await expect(page).not.toHaveTitle('ran');
    await page.keyboard.press('Escape');
    await page.reload();
    await page.getByRole('link', { name: 'Tidy' }).click();
    // Two are of the demo.
    await expect(page.getByText(/^4 files, \d+ bytes in all\./)).toBeVisible();
    for (const name of ['list.txt', 'sly.html'])
      await page.getByRole('checkbox', { name: `Choose ${name}` }).check();
    await page.getByRole('button', { name: 'Remove 2 files' }).click();
    await expect(page.getByText(/^2 files, \d+ bytes in all\./)).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: 'Open list.txt' }).click();
    await expect(panel(page, 'list.txt').getByText('Nine lamps')).toBeVisible();
  },
);

const TABLE = [
  'Subject;Date;Start time;End time;Room;Colour',
  'Fog bell;03/12/2026;9:15;10:45;Pier;red',
  'Buoy count;24/11/2026;8:00;8:30;;blue',
  'Lost row;31/11/2026;8:00;9:00;;',
].join('\n');

test(
  'a table comes in with its columns matched, and the match is remembered',
  { tag: '@wide' },
  async ({ page }) => {
    await openOwn(page);
    const choose = async () => {
      await goTo(page, 'Calendars');
      await page.getByRole('button', { name: 'Import files' }).click();
      await page
        .getByLabel('Calendar file')
        .setInputFiles({ name: 'rota.csv', mimeType: 'text/csv', buffer: Buffer.from(TABLE) });
    };
    await choose();
    await expect(page.getByText('The dates tell that the day comes first')).toBeVisible();
    await expect(page.getByRole('status')).toHaveText(
      /“03\/12\/2026” is Thursday,? 3 December 2026/,
    );
    await expect(page.getByRole('combobox', { name: /^Title/ })).toHaveValue('0');
    await page.getByRole('combobox', { name: /^Notes/ }).selectOption('Colour');
    await page.getByRole('button', { name: 'Look at the rows' }).click();
    const out = page.getByRole('list', { name: 'What stays out' });
    await expect(out.getByText('Line 4')).toBeVisible();
    await page.getByRole('button', { name: 'Bring in 2 entries' }).click();
    await page.getByRole('button', { name: 'See the plan' }).click();
    await expect(bar(page, 'Buoy count')).toHaveAccessibleName(/08:00 – 08:30, rota/);
    await choose();
    await expect(page.getByRole('combobox', { name: /^Notes/ })).toHaveValue('5');
  },
);

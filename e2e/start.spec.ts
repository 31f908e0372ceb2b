import { bar, enterLine, expect, goTo, message, openDemo, openOwn, panel, test } from './fixtures';

test(
  'an empty week says how to begin, asks three short things, and is out of the way once something is there',
  { tag: '@phone' },
  async ({ page }) => {
    await openOwn(page);
    const start = page.getByRole('region', { name: 'Your week is empty' });
    await start.getByRole('button', { name: /^When you work/ }).click();
    await start.getByRole('textbox', { name: 'From' }).fill('8:00');
    await start.getByRole('textbox', { name: 'From' }).blur();
    await expect(page.getByText('Set the working hours')).toBeVisible();
    await start.getByRole('button', { name: /^Your first calendar/ }).click();
    await start.getByRole('textbox', { name: 'Its name' }).fill('Harbour office');
    await start.getByRole('button', { name: 'Keep' }).click();
    await expect(
      start.getByRole('button', { name: /^Your first calendar: Harbour/ }),
    ).toBeVisible();
    await start.getByRole('button', { name: 'Type the first event' }).click();
    await page.keyboard.press('Escape');
    await expect(start).toBeVisible();

    // Without a calendar nothing can be added: that is said, and one is made from here.
    await goTo(page, 'Calendars');
    await page.getByRole('button', { name: 'More for Harbour office' }).click();
    await page.getByRole('button', { name: 'Remove', exact: true }).click();
    await expect(message(page, /^Removed Harbour office with/)).toBeVisible();
    await goTo(page, 'Plan');
    await enterLine(page, 'Review Wednesday 10:00 for an hour');
    await expect(message(page, /^None of your own calendars is listed/)).toBeVisible();
    await page.keyboard.press('Escape');
    await start.getByRole('button', { name: /^Your first calendar: None yet/ }).click();
    await start.getByRole('textbox', { name: 'Its name' }).fill('Harbour office');
    await start.getByRole('button', { name: 'Keep' }).click();
    await enterLine(page, 'Review Wednesday 10:00 for an hour');
    await expect(bar(page, 'Review')).toHaveAccessibleName(/10:00 – 11:00, Harbour office/);
    await expect(start).toBeHidden();
  },
);

test(
  'copies go into a folder by themselves, are read back, and are known after a reload',
  { tag: '@wide' },
  async ({ page }) => {
    // The browser's own dialog can't be driven: the folder is one of its private file system.
    await page.addInitScript(() => {
      window.showDirectoryPicker = async () =>
        (await (
          await navigator.storage.getDirectory()
        ).getDirectoryHandle('safe', { create: true })) as never;
    });
    await openOwn(page);
    await enterLine(page, 'Review Wednesday 10:00');
    await expect(bar(page, 'Review')).toBeVisible();
    await goTo(page, 'Settings');
    await expect(page.getByText(/^There is no copy yet/)).toBeVisible();
    await page.getByRole('button', { name: 'Choose a folder…' }).click();
    await expect(
      page.getByText(/^Last copy: .*Orderly Week copy 2026-11-24\.json: \d+ records, read back\.$/),
    ).toBeVisible();
    const stored = () =>
      page.evaluate(async () => {
        const root = await navigator.storage.getDirectory();
        const folder = await root.getDirectoryHandle('safe');
        const file = await folder.getFileHandle('Orderly Week copy 2026-11-24.json');
        return (await file.getFile()).text();
      });
    expect(await stored()).toContain('Review');
    await page.reload();
    await expect(page.getByText(/goes into “safe”/)).toBeVisible();
    await page.getByRole('link', { name: 'Plan' }).click();
    await enterLine(page, 'Lantern parade Thursday 9:00');
    await expect(bar(page, 'Lantern parade')).toBeVisible();
    await page.clock.fastForward('02:30');
    // The browser refuses what is read in the moment in which the file is put in its place.
    await expect(async () => expect(await stored()).toContain('Lantern parade')).toPass();
  },
);

test(
  'one box finds what can be done, and help shows how and where',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    const box = panel(page, 'What do you want to do?');
    const type = async (words: string, then = 'Enter') => {
      await page.keyboard.press('/');
      await expect(box.getByRole('combobox')).toBeFocused();
      await page.keyboard.type(words);
      await expect(box.getByRole('option').first()).toBeVisible();
      await page.keyboard.press(then);
    };
    await type('see columns');
    await expect(page.getByRole('button', { name: /Week · columns/ })).toBeVisible();
    await expect(box).toBeHidden();
    await type('hide clients');
    await expect(bar(page, 'Crate inspection')).toHaveCount(0);
    await type('undo');
    await expect(bar(page, 'Crate inspection')).toBeVisible();
    // The key that does it without the box stands beside it.
    await page.keyboard.press('/');
    await expect(box.getByRole('combobox')).toBeFocused();
    await page.keyboard.type('show only');
    await expect(box.getByRole('option', { name: /^Show only/ })).toContainText('O');
    await page.keyboard.press('Escape');
    await page.keyboard.press('/');
    await expect(box.getByRole('combobox')).toBeFocused();
    await page.keyboard.type('pilot station');
    await box.getByRole('option', { name: /Pilot station survey, Tue/ }).click();
    await expect(panel(page, 'Pilot station survey')).toBeVisible();
    await page.keyboard.press('Escape');

    await type('tidy');
    await expect(page.getByRole('heading', { level: 1, name: 'Tidy' })).toBeVisible();
    await page.getByRole('button', { name: 'Help: Tidy' }).click();
    await expect(page.getByRole('heading', { name: 'Clean up' })).toBeVisible();

    await goTo(page, 'Help');
    await page.getByRole('textbox', { name: 'What do you want to do?' }).fill('date series');
    await expect(
      page.getByRole('heading', { name: 'Let it repeat, and change one date' }),
    ).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Print it' })).toHaveCount(0);
    await page.getByRole('textbox', { name: 'What do you want to do?' }).fill('form');
    await page.getByRole('button', { name: 'Show me: See the time as you need it' }).click();
    await expect(panel(page, 'How the sheet is seen')).toBeVisible();
  },
);

import type { Page } from '@playwright/test';
import { bar, boxOf, expect, goTo, message, openDemo, pinch, see, sheet, test } from './fixtures';

/** Chooses in the settings, which are kept at once, and goes back to the plan. */
async function choose(page: Page, choices: Record<string, string>): Promise<void> {
  await goTo(page, 'Settings');
  for (const [group, choice] of Object.entries(choices)) {
    const radio = page
      .getByRole('radiogroup', { name: group })
      .getByRole('radio', { name: choice, exact: true });
    await radio.click();
    await expect(radio).toBeChecked();
  }
  await page.getByRole('link', { name: 'Plan' }).click();
}

async function tick(page: Page, box: string): Promise<void> {
  await goTo(page, 'Settings');
  const isOn = await page.getByRole('checkbox', { name: box }).isChecked();
  await page.getByRole('checkbox', { name: box }).click();
  await expect(page.getByRole('checkbox', { name: box })).toBeChecked({ checked: !isOn });
  await page.getByRole('link', { name: 'Plan' }).click();
}

async function askForDate(page: Page, words: string): Promise<void> {
  await page.keyboard.press('#');
  await page.getByRole('textbox', { name: /date/i }).fill(words);
  await page.keyboard.press('Enter');
}

const heightOf = async (page: Page, title: string) => (await boxOf(bar(page, title))).height;

test(
  'a shorter slot makes an hour of the columns higher, and it stays so',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await see(page, { form: 'Columns' });
    const before = await heightOf(page, 'Lens grinding slot');
    await choose(page, { 'Slot in minutes': '5' });
    await expect.poll(() => heightOf(page, 'Lens grinding slot')).toBeGreaterThan(before * 1.8);
    await page.reload();
    await expect.poll(() => heightOf(page, 'Lens grinding slot')).toBeGreaterThan(before * 1.8);
  },
);

test(
  'Ctrl and the wheel size the sheet around the pointer, and the size is kept',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await see(page, { form: 'Columns' });
    const before = await boxOf(bar(page, 'Lens grinding slot'));
    await page.mouse.move(before.x + before.width / 2, before.y + 4);
    await page.keyboard.down('Control');
    await expect
      .poll(async () => {
        await page.mouse.wheel(0, -60);
        return heightOf(page, 'Lens grinding slot');
      })
      .toBeGreaterThan(before.height * 1.5);
    await page.keyboard.up('Control');
    // What lies under the pointer is still there.
    await expect
      .poll(async () => (await boxOf(bar(page, 'Lens grinding slot'))).y)
      .toBeLessThan(before.y + 12);
    expect((await boxOf(bar(page, 'Lens grinding slot'))).y).toBeGreaterThan(before.y - 12);
    await goTo(page, 'Settings');
    await expect(page.getByText(/It is at [12]\d\d % now/)).toBeVisible();
    await page.getByRole('link', { name: 'Plan' }).click();
    await page.keyboard.press('0');
    await expect.poll(() => heightOf(page, 'Lens grinding slot')).toBeLessThan(before.height + 2);
  },
);

test('two fingers, weekends left out, and what is over', { tag: '@phone' }, async ({ page }) => {
  await openDemo(page);
  await test.step('what is over stands back, and what is to come does not', async () => {
    const colour = (title: string) =>
      bar(page, title).evaluate((element) => getComputedStyle(element).backgroundImage);
    const [past, coming] = [await colour('Lamp 14 strip-down'), await colour('Lens grinding slot')];
    expect(past).toBe(coming);
    await tick(page, 'Fade what is over');
    await expect.poll(() => colour('Lamp 14 strip-down')).not.toBe(past);
    expect(await colour('Lens grinding slot')).toBe(coming);
  });
  await test.step('two fingers size the rows, and move nothing', async () => {
    const before = await boxOf(sheet(page));
    const held = await boxOf(bar(page, 'Lamp 14 strip-down'));
    const middle = { x: held.x + held.width / 2, y: held.y + 60 };
    await pinch(page, middle, 40, 110);
    await expect
      .poll(async () => (await boxOf(sheet(page))).height)
      .toBeGreaterThan(before.height * 1.4);
    await expect(page.getByRole('heading', { level: 1, name: /^23 – 29 Nov/ })).toBeVisible();
    await goTo(page, 'Settings');
    await expect(page.getByText(/It is at 2\d\d % now/)).toBeVisible();
    await page.reload();
    await page.getByRole('link', { name: 'Plan' }).click();
    await expect(bar(page, 'Lamp 14 strip-down')).toBeVisible();
    expect((await boxOf(sheet(page))).height).toBeGreaterThan(before.height * 1.4);
  });
  await test.step('weekends are left out of weeks and months, and what lies on them is counted', async () => {
    await tick(page, 'Saturdays and Sundays');
    const head = (name: RegExp) => sheet(page).getByRole('button', { name });
    await expect(head(/^Friday,? 27 November 2026.*Add$/)).toBeVisible();
    await expect(head(/^Saturday/)).toHaveCount(0);
    await expect(page.getByText(/· 2 on days not shown/)).toBeVisible();
    await see(page, { span: ['How long', 'Month'], form: 'Grid' });
    const month = sheet(page, 'Month');
    await expect(
      month.getByRole('button', { name: /^Friday,? 27 November.*the day$/ }),
    ).toBeVisible();
    await expect(month.getByRole('button', { name: /^Saturday/ })).toHaveCount(0);
    // A date that is asked for is shown all the same.
    await askForDate(page, '28 november');
    await expect(page.getByRole('heading', { level: 1, name: /28 Nov/ })).toBeVisible();
  });
});

test(
  'week numbers, dates and clock are written as one likes',
  { tag: '@wide' },
  async ({ page, isPhone }) => {
    await openDemo(page);
    await expect(page.getByText(/^Week 48/)).toBeVisible();
    const numbered = page.getByRole('rowheader', { name: 'Week 48' });
    await page.keyboard.press('#');
    await expect(numbered).toBeVisible();
    await page.keyboard.press('Escape');
    await tick(page, 'Week numbers');
    await expect(page.getByText(/^Week 48/)).toHaveCount(0);
    await page.keyboard.press('#');
    await expect(page.getByRole('gridcell').first()).toBeVisible();
    await expect(numbered).toHaveCount(0);
    await page.keyboard.press('Escape');
    await choose(page, { 'Dates are written': 'November 24, 2026', Clock: '12 hours' });
    await expect(
      page.getByRole('heading', { level: 1, name: isPhone ? /^Nov 23 – 29/ : /^November 23 – 29/ }),
    ).toBeVisible();
    await expect(bar(page, 'Lamp 14 strip-down')).toHaveAccessibleName(
      /Mon, Nov 23, 1:00 pm – 3:00 pm/,
    );
    // A date typed in figures has its month first then, too.
    await askForDate(page, '12/3');
    await expect(page.getByRole('heading', { level: 1, name: /Nov.* 30 – Dec.* 6/ })).toBeVisible();
  },
);

test(
  'private events keep their titles to themselves, but not from who opens them',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await expect(bar(page, 'Private')).toHaveCount(0);
    await tick(page, 'Titles of private events');
    await expect(bar(page, 'Private').first()).toBeVisible();
    await expect(page.getByText('Dentist')).toHaveCount(0);
    await bar(page, 'Private').first().click();
    await expect(page.getByRole('dialog').getByRole('heading')).not.toHaveText('Private');
    // The list asks for its events itself, and shows them so as well.
    await page.keyboard.press('Escape');
    await see(page, { span: ['How long', 'Day'], form: 'Agenda' });
    await askForDate(page, '27 november');
    await expect(page.getByRole('button', { name: /^Private, / }).first()).toBeVisible();
  },
);

test(
  'letters, room and accent follow the settings, and undo takes them back',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    const size = () =>
      bar(page, 'Lamp 14 strip-down').evaluate((element) =>
        parseFloat(getComputedStyle(element).fontSize),
      );
    const usual = await size();
    await choose(page, {
      'Size of letters': 'Largest',
      'Room between lines': 'Airy',
      Accent: 'Harbour',
    });
    await expect.poll(size).toBeCloseTo(usual * 1.3, 1);
    const today = page.getByRole('button', { name: 'Today', exact: true });
    await expect(today.getByText('Today')).toHaveCSS('color', 'rgb(29, 84, 128)');
    await page.keyboard.press('Control+z');
    await expect(message(page, 'Undone: Changed the accent')).toBeVisible();
    await expect(today.getByText('Today')).toHaveCSS('color', 'rgb(31, 90, 76)');
  },
);

test(
  'a new window opens with the span that was chosen for it',
  { tag: '@phone' },
  async ({ page, context }) => {
    await openDemo(page);
    await choose(page, { 'A new window opens with': 'Month' });
    await expect(page.getByRole('heading', { level: 1, name: /^Nov/ })).toBeVisible();
    const second = await context.newPage();
    await second.goto('/');
    await expect(
      second.getByRole('heading', { level: 1, name: /^Nov(ember)? 2026$/ }),
    ).toBeVisible();
    // What is changed in that window outlives its reload.
    await see(second, { span: ['How long', 'Day'] });
    await second.reload();
    await expect(second.getByRole('heading', { level: 1, name: /^Tue/ })).toBeVisible();
  },
);

test(
  'a picture from a file lies behind Today, made small, until it is taken away',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await goTo(page, 'Settings');
    // A picture of 3000 by 2000 px, drawn here.
    const bytes = await page.evaluate(async () => {
      const canvas = document.createElement('canvas');
      Object.assign(canvas, { width: 3000, height: 2000 });
      const pen = canvas.getContext('2d')!;
      for (let i = 0; i < 300; i++) {
        pen.fillStyle = `hsl(${i} 60% 50%)`;
        pen.fillRect(i * 10, 0, 10, 2000);
      }
      const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
      return [...new Uint8Array(await blob!.arrayBuffer())];
    });
    const file = page.getByLabel('Picture file');
    await file.setInputFiles({
      name: 'quay.png',
      mimeType: 'image/png',
      buffer: Buffer.from(bytes),
    });
    const picture = page.getByRole('group', { name: 'Picture behind Today' });
    await expect(picture.getByText(/^quay\.png, kept in \d{1,3} KB$/)).toBeVisible();
    await page.getByRole('link', { name: 'Today', exact: true }).click();
    const behind = page.locator('img.picture-behind');
    await expect(behind).toBeVisible();
    expect(await behind.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(1440);
    await page.reload();
    await expect(behind).toBeVisible();
    await goTo(page, 'Settings');
    await file.setInputFiles({
      name: 'notes.txt',
      mimeType: 'text/plain',
      buffer: Buffer.from('no picture'),
    });
    await expect(message(page, /notes\.txt is not a picture that can be read here/)).toBeVisible();
    await expect(picture.getByText(/^quay\.png/)).toBeVisible();
    await page.getByRole('button', { name: 'No picture' }).click();
    await page.getByRole('link', { name: 'Today', exact: true }).click();
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(behind).toHaveCount(0);
  },
);

import type { Page } from '@playwright/test';
import PDFParser from 'pdf2json';
import { expect, goTo, openDemo, see, test } from './fixtures';

interface Pdf {
  pages: { width: number; height: number; text: string; isWithin: boolean }[];
}

/** pdf2json counts in quarters of an inch, sixteenths of its text's letters. */
const UNITS_A_POINT = 1 / 16;

/** What the browser puts on paper: its pages, their words, and whether these are within them. */
async function printed(page: Page): Promise<Pdf> {
  const bytes = await page.pdf({ preferCSSPageSize: true });
  const parser = new PDFParser();
  const read = new Promise<Pdf>((resolve, reject) => {
    parser.on('pdfParser_dataError', (error) => reject(new Error(String(error))));
    parser.on('pdfParser_dataReady', ({ Pages }) =>
      resolve({
        pages: Pages.map(({ Width, Height, Texts }) => ({
          width: Width / UNITS_A_POINT,
          height: Height / UNITS_A_POINT,
          text: Texts.map(({ R }) => decodeURIComponent(R.map(({ T }) => T).join(''))).join(' '),
          isWithin: Texts.every(({ x, y }) => x >= 0 && x <= Width && y >= -1 && y <= Height),
        })),
      }),
    );
  });
  parser.parseBuffer(bytes);
  return read;
}

const bare = (text: string) => text.replaceAll(/\s/g, '');
const pages = (page: Page) =>
  page.getByRole('region', { name: 'Pages' }).getByRole('img', { name: /^Page \d+ of/ });

test(
  'the week goes on paper as it was laid out: on its pages, with every title, and nothing of the app',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    const titles = await page
      .locator('[data-occ]')
      .evaluateAll((all) => all.map((one) => one.getAttribute('aria-label')!.split(', ')[0]!));
    expect(titles.length).toBeGreaterThan(20);
    await page.keyboard.press('Control+p');
    await expect(page.getByRole('heading', { name: 'Print', level: 1 })).toBeVisible();
    await expect(
      page.getByRole('status').filter({ hasText: '23 – 29 November · 1 page' }),
    ).toBeVisible();
    await expect(pages(page)).toHaveCount(1);
    await page.getByRole('checkbox', { name: 'Titles of private events' }).check();
    await expect(pages(page)).toHaveAccessibleName(/Tea with Mei/);

    const [week, ...more] = (await printed(page)).pages;
    expect(more).toEqual([]);
    // A4 across, in points.
    expect([Math.round(week!.width), Math.round(week!.height)]).toEqual([842, 595]);
    expect(week!.isWithin).toBe(true);
    for (const title of titles) expect(bare(week!.text)).toContain(bare(title));
    expect(bare(week!.text)).toContain('Page1of1');
    expect(bare(week!.text)).not.toContain(bare('Save ink'));

    // Small, as columns: what has no room where it lies is said in full behind.
    await page.getByRole('radio', { name: 'Columns' }).click();
    await page.getByRole('radio', { name: 'A5' }).click();
    await page.getByRole('checkbox', { name: 'Save ink: marks and outlines' }).check();
    await expect.poll(() => pages(page).count()).toBeGreaterThan(1);
    const small = await printed(page);
    expect(small.pages).toHaveLength(await pages(page).count());
    const all = bare(small.pages.map(({ text }) => text).join(''));
    for (const title of titles) expect(all).toContain(bare(title));

    // Other calendars than those seen, and what is noted of the events beside them.
    await page.getByRole('radio', { name: 'Others' }).click();
    const calendars = page.getByRole('group', { name: 'Calendars printed' });
    await expect(calendars.getByRole('switch', { name: 'Clients' })).toBeChecked();
    await calendars.getByRole('switch', { name: 'Clients' }).click();
    await expect(pages(page).first()).not.toHaveAccessibleName(/Crate inspection/);
    await page.getByRole('radio', { name: 'Notes' }).click();
    await expect(pages(page).first()).toHaveAccessibleName(/Keep the wick holder/);

    // How it was printed is kept, also for whoever leaves at once.
    await page.getByRole('radio', { name: 'As seen' }).click();
    await page.getByRole('link', { name: 'Plan' }).click();
    await expect(page.getByRole('heading', { name: /^23 – 29 Nov/ })).toBeVisible();
    await page.keyboard.press('Control+p');
    await expect(page.getByRole('radio', { name: 'A5' })).toBeChecked();
  },
);

test(
  'tasks, what was found and an event’s page are printed from where they are, on the phone too',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await goTo(page, 'Tasks');
    await page.getByRole('button', { name: 'Print…' }).click();
    await expect(pages(page).first()).toHaveAccessibleName(/^Page 1 of 1: Tasks .*Order shellac/);
    await page.goto('/find');
    await page.getByRole('textbox', { name: 'Find', exact: true }).fill('lamp 14');
    await page.getByRole('button', { name: 'Print…' }).click();
    await expect(pages(page).first()).toHaveAccessibleName(/Lamp 14 strip-down/);
    await page.goto('/event?of=single-1');
    await page.getByRole('button', { name: 'Print…' }).click();
    await expect(pages(page).first()).toHaveAccessibleName(
      /Pilot station survey .* Before we go • Ask at the gate for Mrs Amble .*To write on/,
    );
    // What was pressed is gone, and the focus is on what is shown instead of it.
    await expect(page.getByRole('link', { name: 'To what the page shows' })).not.toBeFocused();
    await expect(page.locator('#main:focus, #main :focus')).toHaveCount(1);
    await page.getByRole('button', { name: /^How: / }).click();
    await page.getByRole('radio', { name: 'Letter' }).click();
    const [one] = (await printed(page)).pages;
    expect([Math.round(one!.width), Math.round(one!.height)]).toEqual([612, 792]);

    await page.goto('/');
    await see(page, { span: ['How long', 'Month'], form: 'Agenda' });
    await page.getByRole('button', { name: /change how the sheet is seen$/ }).click();
    await page.getByRole('button', { name: 'Print…' }).click();
    await expect.poll(() => pages(page).count()).toBeGreaterThan(2);
    const overflow = await page.evaluate(
      () => document.documentElement.scrollWidth - window.innerWidth,
    );
    expect(overflow).toBeLessThanOrEqual(0);
  },
);

import type { Page } from '@playwright/test';
import { amongCalendars, bar, expect, goTo, message, openOwn, panel, test } from './fixtures';

const CRLF = '\r\n';
const calendarFile = (...lines: string[]) =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'X-WR-CALNAME:Ferry office',
    ...lines,
    'END:VCALENDAR',
    '',
  ].join(CRLF);
const entry = (...lines: string[]) => ['BEGIN:VEVENT', ...lines, 'END:VEVENT'];

const FERRY = calendarFile(
  'X-QUAY-CODE:LQ-7',
  ...entry(
    'UID:round@ferry.example',
    'SUMMARY:Gate round',
    'DTSTART;TZID=Europe/London:20261019T090000',
    'DTEND;TZID=Europe/London:20261019T093000',
    'RRULE:FREQ=WEEKLY;BYDAY=TU,TH',
    'EXDATE;TZID=Europe/London:20261126T090000',
    'X-LAMP:port',
  ),
  ...entry(
    'UID:round@ferry.example',
    'RECURRENCE-ID;TZID=Europe/London:20261124T090000',
    'SUMMARY:Gate round (late)',
    'DTSTART;TZID=Europe/London:20261124T113000',
    'DTEND;TZID=Europe/London:20261124T120000',
  ),
  ...entry(
    'UID:fair@ferry.example',
    'SUMMARY:Harbour fair',
    'DTSTART;VALUE=DATE:20261128',
    'DTEND;VALUE=DATE:20261130',
  ),
  ...entry('UID:bad@ferry.example', 'SUMMARY:No such day', 'DTSTART:20260230T090000'),
);

async function choose(page: Page, name: string, content: string | Buffer) {
  await goTo(page, 'Calendars');
  await page.getByRole('button', { name: 'Import files' }).click();
  await page
    .getByLabel('Calendar file')
    .setInputFiles({ name, mimeType: 'text/calendar', buffer: Buffer.from(content) });
}

async function bringIn(page: Page, name: string, content: string) {
  await choose(page, name, content);
  await page.getByRole('button', { name: /^Bring in/ }).click();
  await expect(page.getByRole('status')).toHaveText(/^Imported/);
}

test(
  'a file is looked at first, then comes in as one change',
  { tag: '@wide' },
  async ({ page }) => {
    await openOwn(page);
    await choose(page, 'ferry.ics', FERRY);
    await expect(page.getByText('2 events, 1 repeating, 1 changed date')).toBeVisible();
    await expect(page.getByRole('list', { name: 'Rows' }).getByText('Harbour fair')).toBeVisible();
    const out = page.getByRole('list', { name: 'What stays out' });
    await expect(out.getByText('Line 27')).toBeVisible();
    await expect(out.getByText(/“No such day” stays out/)).toBeVisible();
    await expect(page.getByRole('textbox', { name: 'Name of the new calendar' })).toHaveValue(
      'Ferry office',
    );
    await page.getByRole('button', { name: 'Bring in 2 entries' }).click();
    await page.getByRole('button', { name: 'See the plan' }).click();
    await expect(bar(page, 'Gate round \\(late\\)')).toHaveAccessibleName(
      /Tue,? 24 Nov, 11:30 – 12:00, Ferry office, busy, repeats/,
    );
    await expect(bar(page, 'Gate round')).toHaveCount(0);
    await expect(bar(page, 'Harbour fair')).toHaveCount(2);
    await page.getByRole('button', { name: 'Week after' }).click();
    await expect(bar(page, 'Gate round')).toHaveCount(2);
    await page.keyboard.press('Control+z');
    await expect(bar(page, 'Gate round')).toHaveCount(0);
    await amongCalendars(page, async (calendars) => {
      await expect(calendars.getByRole('switch')).toHaveCount(1);
    });
  },
);

test('the same UID again updates instead of doubling', { tag: '@phone' }, async ({ page }) => {
  await openOwn(page);
  await bringIn(page, 'ferry.ics', FERRY);
  await page.getByRole('button', { name: 'Import another file' }).click();
  await page.getByLabel('Calendar file').setInputFiles({
    name: 'ferry-again.ics',
    mimeType: 'text/calendar',
    buffer: Buffer.from(FERRY.replace('SUMMARY:Harbour fair', 'SUMMARY:Harbour fair and market')),
  });
  await expect(page.getByText('0 new · 1 to update · 1 without change')).toBeVisible();
  await page.getByRole('button', { name: 'Bring in 1 entry' }).click();
  await page.getByRole('button', { name: 'See the plan' }).click();
  await expect(bar(page, 'Harbour fair and market')).toHaveCount(2);
  await expect(bar(page, 'Harbour fair')).toHaveCount(0);
});

test('files read', { tag: '@wide' }, async ({ page }) => {
  await openOwn(page);
  await test.step('a dropped file is read too', async () => {
    await page.goto('/import');
    await expect(
      page.getByText('Drop calendar files (.ics) or a table (.csv) here, or'),
    ).toBeVisible();
    const transfer = await page.evaluateHandle((text) => {
      const data = new DataTransfer();
      data.items.add(new File([text], 'dropped.ics', { type: 'text/calendar' }));
      return data;
    }, FERRY);
    await page
      .getByText('Drop calendar files (.ics) or a table (.csv) here, or')
      .dispatchEvent('drop', { dataTransfer: transfer });
    await expect(page.getByRole('heading', { name: 'dropped.ics' })).toBeVisible();
  });
  await test.step('a large file shows its progress and can be stopped', async () => {
    const many = Array.from({ length: 20_000 }, (_, i) =>
      entry(
        `UID:many-${i}@ferry.example`,
        `SUMMARY:Crossing ${i}`,
        `DTSTART:202611${String((i % 28) + 1).padStart(2, '0')}T100000Z`,
        'DURATION:PT30M',
      ).join(CRLF),
    );
    await choose(page, 'many.ics', calendarFile(...many));
    await expect(page.getByRole('heading', { name: 'Reading many.ics' })).toBeVisible();
    await expect(page.getByText(/of 20,000 entries/)).toBeVisible();
    await page.getByRole('button', { name: 'Stop' }).click();
    await expect(
      page.getByText('Drop calendar files (.ics) or a table (.csv) here, or'),
    ).toBeVisible();
    await goTo(page, 'Calendars');
    await expect(page.getByText('0 events')).toBeVisible();
  });
});

test(
  'files that can’t be read are told of, and change nothing',
  { tag: '@phone' },
  async ({ page }) => {
    await openOwn(page);
    await goTo(page, 'Calendars');
    await page.getByRole('button', { name: 'Import files' }).click();
    const input = page.getByLabel('Calendar file');
    const told = async (reason: RegExp) => {
      await expect(page.getByRole('alert')).toHaveText(reason);
      await expect(page.getByRole('alert')).toHaveText(/Nothing was changed/);
    };
    for (const [name, content, reason] of [
      ['empty.ics', '', /The file is empty/],
      ['letter.ics', 'Dear Ida,\nthe lamps are ready.', /Line 1 does not begin a calendar/],
      ['cut.ics', FERRY.slice(0, 420), /begins on line \d+ and never ends/],
    ] as const) {
      await input.setInputFiles({
        name,
        mimeType: 'text/calendar',
        buffer: Buffer.from(content),
      });
      await told(reason);
    }
    // Too much for the protocol: the file is made in the page.
    await input.evaluate((element: HTMLInputElement) => {
      const data = new DataTransfer();
      data.items.add(new File([new Uint8Array(50 * 1024 * 1024)], 'huge.ics'));
      element.files = data.files;
      element.dispatchEvent(new Event('change', { bubbles: true }));
    });
    await told(/The file is 50 MB; files of up to 32 MB can be brought in/);
    await goTo(page, 'Calendars');
    await expect(page.getByText('0 events')).toBeVisible();
  },
);

test('what came in goes out with nothing lost', { tag: '@wide' }, async ({ page }) => {
  await openOwn(page);
  await bringIn(page, 'ferry.ics', FERRY);
  await goTo(page, 'Calendars');
  await page.getByRole('button', { name: 'More for Ferry office' }).click();
  const waiting = page.waitForEvent('download');
  await panel(page, 'Ferry office').getByRole('button', { name: 'Export' }).click();
  const download = await waiting;
  expect(download.suggestedFilename()).toBe('Ferry office.ics');
  const chunks: Buffer[] = [];
  for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer);
  const text = Buffer.concat(chunks).toString('utf8');
  for (const line of [
    'X-QUAY-CODE:LQ-7',
    'X-LAMP:port',
    'RRULE:FREQ=WEEKLY;BYDAY=TU,TH',
    'EXDATE;TZID=Europe/London:20261126T090000',
    'RECURRENCE-ID;TZID=Europe/London:20261124T090000',
    'BEGIN:VTIMEZONE',
    'DTSTART;VALUE=DATE:20261128',
    'SEQUENCE:0',
  ])
    expect(text).toContain(`${line}\r\n`);
  await expect(message(page, 'Exported 2 events to Ferry office.ics')).toBeVisible();

  // Brought in again, the file says nothing new.
  await choose(page, 'again.ics', text);
  await expect(page.getByText('0 new · 0 to update · 2 without change')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Nothing to bring in' })).toBeDisabled();
});

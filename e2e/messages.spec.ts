import type { Page } from '@playwright/test';
import { expect, goTo, message, openDemo, panel, test } from './fixtures';

const found = (page: Page, name: string) =>
  page.getByRole('heading', { name, level: 2 }).locator('..');

const MAIL = [
  'From: Greta Amble <g.amble@pilotstation.example>',
  'Subject: Glass',
  'Date: Tue, 24 Nov 2026 09:12:00 +0000',
  'MIME-Version: 1.0',
  'Content-Type: multipart/mixed; boundary="b"',
  '',
  '--b',
  'Content-Type: text/plain; charset=utf-8',
  '',
  'The glass can be fitted on Wednesday at 13:15 at the Pilot Station.',
  '--b',
  'Content-Type: text/calendar; name="glass.ics"',
  'Content-Disposition: attachment; filename="glass.ics"',
  '',
  'BEGIN:VCALENDAR',
  'VERSION:2.0',
  'PRODID:-//Pilot station//EN',
  'BEGIN:VEVENT',
  'UID:glass@pilotstation.example',
  'DTSTAMP:20261124T090000Z',
  'DTSTART:20261202T090000Z',
  'DTEND:20261202T100000Z',
  'SUMMARY:Glass fitted',
  'END:VEVENT',
  'END:VCALENDAR',
  '--b--',
  '',
].join('\r\n');

test(
  'a pasted message becomes events and a task, each put right before it is kept',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await goTo(page, 'Message');
    await page.getByRole('button', { name: 'Two dates and a task' }).click();
    await expect(
      page.getByText(/“Glass and stand” · from Greta Amble · 3 things found/),
    ).toBeVisible();

    const first = found(page, 'Found 1 of 3');
    await expect(first.getByText('Day and time stand in the message.')).toBeVisible();
    await first.getByRole('textbox', { name: 'Title' }).fill('Glass is fitted');
    await first.getByRole('radio', { name: 'Clients' }).click();
    await first.getByRole('button', { name: 'Keep the event' }).click();
    await expect(
      message(page, 'Added “Glass is fitted” to Clients: Tue 1 Dec, 10:00').first(),
    ).toBeVisible();
    await found(page, 'Found 2 of 3').getByRole('button', { name: 'Leave it out' }).click();
    await found(page, 'Found 3 of 3').getByRole('button', { name: 'Keep the task' }).click();
    await expect(
      message(page, /^Added the task “Send us the drawings”, due Fri,? 27 Nov/).first(),
    ).toBeVisible();

    // What stands in an answer is told as not sure; the text waits for a reload.
    await page.getByRole('button', { name: 'Clear' }).click();
    await page.getByRole('button', { name: 'An answer' }).click();
    await expect(page.getByRole('note', { name: 'Not sure' })).toContainText(
      'It stands in what was answered.',
    );
    await expect(page.getByRole('textbox', { name: 'Start' })).toHaveValue('16:30');
    await page.reload();
    const field = page.getByRole('textbox', { name: 'A message, or a part of one' });
    await expect(field).toHaveValue(/16:30 would be better\./);
    await field.fill('We should meet soon.');
    await page.getByRole('button', { name: 'Read it' }).click();
    await expect(page.getByText('no day and no time was found')).toBeVisible();
  },
);

test(
  'a mail is read from its file, goes onto the event, and its calendar file comes in',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await goTo(page, 'Message');
    await expect(page.getByRole('button', { name: 'An answer' })).toBeEnabled();
    await page
      .getByLabel('Mail or text file')
      .setInputFiles({ name: 'glass.eml', mimeType: 'message/rfc822', buffer: Buffer.from(MAIL) });
    const card = found(page, 'Found');
    await expect(card.getByRole('textbox', { name: 'Place' })).toHaveValue('Pilot Station');
    await card.getByRole('button', { name: 'Keep the event' }).click();
    await expect(message(page, 'Attached 1 file to “Glass”')).toBeVisible();
    await page.getByRole('button', { name: 'Show it' }).click();
    await expect(panel(page, 'Glass').getByText('Greta Amble', { exact: true })).toBeVisible();
    await expect(panel(page, 'Glass').getByText('glass.eml')).toBeVisible();
    await expect(panel(page, 'Glass').getByText(/The glass can be fitted/)).toBeVisible();

    await goTo(page, 'Message');
    await page
      .getByLabel('Mail or text file')
      .setInputFiles({ name: 'glass.eml', mimeType: 'message/rfc822', buffer: Buffer.from(MAIL) });
    await page.getByRole('button', { name: 'Look at what is in it' }).click();
    await expect(page.getByRole('button', { name: 'Bring in 1 entry' })).toBeVisible();
  },
);

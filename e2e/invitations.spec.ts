import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { bar, enterLine, expect, message, openDemo, panel, sheet, test } from './fixtures';

/** Goes to the invitations, whose link says how many wait. */
async function toInvitations(page: Page): Promise<void> {
  const link = page.getByRole('link', { name: /^Invitations/ });
  if (!(await link.isVisible()))
    await page.getByRole('button', { name: 'More', exact: true }).click();
  await link.click();
}

const card = (page: Page, title: string) =>
  page.getByRole('listitem', { name: title, exact: true });

test('a meeting of five: sent when asked, answered, moved by a proposal, one told no more', async ({
  page,
}) => {
  await openDemo(page);
  await enterLine(page, 'Glass review Thu 13:00 with Ida, Junia, Oskar and Mei');
  const ask = page.getByRole('region', { name: 'Guests who do not know' });
  await expect(ask).toContainText('has not been sent. Tell Ida, Junia and 2 more?');
  await ask.getByRole('button', { name: 'Send…' }).click();
  const question = panel(page, /^Send “Glass review/);
  await question.getByRole('textbox', { name: 'A line of your own' }).fill('Bring the samples.');
  await question.getByRole('button', { name: 'Send', exact: true }).click();
  await expect(message(page, /^Ida Solberg accepted “Glass review/)).toBeVisible();
  await expect(ask).toBeHidden();

  // On the sheet with how many come; opened, with what is proposed and who is silent.
  const review = bar(page, 'Glass review with Ida, Junia, Oskar and Mei');
  await expect(review).toHaveAccessibleName(/1 of 4 guests accepted/);
  await review.click();
  const details = panel(page, /^Glass review/);
  const proposal = details.getByRole('group', { name: 'Junia Pace proposes another time' });
  await expect(proposal).toContainText('proposes Thu 26 Nov, 14:00 – 14:30 instead of Thu 26 Nov');
  await details.getByRole('button', { name: 'Ask Oskar and Mei once more' }).click();
  await expect(message(page, /^Mei Lund (accepted|declined)/)).toBeVisible();
  await page.clock.fastForward('20:30');
  await expect(message(page, /^Oskar Brandt (accepted|declined)/)).toBeVisible();

  // Taken: all are told, and answer the new time.
  await proposal.getByRole('button', { name: 'Take it' }).click();
  await expect(proposal).toBeHidden();
  await expect(details.getByText(/26 November, 14:00 – 14:30/)).toBeVisible();
  await expect(
    details.getByText(/Ida Solberg \(accepted\).*Junia Pace \(accepted\)/),
  ).toBeVisible();
  await details.getByRole('button', { name: /^What was written: \d+ mails/ }).click();
  await expect(
    details.getByRole('list', { name: 'What was written' }).getByRole('listitem').first(),
  ).toBeVisible();
  const kept = page.waitForEvent('download');
  await details
    .getByRole('button', { name: /^Keep “Changed: Glass review.*as a mail$/ })
    .first()
    .click();
  const mail = readFileSync(await (await kept).path(), 'utf8');
  expect(mail).toContain('Content-Type: text/calendar; charset=UTF-8; method=REQUEST');

  // Removed: called off for all of them, or for nobody.
  await details.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(ask).toContainText('was removed. Tell Ida, Junia and 2 more?');
  await ask.getByRole('button', { name: 'Tell nobody' }).click();
  await expect(ask).toBeHidden();
});

test('three invitations are answered in three ways, one by another time; what changes is said', async ({
  page,
}) => {
  await openDemo(page);
  await toInvitations(page);
  await page.getByRole('button', { name: 'Let them invite you' }).click();
  const lens = card(page, 'Lens trial for lamp 22');
  const handover = card(page, 'Pilot lamp handover');
  const cash = card(page, 'Cash count');
  await expect(lens).toContainText('Wed 25 Nov, 10:30 – 11:30');
  await expect(handover).toContainText('09:00 – 09:45 in Halifax');
  await expect(cash).toContainText('Every Friday, 8 times');

  // With a line; it is on the sheet from now on, and takes time.
  await lens.getByRole('textbox', { name: 'A line to Ida' }).fill('With the green lens.');
  await lens.getByRole('button', { name: 'Accept: I come' }).click();
  await expect(message(page, 'Accepted “Lens trial for lamp 22”')).toBeVisible();
  await expect(lens).toContainText('you: accepted, “With the green lens.”');

  // One date of a series otherwise.
  await cash.getByRole('button', { name: 'Perhaps: I may come' }).click();
  await expect(cash).toContainText('you: perhaps');
  await cash.getByRole('button', { name: /^Single dates/ }).click();
  await cash.getByRole('button', { name: 'Decline Fri 11 Dec' }).click();
  await expect(cash.getByRole('listitem', { name: 'Fri 11 Dec' })).toContainText('declined');

  // Changed meanwhile: before and after, and it waits for an answer.
  await handover.getByRole('button', { name: 'Accept: I come' }).click();
  await expect(handover).toContainText('you: accepted');
  await page.clock.fastForward('10:30');
  await expect(message(page, /^Nell Macrae changed “Pilot lamp handover”/)).toBeVisible();
  await expect(handover.getByRole('group', { name: 'What changed' })).toContainText(
    'When: Thu 26 Nov, 13:00 – 13:45 → Thu 26 Nov, 14:30 – 15:15',
  );
  await expect(handover).toContainText('not answered');
  await expect(handover).toContainText('At the same time: Lens grinding slot');
  await handover.getByRole('button', { name: 'On the sheet' }).click();
  await expect(bar(page, 'Pilot lamp handover')).toHaveAccessibleName(/free, not answered/);
  await page.keyboard.press('Escape');
  await toInvitations(page);
  await handover.getByRole('button', { name: 'Decline: I do not come' }).click();
  await expect(handover).toContainText('you: declined');

  // Another time: Ida takes it.
  await lens.getByRole('button', { name: 'Another time…' }).click();
  const propose = panel(page, 'Another time for “Lens trial for lamp 22”');
  await propose.getByRole('textbox', { name: 'Start' }).fill('15:00');
  await propose.getByRole('textbox', { name: 'A line of your own' }).fill('Later that day?');
  await propose.getByRole('button', { name: 'Propose it' }).click();
  await expect(lens.getByRole('group', { name: 'What changed' })).toContainText(
    'Wed 25 Nov, 15:00 – 16:00',
  );

  // A date is called off; all of it is there after a reload, and nothing came twice.
  await page.clock.fastForward('10:30');
  await expect(cash).toContainText('Called off: Fri 4 Dec');
  await page.reload();
  await expect(cash).toContainText('Called off: Fri 4 Dec');
  await expect(
    page.getByRole('listitem', { name: 'Pilot lamp handover', exact: true }),
  ).toHaveCount(1);
});

test(
  'a file does the same as the post; a forged and an old one are told and change nothing',
  { tag: '@wide' },
  async ({ page }) => {
    const invitation = ({ from = 'ida', sequence = 0, at = '090000', method = 'REQUEST' }) =>
      Buffer.from(
        [
          'BEGIN:VCALENDAR',
          'VERSION:2.0',
          'PRODID:-//Quay//Post//EN',
          `METHOD:${method}`,
          'BEGIN:VEVENT',
          'UID:file-1@quay.example',
          `DTSTAMP:20261124T0${sequence}0000Z`,
          `SEQUENCE:${sequence}`,
          'SUMMARY:Rope <b>tasting</b>',
          `DTSTART:20261126T${at}Z`,
          'DURATION:PT1H',
          `ORGANIZER;CN=${from}:mailto:${from}@quay.example`,
          'ATTENDEE;CN=Robin;RSVP=TRUE;PARTSTAT=NEEDS-ACTION:mailto:robin@lantern-quay.example',
          'END:VEVENT',
          'END:VCALENDAR',
          '',
        ].join('\r\n'),
      );
    const open = (buffer: Buffer) =>
      page
        .getByLabel('Invitation file')
        .setInputFiles({ name: 'invitation.ics', mimeType: 'text/calendar', buffer });
    await openDemo(page);
    await toInvitations(page);
    await open(invitation({ sequence: 1 }));
    await expect(message(page, 'ida invites you to “Rope <b>tasting</b>”.')).toBeVisible();
    const rope = card(page, 'Rope <b>tasting</b>');
    await expect(rope).toContainText('Thu 26 Nov, 09:00 – 10:00');
    await expect(page.getByRole('link', { name: 'Invitations: 1 to answer' })).toBeVisible();

    // Chosen where calendars are imported, it says what it is.
    await page.goto('/import');
    await page.getByLabel('Calendar file').setInputFiles({
      name: 'again.ics',
      mimeType: 'text/calendar',
      buffer: invitation({ sequence: 1 }),
    });
    await page.getByRole('button', { name: 'Take it in as an invitation' }).click();
    await expect(message(page, /^This message about .* came before/)).toBeVisible();

    await open(invitation({ sequence: 0, at: '110000' }));
    await expect(message(page, /^A later message about “Rope/)).toBeVisible();
    await open(invitation({ from: 'mallory', sequence: 5, at: '120000' }));
    await expect(message(page, /ida asks to “Rope.*, not mallory/)).toBeVisible();
    await expect(rope).toContainText('Thu 26 Nov, 09:00 – 10:00');

    await open(invitation({ sequence: 2, method: 'CANCEL' }));
    await expect(page.getByRole('list', { name: 'Called off' })).toContainText('Rope');
    await rope.getByRole('button', { name: 'Let go' }).click();
    await expect(rope).toBeHidden();
    await page.getByRole('link', { name: 'Plan', exact: true }).click();
    await expect(sheet(page)).toBeVisible();
    await expect(bar(page, 'Rope')).toBeHidden();
  },
);

test(
  'what somebody else asks to is moved here alone, proposed to them, and passed on to another',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await toInvitations(page);
    await page.getByRole('button', { name: 'Let them invite you' }).click();
    const lens = card(page, 'Lens trial for lamp 22');
    await lens.getByRole('button', { name: 'Accept: I come' }).click();
    await expect(lens).toContainText('you: accepted');
    await page.getByRole('link', { name: 'Plan' }).click();
    const event = bar(page, 'Lens trial for lamp 22');
    await event.focus();
    await page.keyboard.press('Alt+ArrowRight');
    await expect(event).toHaveAccessibleName(/10:45 – 11:45/);
    const ask = page.getByRole('region', { name: 'Moved on your sheet alone' });
    await expect(ask).toContainText('Only on your sheet it is at Wed 25 Nov, 10:45 – 11:45.');
    await ask.getByRole('button', { name: 'Put it back' }).click();
    await expect(event).toHaveAccessibleName(/10:30 – 11:30/);
    await expect(ask).toBeHidden();
    await event.focus();
    await page.keyboard.press('Alt+ArrowRight');
    await ask.getByRole('button', { name: 'Propose it to Ida' }).click();
    await expect(ask).toBeHidden();

    // She takes it: it is asked for at that time now.
    await toInvitations(page);
    await expect(lens).toContainText('Wed 25 Nov, 10:45 – 11:45');
    const cash = card(page, 'Cash count');
    await cash.getByRole('button', { name: 'Pass on…' }).click();
    const dialog = panel(page, 'Pass “Cash count” on');
    await dialog.getByRole('radio', { name: 'Mei Lund' }).click();
    await dialog.getByRole('textbox', { name: 'A line of your own' }).fill('You have the keys.');
    await dialog.getByRole('button', { name: 'Pass it on' }).click();
    await expect(message(page, 'Passed “Cash count” on to Mei Lund')).toBeVisible();
    await expect(cash).toContainText('you: passed on');
    await page.getByRole('link', { name: 'Plan' }).click();
    await expect(bar(page, 'Cash count')).toHaveCount(0);
  },
);

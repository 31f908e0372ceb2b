import type { Page } from '@playwright/test';
import { bar, enterLine, expect, goTo, message, openDemo, openOwn, panel, test } from './fixtures';

const region = (page: Page) => page.getByRole('region', { name: 'Reminders' });
const due = (page: Page, title: string) => region(page).getByRole('listitem', { name: title });

/** Puts the clock on to a moment; it goes on from there. */
async function clockAt(page: Page, moment: string): Promise<void> {
  const now = await page.evaluate(() => Date.now());
  await page.clock.fastForward(Date.parse(moment) - now);
}

/** Counts what the browser has shown: one that is asked what it shows before that forgets it. */
const countShows = (page: Page) =>
  page.evaluate(() => {
    const { showNotification } = ServiceWorkerRegistration.prototype;
    let shows = 0;
    ServiceWorkerRegistration.prototype.showNotification = async function (...notice) {
      await showNotification.apply(this, notice);
      document.documentElement.dataset['shows'] = String(++shows);
    };
  });

/** Keeps an address of the settings. */
async function giveAddress(page: Page, label: string, address: string): Promise<void> {
  const field = page.getByRole('textbox', { name: label });
  await field.fill(address);
  await field.press('Enter');
}

test(
  'reminders are set by hand: those of the calendar, none, or its own, each in its way',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await enterLine(page, 'Wick fitting Thu 16:00 for 45 min in Clients, 25 min to get there');
    await expect(message(page, /^Added “Wick fitting”/)).toBeVisible();
    await bar(page, 'Wick fitting').click();
    const details = panel(page, 'Wick fitting');
    await expect(details.getByText('Reminder 15 min before, as Clients has it')).toBeVisible();
    await expect(details.getByText(/^25 min to get there · Leave by 15:35$/)).toBeVisible();

    await details.getByRole('button', { name: 'Edit' }).click();
    const editor = panel(page, 'Edit “Wick fitting”');
    await editor.getByRole('button', { name: /^Reminders: / }).click();
    const whose = editor.getByRole('radiogroup', { name: 'Reminders' });
    await expect(whose.getByRole('radio', { name: /^As Clients has it/ })).toBeChecked();
    await whose.getByRole('radio', { name: 'Its own' }).click();
    const own = editor.getByRole('group', { name: 'Its own reminders' });
    await own.getByRole('button', { name: 'When it is time to leave' }).click();
    await own.getByRole('combobox', { name: 'How: 15 min before' }).selectOption('Text message');
    const words = own.getByRole('textbox', { name: 'Another, in words' });
    await words.fill('sometime');
    await words.press('Enter');
    await expect(own.getByRole('alert')).toContainText('90 min before');
    await words.fill('the day before at 18:00 by mail');
    await words.press('Enter');
    await expect(own.getByRole('listitem')).toHaveText([
      /^The day before, 18:00/,
      /^15 min before/,
      /^When it is time to leave/,
    ]);
    await editor.getByRole('radio', { name: 'High' }).click();
    await editor.getByRole('button', { name: 'Keep' }).click();
    await expect(message(page, /^Changed “Wick fitting”/)).toBeVisible();
    await expect(bar(page, 'Wick fitting')).toHaveAccessibleName(
      /high importance, leave by 15:35$/,
    );

    // A calendar’s reminders are for the events that follow it, if the person says so.
    await openDemo(page);
    await goTo(page, 'Calendars');
    await page.getByRole('button', { name: 'More for Clients' }).click();
    await panel(page, 'Clients').getByRole('button', { name: 'Edit' }).click();
    const calendar = panel(page, 'Edit Clients');
    await calendar.getByRole('button', { name: 'What new events begin with' }).click();
    const timed = calendar.getByRole('group', { name: 'Reminders of events with a time' });
    await timed.getByRole('button', { name: '30 min before' }).click();
    await calendar.getByRole('button', { name: 'Keep' }).click();
    const question = panel(page, 'For the events that are there, too?');
    await expect(question).toContainText(
      /\d+ events on Clients have the reminders of the calendar/,
    );
    await question.getByRole('button', { name: 'For all of them' }).click();
    await expect(message(page, /^Changed Clients/)).toBeVisible();
  },
);

test(
  'a sleep, a clock change, a zone change: each is told at its time, and what was missed is listed',
  { tag: '@wide' },
  async ({ page }) => {
    await openOwn(page);
    await clockAt(page, '2027-03-27T15:00:30Z');
    await goTo(page, 'Plan');
    // The clock of London goes on on 28 March 2027 at 01:00.
    await enterLine(page, 'Stock days 28 march remind me the day before at 16:00');
    await enterLine(page, 'Early lamp 28 march 09:00 remind me 9 h before');
    await enterLine(page, 'Tide table 28 march 10:00 remind me when it starts');
    await expect(message(page, /^Added “Tide table”/)).toBeVisible();
    await page.clock.fastForward('59:00');
    await expect(region(page)).toHaveCount(0);
    await page.clock.fastForward('01:00');
    await expect(due(page, 'Stock days')).toContainText('in 8 h');
    await region(page).getByRole('button', { name: 'Done', exact: true }).click();

    await clockAt(page, '2027-03-27T22:58:30Z');
    await expect(region(page)).toHaveCount(0);
    await page.clock.fastForward('02:00');
    await expect(due(page, 'Early lamp')).toContainText('in 9 h');

    // The machine sleeps over the change of the clock.
    await clockAt(page, '2027-03-28T11:30:00Z');
    await expect(region(page)).toContainText('1 was missed');
    await expect(due(page, 'Tide table')).toContainText('over');
    await expect(page).toHaveTitle(/^\(2\) /);
    await region(page).getByRole('button', { name: 'Done with all' }).click();
    await expect(page).toHaveTitle(/^[^(]/);

    // 16:00 the day before is that of the place where the person is then.
    await enterLine(page, 'Board days 30 march remind me the day before at 16:00');
    await expect(message(page, /^Added/)).toBeVisible();
    await goTo(page, 'Settings');
    await page.getByRole('textbox', { name: 'Home zone' }).fill('Halifax');
    await page.getByRole('button', { name: /^Halifax, / }).click();
    await clockAt(page, '2027-03-29T18:58:30Z');
    await expect(page.getByRole('heading', { name: 'Settings' })).toBeVisible();
    await expect(region(page)).toHaveCount(0);
    await page.clock.fastForward('02:00');
    await expect(due(page, 'Board days')).toBeVisible();
  },
);

test(
  'it is quiet until a time: what comes due waits, what matters does not',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await enterLine(page, 'Crate call 11:00 for 30 min remind me 15 min before');
    await enterLine(
      page,
      'Gale warning 11:00 for 15 min, high importance, remind me 10 min before',
    );
    await expect(message(page, /^Added “Gale warning”/)).toBeVisible();
    await goTo(page, 'Settings');
    await page
      .getByRole('radiogroup', { name: 'Quiet today until' })
      .getByRole('radio', { name: '11:00' })
      .click();
    await expect(page.getByText('Quiet until 11:00')).toBeVisible();
    await page.clock.fastForward('26:00');
    await expect(due(page, 'Gale warning')).toContainText('high importance');
    await expect(region(page)).toContainText('1 reminder waits: quiet until 11:00');
    await expect(due(page, 'Crate call')).toHaveCount(0);
    await region(page).getByRole('button', { name: 'Done', exact: true }).click();
    await page.clock.fastForward('10:00');
    await expect(due(page, 'Crate call')).toContainText('now');
    await expect(region(page)).not.toContainText('away');
  },
);

test(
  'mails and the morning letter go to the outbox, once it answers',
  { tag: '@phone' },
  async ({ page, problems }) => {
    await openDemo(page);
    await goTo(page, 'Settings');
    await giveAddress(page, 'Mails go to', 'office');
    await expect(page.getByText('This is no mail address')).toBeVisible();
    await giveAddress(page, 'Mails go to', 'office@quay.example');
    await giveAddress(page, 'Text messages go to', '+44 1632 960018');
    await expect(page.getByRole('checkbox', { name: 'A letter each morning' })).toBeVisible();
    await goTo(page, 'Plan');
    await enterLine(
      page,
      'Crate call 11:00 for 30 min at Quay 3 with a mail 30 min before and with a text 30 min before',
    );
    await expect(message(page, /^Added “Crate call”/)).toBeVisible();

    await page.route('**/outbox/demo/*', (route) => route.abort());
    await page.clock.fastForward('06:00');
    await goTo(page, 'Outbox');
    const waiting = page.getByRole('list', { name: 'Not taken yet' }).getByRole('listitem');
    await expect(waiting).toHaveCount(2);
    await page.unroute('**/outbox/demo/*');
    // The server was away because the test had it so.
    problems.length = 0;
    await page.getByRole('button', { name: 'Try again' }).click();
    const sent = page.getByRole('list', { name: 'Would have gone out' }).getByRole('listitem');
    const mail = sent.filter({ hasText: /Crate call, in \d+ min/ }).filter({ hasText: 'Mail to' });
    await expect(mail).toContainText('Mail to office@quay.example');
    await expect(waiting).toHaveCount(0);
    await expect(sent.filter({ hasText: '+44 1632 960018' })).toHaveCount(1);
    await mail.getByRole('button').click();
    await expect(mail.getByText(/Quay 3/)).toBeVisible();

    await page.getByRole('button', { name: 'Write today’s letter' }).click();
    const letter = sent.filter({ hasText: /24 November 2026: .* booked/ });
    await letter.getByRole('button').click();
    await letter.getByRole('radio', { name: 'As mail programs show it' }).click();
    const shown = letter.locator('iframe').contentFrame();
    await expect(shown.getByText('11:00 – 11:30 Crate call, Quay 3')).toBeVisible();
    await page.getByRole('button', { name: 'Clear', exact: true }).click();
    await expect(sent).toHaveCount(0);
  },
);

test.describe('notifications of the browser', () => {
  test.use({ serviceWorkers: 'allow' });

  test(
    'they are asked for after a press that explains them; “not now” and a refusal are kept',
    { tag: '@whole' },
    async ({ page }) => {
      await openDemo(page);
      await goTo(page, 'Settings');
      const ask = page.getByRole('button', { name: 'Notifications of the browser…' });
      const isRefused = await page.evaluate(() => Notification.permission === 'denied');
      if (!isRefused) {
        await ask.click();
        await expect(page.getByText('They show a reminder also while')).toBeVisible();
        await page.getByRole('button', { name: 'Not now' }).click();
        await expect(page.getByText('You said “not now”.')).toBeVisible();
        await ask.click();
        await page.getByRole('button', { name: 'Ask the browser' }).click();
      }
      // Nobody is there to allow it.
      await expect(page.getByText('The browser was told not to show notifications')).toBeVisible();
    },
  );

  test(
    'one is shown for what is due; Done, Again and a press on it do what they say',
    { tag: '@whole' },
    async ({ page, context }) => {
      await context.grantPermissions(['notifications']);
      await openDemo(page);
      await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
      await countShows(page);
      await goTo(page, 'Settings');
      const wanted = page.getByRole('checkbox', { name: 'The browser’s notifications, too' });
      await wanted.click();
      await expect(wanted).toBeChecked();
      await goTo(page, 'Plan');
      await enterLine(page, 'Crate call 10:45 for 30 min at Quay 3 remind me 15 min before');
      await expect(message(page, /^Added “Crate call”/)).toBeVisible();
      await page.clock.fastForward('05:00');
      await expect(due(page, 'Crate call')).toBeVisible();
      const shows = (times: number) =>
        expect(page.locator('html')).toHaveAttribute('data-shows', String(times));
      const shown = () =>
        page.evaluate(async () => {
          const there = await navigator.serviceWorker.getRegistration();
          return ((await there?.getNotifications()) ?? []).map(({ title, body }) => [title, body]);
        });
      await shows(1);
      await expect
        .poll(shown)
        .toEqual([
          ['Crate call', expect.stringMatching(/^in 15 min · Tue,? 24 Nov, .* · Quay 3$/)],
        ]);
      const [worker] = context.serviceWorkers();
      /** As the browser does when the notification, or a button of it, is pressed. */
      const press = (action: string) =>
        worker!.evaluate(async (pressed) => {
          const scope = self as unknown as ServiceWorkerGlobalScope & typeof globalThis;
          const [notification] = await scope.registration.getNotifications();
          const event = new NotificationEvent('notificationclick', {
            notification: notification!,
            action: pressed,
          });
          scope.dispatchEvent(event);
        }, action);
      await press('again');
      await expect(region(page)).toHaveCount(0);
      await page.clock.fastForward('10:00');
      await expect(due(page, 'Crate call')).toContainText('in 5 min');
      await shows(2);
      await expect.poll(async () => (await shown()).length).toBe(1);
      await press('');
      await expect(panel(page, 'Crate call')).toBeVisible();
      await page.clock.fastForward('01:00');
      await due(page, 'Crate call').getByRole('button', { name: 'Done', exact: true }).click();
      await expect.poll(shown).toEqual([]);
    },
  );
});

import type { Page } from '@playwright/test';
import { bar, boxOf, expect, goTo, message, openDemo, panel, see, sheet, test } from './fixtures';

const line = (page: Page) => page.getByRole('textbox', { name: 'What is to be done, and by when' });
const group = (page: Page, name: string) => page.getByRole('list', { name, exact: true });
const task = (page: Page, title: string) =>
  page.getByRole('listitem', { name: title, exact: true });

test(
  'a task is typed, changed, given time, ticked, and goes on where it repeats',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    await goTo(page, 'Tasks');
    await expect(page.getByText(/to do by .*, .* clear until then$/).first()).toBeVisible();

    await line(page).fill('due Friday: order brass wire, 30 min #Lamps');
    await expect(page.getByRole('status').filter({ hasText: 'order brass wire' })).toContainText(
      /due Fri,? 27 Nov · 30 min · Workshop · Lamps/,
    );
    await line(page).press('Enter');
    await expect(
      message(page, /^Added the task “order brass wire”, due Fri,? 27 Nov/),
    ).toBeVisible();
    await expect(
      group(page, 'Later this week').getByRole('listitem', { name: 'order brass wire' }),
    ).toBeVisible();

    // Changed in its page: moved to next week, and it matters.
    await task(page, 'order brass wire')
      .getByRole('button', { name: /^order brass wire,/ })
      .click();
    const form = panel(page, 'order brass wire');
    await form.getByRole('radio', { name: 'High' }).click();
    await form.getByRole('textbox', { name: 'Notes' }).fill('Two coils');
    await form.getByRole('button', { name: 'Of an event…' }).click();
    await form.getByRole('textbox', { name: 'Words in the event' }).fill('pilot station');
    await form.getByRole('checkbox', { name: /^Pilot station survey/ }).click();
    await expect(form.getByText('Of “Pilot station survey”')).toBeVisible();
    await form.getByRole('button', { name: 'Keep' }).click();
    await expect(form).toBeHidden();
    await page.getByRole('radio', { name: 'Importance' }).first().click();
    await expect(
      group(page, 'High importance').getByRole('listitem', { name: 'order brass wire' }),
    ).toBeVisible();
    await page.reload();
    await expect(task(page, 'order brass wire')).toContainText('of Pilot station survey');
    await expect(group(page, 'High importance').getByRole('listitem')).toHaveCount(2);
    await page.getByRole('radio', { name: 'Due' }).first().click();

    // Time for all that is open, one block left out, as one change.
    await page.getByRole('button', { name: 'Find time' }).click();
    const found = panel(page, 'Find time');
    const first = found.getByRole('checkbox', { name: /^order brass wire: / });
    await expect(first).toBeChecked();
    await found.getByRole('checkbox', { name: /^Sort the drawer of gaskets: / }).click();
    await found.getByRole('button', { name: /^Give time to \d+ blocks$/ }).click();
    await expect(message(page, /^Gave time to tasks: \d+ blocks/)).toBeVisible();
    await expect(task(page, 'order brass wire')).toContainText('30 min given to it');

    // Overdue: said, moved on at once. Repeating: it goes on by a month.
    await page.getByRole('button', { name: 'Move 1 overdue to today' }).click();
    await expect(group(page, 'Overdue')).toBeHidden();
    await task(page, 'Order shellac')
      .getByRole('checkbox', { name: 'Done: Order shellac' })
      .click();
    await expect(message(page, 'Did “Order shellac”')).toBeVisible();
    await expect(task(page, 'Order shellac')).toContainText(/due Sun,? 27 Dec/);
  },
);

test(
  'what is due stands on a quiet line of its day, is ticked there, and can be left out',
  { tag: '@phone' },
  async ({ page }) => {
    await openDemo(page);
    const rows = sheet(page);
    const box = rows.getByRole('checkbox', { name: 'Done: Label the lamp crates' });
    await box.click();
    await expect(box).toBeChecked();
    await expect(message(page, 'Did “Label the lamp crates”')).toBeVisible();
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(box).not.toBeChecked();

    await rows.getByRole('button', { name: 'Write the survey findings' }).click();
    await expect(
      panel(page, 'Write the survey findings').getByText('Of “Pilot station survey”'),
    ).toBeVisible();
    await page.keyboard.press('Escape');

    await see(page, { form: 'Columns' });
    // A column of a phone has room for their number alone.
    await sheet(page).getByRole('button', { name: '3 to do' }).click();
    await expect(panel(page, 'To do by this day').getByRole('listitem')).toHaveCount(3);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: /Week · columns/ }).click();
    const look = panel(page, 'How the sheet is seen');
    await look.getByRole('checkbox', { name: 'A line of what is due on each day' }).click();
    await look.getByRole('button', { name: 'Done', exact: true }).click();
    await expect(sheet(page).getByRole('group', { name: /task/ })).toHaveCount(0);
  },
);

test(
  'a task is dragged onto the sheet, by hand and by keys, and asks how it stands after',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    const handle = (title: string) => page.getByRole('button', { name: `Give time to ${title}` });

    // By hand: onto the time that Stock count has on Wednesday.
    const from = await boxOf(handle('Label the lamp crates'));
    const onto = await boxOf(bar(page, 'Stock count'));
    await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
    await page.mouse.down();
    await page.mouse.move(from.x - 20, from.y - 20, { steps: 3 });
    await page.mouse.move(onto.x + 4, onto.y + onto.height / 2, { steps: 5 });
    await expect(page.getByText(/Wed 25 Nov, 15:00 – 15:45/)).toBeVisible();
    await page.mouse.up();
    await expect(
      message(page, 'Gave time to “Label the lamp crates”: Wed 25 Nov, 15:00'),
    ).toBeVisible();
    await expect(bar(page, 'Label the lamp crates')).toBeVisible();

    // By keys: from the next slot on, one slot back and forth, and Escape leaves it.
    await handle('Send ledger to the auditor').focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText(/Tue 24 Nov, 10:30 – 10:50/)).toBeVisible();
    await page.keyboard.press('ArrowRight');
    await expect(page.getByText(/Tue 24 Nov, 10:45 – 11:05/)).toBeVisible();
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('Enter');
    await expect(
      message(page, 'Gave time to “Send ledger to the auditor”: Tue 24 Nov, 10:30'),
    ).toBeVisible();

    await page.clock.fastForward('27:00');
    const asked = page.getByRole('region', { name: 'How a task stands' });
    await expect(asked).toContainText('The time for “Send ledger to the auditor” is over.');
    await asked.getByRole('button', { name: 'Half of it' }).click();
    await expect(message(page, '“Send ledger to the auditor” stands at 50 %')).toBeVisible();
    await expect(asked).toBeHidden();
  },
);

test(
  'many tasks are changed after a look at each, and removed ones come back',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await goTo(page, 'Tasks');
    await page.getByRole('button', { name: 'Change these …' }).click();
    const dialog = panel(page, /^Change \d+ tasks$/);
    await dialog.getByRole('button', { name: 'Choose a change' }).click();
    await page.getByRole('button', { name: 'Move by days' }).click();
    const lines = dialog.getByRole('list', { name: 'What becomes of each' });
    await expect(
      lines.getByRole('listitem').filter({ hasText: 'Label the lamp crates' }),
    ).toContainText(/Due: .*→ Tue,? 1 Dec/);
    await lines.getByRole('checkbox', { name: /^Order shellac/ }).click();
    await dialog.getByRole('button', { name: 'Change 9 tasks' }).click();
    await expect(message(page, 'Changed 9 tasks')).toBeVisible();
    await expect(task(page, 'Order shellac')).toContainText(/due Fri,? 27 Nov/);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();

    await task(page, 'Order shellac')
      .getByRole('button', { name: /^Order shellac,/ })
      .click();
    await panel(page, 'Order shellac').getByRole('button', { name: 'Remove', exact: true }).click();
    await expect(message(page, 'Removed “Order shellac”')).toBeVisible();
    await goTo(page, 'Removed');
    await page.getByRole('button', { name: 'Bring back Order shellac' }).click();
    await goTo(page, 'Tasks');
    await expect(task(page, 'Order shellac')).toBeVisible();
  },
);

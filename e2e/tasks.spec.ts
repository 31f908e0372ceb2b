import type { Page } from '@playwright/test';
import { expect, goTo, message, openDemo, panel, see, sheet, test } from './fixtures';

const line = (page: Page) => page.getByRole('textbox', { name: 'What is to be done, and by when' });
const group = (page: Page, name: string) => page.getByRole('list', { name, exact: true });
const task = (page: Page, title: string) =>
  page.getByRole('listitem', { name: title, exact: true });

test('a task is typed, changed, given time, ticked, and goes on where it repeats', async ({
  page,
}) => {
  await openDemo(page);
  await goTo(page, 'Tasks');
  await expect(page.getByText(/to do by .*, .* clear until then$/).first()).toBeVisible();

  await line(page).fill('due Friday: order brass wire, 30 min #Lamps');
  await expect(page.getByRole('status').filter({ hasText: 'order brass wire' })).toContainText(
    /due Fri,? 27 Nov · 30 min · Workshop · Lamps/,
  );
  await line(page).press('Enter');
  await expect(message(page, /^Added the task “order brass wire”, due Fri,? 27 Nov/)).toBeVisible();
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
  await form.getByRole('button', { name: 'Keep' }).click();
  await expect(form).toBeHidden();
  await page.getByRole('radio', { name: 'Importance' }).first().click();
  await expect(
    group(page, 'High importance').getByRole('listitem', { name: 'order brass wire' }),
  ).toBeVisible();
  await page.reload();
  await expect(group(page, 'High importance').getByRole('listitem')).toHaveCount(2);
  await page.getByRole('radio', { name: 'Due' }).first().click();

  // Time for all that is open, one block left out, as one change.
  await page.getByRole('button', { name: 'Find time' }).click();
  const found = panel(page, 'Find time');
  const first = found.getByRole('checkbox', { name: /^order brass wire: / });
  await expect(first).toBeChecked();
  await found.getByRole('checkbox', { name: /^Sort the drawer of gaskets: / }).click();
  await found.getByRole('button', { name: /^Give time to \d+ blocks$/ }).click();
  await expect(message(page, /^Gave time to tasks: \d+ blocks$/)).toBeVisible();
  await expect(task(page, 'order brass wire')).toContainText('30 min given to it');

  // Overdue: said, moved on at once. Repeating: it goes on by a month.
  await page.getByRole('button', { name: 'Move 1 overdue to today' }).click();
  await expect(group(page, 'Overdue')).toBeHidden();
  await task(page, 'Order shellac').getByRole('checkbox', { name: 'Done: Order shellac' }).click();
  await expect(message(page, 'Did “Order shellac”')).toBeVisible();
  await expect(task(page, 'Order shellac')).toContainText(/due Sun,? 27 Dec/);
});

test('what is due stands on a quiet line of its day, is ticked there, and can be left out', async ({
  page,
  isPhone,
}) => {
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
  if (isPhone) {
    // A column of a phone has room for their number alone.
    await sheet(page).getByRole('button', { name: '3 to do' }).click();
    await expect(panel(page, 'To do by this day').getByRole('listitem')).toHaveCount(3);
    await page.keyboard.press('Escape');
  }
  await page.getByRole('button', { name: /Week · columns/ }).click();
  const look = panel(page, 'How the sheet is seen');
  await look.getByRole('checkbox', { name: 'A line of what is due on each day' }).click();
  await look.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(sheet(page).getByRole('group', { name: /task/ })).toHaveCount(0);
});

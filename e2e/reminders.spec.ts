import { bar, enterLine, expect, message, openDemo, panel, test } from './fixtures';

test(
  'a reminder comes due on whatever screen, is put off, opened and done with in every window',
  { tag: '@phone' },
  async ({ page, context }) => {
    await openDemo(page);
    await enterLine(page, 'Crate call 10:45 for 30 min at Quay 3 remind me 15 min before');
    await expect(message(page, /^Added “Crate call”/)).toBeVisible();
    const region = page.getByRole('region', { name: 'Reminders' });
    await expect(region).toHaveCount(0);
    await page.getByRole('link', { name: 'Today', exact: true }).click();
    await expect(page.getByRole('heading', { name: /24 November/ })).toBeVisible();

    // The clock goes on, as after a sleep.
    await page.clock.fastForward('05:00');
    const call = region.getByRole('listitem', { name: 'Crate call' });
    await expect(call).toContainText('in 15 min');
    await expect(call).toContainText('Quay 3');
    await call.getByRole('button', { name: 'Again…' }).click();
    await panel(page, 'Remind me again').getByRole('button', { name: 'In 5 min' }).click();
    await expect(region).toHaveCount(0);
    await page.clock.fastForward('05:00');
    await expect(call).toContainText('in 10 min');

    await call.getByRole('button', { name: 'Open' }).click();
    await expect(panel(page, 'Crate call').getByText('Reminder 15 min before')).toBeVisible();

    const other = await context.newPage();
    await other.goto('/today');
    const there = other.getByRole('region', { name: 'Reminders' });
    await expect(there).toContainText('Crate call');
    await there.getByRole('button', { name: 'Done', exact: true }).click();
    await expect(there).toHaveCount(0);
    await expect(region).toHaveCount(0);
    await expect(bar(page, 'Crate call')).toBeVisible();
  },
);

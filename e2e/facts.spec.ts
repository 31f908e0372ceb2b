import { amongCalendars, expect, goTo, openDemo, panel, see, sheet, test } from './fixtures';

test(
  'a followed calendar tells facts of days in their heads, which change and can be put off',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await goTo(page, 'Calendars');
    await page.getByRole('button', { name: 'Follow one' }).click();
    const form = panel(page, 'Follow a calendar');
    await form.getByRole('button', { name: 'Tides and weather' }).click();
    await form.getByRole('button', { name: 'Look', exact: true }).click();
    await expect(form.getByRole('button', { name: 'They are facts of the day' })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
    await form.getByRole('button', { name: 'Follow', exact: true }).click();
    await expect(form).toBeHidden();
    await expect(page.getByText(/facts of the day · followed/)).toBeVisible();

    await goTo(page, 'Plan');
    const ofTuesday = (span = 'Week') =>
      sheet(page, span).getByRole('button', { name: /Facts of Tuesday,? 24 November/ });
    await ofTuesday().click();
    const told = panel(page, /Tuesday,? 24 November/);
    await expect(told.getByRole('listitem').filter({ hasText: /\d+° \w+/ })).toContainText(
      'Saltmarsh tides and weather',
    );
    await expect(
      told.getByRole('listitem').filter({ hasText: /High water \d\d:\d\d/ }),
    ).toBeVisible();
    await page.keyboard.press('Escape');

    // In every form that has heads of days, and on Today.
    await see(page, { form: 'Columns' });
    await expect(ofTuesday()).toBeVisible();
    await see(page, { form: 'Agenda' });
    await expect(ofTuesday()).toContainText('High water');
    await goTo(page, 'Today');
    await expect(page.getByRole('button', { name: /Facts of Tuesday/ })).toBeVisible();

    await goTo(page, 'Plan');
    await page.getByRole('button', { name: /change how the sheet is seen$/ }).click();
    const look = panel(page, 'How the sheet is seen');
    await look.getByRole('checkbox', { name: 'Facts of the day in the heads of days' }).click();
    await look.getByRole('button', { name: 'Done', exact: true }).click();
    await expect(ofTuesday()).toHaveCount(0);
    await amongCalendars(page, (calendars) =>
      expect(calendars.getByRole('switch', { name: /Saltmarsh tides/ })).toBeVisible(),
    );
  },
);

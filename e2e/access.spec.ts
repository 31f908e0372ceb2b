import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { bar, expect, openDemo, panel, see, test, typeLine } from './fixtures';

/**
 * A view, and how it is reached from where the walk stands. Of what opens in front of a page only
 * itself is looked at, since the page behind it has been: `part` says where it is.
 */
type View = [name: string, open: (page: Page) => Promise<void>, part?: string];

const PAPER = { light: 'rgb(250, 246, 238)', dark: 'rgb(20, 28, 25)' };

const PANEL = ':is(dialog[open], [role=dialog])';

/** Closes whatever is open in front of the page. */
async function closeAll(page: Page): Promise<void> {
  const open = page.getByRole('dialog');
  while (await open.count()) {
    const before = await open.count();
    await page.keyboard.press('Escape');
    await expect.poll(() => open.count()).toBeLessThan(before);
  }
}

/** What axe finds wrong with what is shown, at any level, best practice included. */
async function faultsOf(page: Page, part?: string): Promise<string[]> {
  // What passes is not written down, and no second page puts frames together: that takes most of the time.
  const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode();
  if (part) axe.include(part);
  const { violations } = await axe.analyze();
  return violations.flatMap(({ id, impact, nodes }) =>
    nodes.map(
      (node) => `${id} (${impact}): ${node.html.slice(0, 160)} ${node.failureSummary ?? ''}`,
    ),
  );
}

type Where = ['@phone' | '@wide', 'light' | 'dark'];

/**
 * Looks at one view after the other on one page. Each is seen in one of the two themes: that the
 * inks of both can be read on their grounds is held by the tests of the palette.
 */
function walk(what: string, [tag, colorScheme]: Where, views: View[]): void {
  test(`axe finds nothing in ${what}, ${colorScheme}`, { tag }, async ({ page }) => {
    await page.emulateMedia({ colorScheme });
    await openDemo(page);
    await expect(page.locator('body')).toHaveCSS('background-color', PAPER[colorScheme]);
    const told: Record<string, string[]> = {};
    for (const [name, open, part] of views) {
      await closeAll(page);
      await open(page);
      if (part) await expect(page.locator(part).first()).toBeVisible();
      const faults = await faultsOf(page, part);
      if (faults.length) told[name] = faults;
    }
    expect(told).toEqual({});
  });
}

const PLAN: View = ['the plan', async () => {}];

/** The sheet in one of its forms. */
const inForm = (name: string, group: string, choice: string, form: string): View => [
  name,
  async (page) => {
    await see(page, { span: [group, choice], form });
    await expect(page.getByRole('button', { name: /24 November|Freight/ }).first()).toBeVisible();
  },
];

walk(
  'the plan and its panels',
  ['@phone', 'dark'],
  [
    PLAN,
    inForm('the grid', 'How long', 'Month', 'Grid'),
    inForm('the agenda', 'How long', 'Week', 'Agenda'),
    [
      'details',
      async (page) => {
        await see(page, { form: 'Rows' });
        await bar(page, 'Osaka call: lens order').click();
        await expect(panel(page, 'Osaka call: lens order').getByText('Small office')).toBeVisible();
      },
      PANEL,
    ],
    [
      'the editor',
      async (page) => {
        await bar(page, 'Crate inspection').click();
        await page.getByRole('button', { name: 'Edit' }).click();
        await expect(panel(page, /^Edit/)).toBeVisible();
      },
      PANEL,
    ],
    [
      'the add card',
      async (page) => {
        await page.getByRole('button', { name: 'Add', exact: true }).click();
        await typeLine(page, 'Lamp check tomorrow 9-10:30');
        await page.getByRole('button', { name: /^When/ }).click();
      },
      PANEL,
    ],
    [
      'copying',
      async (page) => {
        await bar(page, 'Supplier terms').click();
        await page.getByRole('button', { name: 'Copy to…' }).click();
        await expect(panel(page, /^Copy/)).toBeVisible();
      },
      PANEL,
    ],
    [
      'a series in the editor',
      async (page) => {
        await bar(page, 'Stock count').click();
        await page.getByRole('button', { name: 'Edit' }).click();
        await page.getByRole('button', { name: /^Repeats/ }).click();
        await page.getByRole('button', { name: /^Time zone/ }).click();
        await expect(page.getByRole('status', { name: 'Next dates' })).toBeVisible();
      },
      PANEL,
    ],
    [
      'the question of which dates',
      async (page) => {
        await bar(page, 'Stock count').click();
        await page.getByRole('button', { name: 'Remove…' }).click();
        await expect(page.getByRole('radiogroup', { name: 'Which dates' })).toBeVisible();
      },
      PANEL,
    ],
    [
      'zones',
      async (page) => {
        await page.getByRole('button', { name: 'Zones', exact: true }).click();
        await page.getByRole('textbox', { name: 'Travel to' }).fill('tokyo');
        await expect(page.getByRole('button', { name: /^Tokyo, / })).toBeVisible();
      },
      PANEL,
    ],
    [
      'an event’s menu',
      async (page) => {
        await bar(page, 'Crate inspection').click({ button: 'right' });
        await expect(panel(page, 'Crate inspection')).toBeVisible();
      },
      PANEL,
    ],
  ],
);

walk(
  'the forms and how they are chosen',
  ['@wide', 'light'],
  [
    PLAN,
    inForm('columns', 'How long', 'Week', 'Columns'),
    inForm('the grid', 'How long', 'Month', 'Grid'),
    inForm('the year', 'How long', 'Year', 'Year'),
    inForm('the agenda', 'How long', 'Week', 'Agenda'),
    inForm('the table', 'How long', 'Month', 'Table'),
    [
      'how the sheet is seen',
      async (page) => {
        await page.getByRole('button', { name: /change how the sheet is seen$/ }).click();
        await expect(panel(page, 'How the sheet is seen')).toBeVisible();
      },
      PANEL,
    ],
    [
      'lenses',
      async (page) => {
        await page.getByRole('button', { name: /change how the sheet is seen$/ }).click();
        await page.getByRole('button', { name: 'Save as a lens' }).click();
        await expect(panel(page, 'Lenses')).toBeVisible();
      },
      PANEL,
    ],
    [
      'the filter, and the hours',
      async (page) => {
        await see(page, { span: ['How long', 'Week'], form: 'Rows' });
        await page.getByRole('button', { name: /: show the hours$/ }).click();
        await expect(
          panel(page, 'Booked and clear').getByText(/ in events · .* clear$/),
        ).toBeVisible();
        await page.getByRole('button', { name: 'Filter', exact: true }).click();
        await expect(panel(page, 'Show only')).toBeVisible();
      },
    ],
  ],
);

const at = (path: string, ready: (page: Page) => ReturnType<Page['getByText']>) => {
  return async (page: Page) => {
    await page.goto(path);
    await expect(ready(page)).toBeVisible();
  };
};

walk(
  'the other screens',
  ['@phone', 'light'],
  [
    ['the small window', at('/small', (page) => page.getByText(/^Next: Quarter ledger review/))],
    ['tidy', at('/tidy', (page) => page.getByRole('list', { name: 'Dates in the way' }))],
    ['today', at('/today', (page) => page.getByRole('list', { name: 'Today’s events' }))],
    ['calendars', at('/calendars', (page) => page.getByText('Workshop').first())],
    [
      'the form of a calendar',
      async (page) => {
        await page.getByRole('button', { name: 'New calendar' }).click();
        await panel(page, 'New calendar')
          .getByRole('button', { name: 'What new events begin with' })
          .click();
        await expect(page.getByRole('radio', { name: '90 min' })).toBeVisible();
      },
      PANEL,
    ],
    ['import', at('/import', (page) => page.getByRole('button', { name: 'Choose files' }))],
    ['removed', at('/removed', (page) => page.getByText('Nothing is here.'))],
    ['outbox', at('/sent', (page) => page.getByText('Nothing yet.'))],
    ['settings', at('/settings', (page) => page.getByRole('heading', { name: 'Time' }))],
    ['help', at('/help', (page) => page.getByRole('heading', { name: 'Add an event' }))],
    ['printing', at('/print', (page) => page.getByRole('img', { name: /^Page 1 of/ }))],
  ],
);

walk(
  'finding, changing, tidying and tasks',
  ['@wide', 'dark'],
  [
    [
      'findings',
      at('/tidy?check=doubles', (page) => page.getByRole('list', { name: 'Found: Doubles' })),
    ],
    [
      'doubles beside each other',
      async (page) => {
        await page.getByRole('button', { name: 'Join', exact: true }).first().click();
        await expect(panel(page, /^Join/).getByRole('group').first()).toBeVisible();
      },
      PANEL,
    ],
    [
      'find',
      async (page) => {
        await page.goto('/find');
        await page.getByRole('textbox', { name: 'Find', exact: true }).fill('lamp');
        await expect(page.getByRole('region', { name: 'Suggestions' })).toBeVisible();
        await page.getByRole('button', { name: /^Select all/ }).click();
        await expect(page.getByRole('region', { name: 'Selection' })).toContainText('selected');
      },
    ],
    [
      'changing many',
      async (page) => {
        await page.getByRole('button', { name: 'Change…' }).click();
        await panel(page, 'Change').getByRole('button', { name: 'Move by days' }).click();
        await expect(page.getByText(/would change\.$/)).toBeVisible();
      },
    ],
    ['printing', at('/print', (page) => page.getByRole('img', { name: /^Page 1 of/ }))],
    [
      'the box of commands',
      async (page) => {
        await page.keyboard.press('/');
        await expect(page.getByRole('option').first()).toBeVisible();
      },
      PANEL,
    ],
    ['tasks', at('/tasks', (page) => page.getByRole('listitem', { name: 'Order shellac' }))],
    [
      'a task',
      async (page) => {
        await page.getByRole('button', { name: /^Write the survey findings,/ }).click();
        await expect(panel(page, 'Write the survey findings')).toBeVisible();
      },
      PANEL,
    ],
    [
      'time for tasks',
      async (page) => {
        await page.keyboard.press('Escape');
        await page.getByRole('button', { name: 'Find time' }).click();
        await expect(panel(page, 'Find time').getByRole('listitem').first()).toBeVisible();
      },
      PANEL,
    ],
    [
      'an event’s page',
      at('/event?of=single-1', (page) => page.getByRole('heading', { name: 'Before we go' })),
    ],
    [
      'quiet mode',
      async (page) => {
        await page.getByRole('button', { name: 'Quiet mode' }).click();
        await expect(panel(page, 'Pilot station survey').getByRole('timer')).toBeVisible();
      },
      PANEL,
    ],
    [
      'a message',
      async (page) => {
        await page.goto('/message');
        await page.getByRole('button', { name: 'An answer' }).click();
        await expect(page.getByRole('note', { name: 'Not sure' })).toBeVisible();
      },
    ],
  ],
);

walk(
  'people, openings and sharing',
  ['@phone', 'dark'],
  [
    ['people', at('/people', (page) => page.getByText('clear until 11:00').first())],
    [
      'somebody',
      async (page) => {
        await page.getByRole('button', { name: /^Ida Solberg/ }).click();
        await page.getByRole('button', { name: 'Hours, ink and mark' }).click();
        await expect(
          panel(page, 'Ida Solberg').getByRole('group', { name: 'Friday' }),
        ).toBeVisible();
      },
      PANEL,
    ],
    [
      'openings',
      async (page) => {
        await page.getByRole('button', { name: 'When could all of Partners meet?' }).click();
        await page.getByRole('button', { name: /^How: / }).click();
        await page.getByRole('button', { name: 'Offer some of these' }).click();
        await page
          .getByRole('button', { name: /^Starts on/ })
          .first()
          .click();
      },
      PANEL,
    ],
    [
      'an offer',
      async (page) => {
        await page.getByRole('button', { name: 'When could all of Partners meet?' }).click();
        await page.getByRole('button', { name: 'Offer some of these' }).click();
        await page.getByRole('button', { name: 'The best 3' }).click();
        await page.getByRole('button', { name: 'Offer 3 times' }).click();
        await expect(panel(page, 'Offer 3 times')).toBeVisible();
      },
      PANEL,
    ],
    [
      'sharing',
      async (page) => {
        await page.goto('/calendars');
        await page.getByRole('button', { name: 'More for Workshop' }).click();
        await page.getByRole('button', { name: 'Share…' }).click();
        await page.getByRole('button', { name: 'Share it' }).click();
        await expect(page.getByRole('list', { name: 'Shared already' })).toBeVisible();
      },
      PANEL,
    ],
    [
      'invitations',
      async (page) => {
        await page.goto('/invitations');
        await page.getByRole('button', { name: 'Let them invite you' }).click();
        await page.getByRole('button', { name: /^Single dates/ }).click();
        await page
          .getByRole('button', { name: /^That day/ })
          .first()
          .click();
        await page.clock.fastForward('10:30');
        await expect(page.getByRole('group', { name: 'What changed' })).toBeVisible();
      },
    ],
    [
      'whom to tell',
      async (page) => {
        await openDemo(page);
        await page.getByRole('button', { name: 'Add', exact: true }).click();
        await typeLine(page, 'Glass review Thu 13:00 with Ida and Mei');
        await expect(page.getByRole('checkbox', { name: /as guests$/ })).toBeChecked();
        await page.keyboard.press('Enter');
        await page.getByRole('button', { name: 'Send…' }).click();
        await expect(panel(page, /^Send “Glass review/)).toBeVisible();
      },
      PANEL,
    ],
    [
      'people on the sheet',
      async (page) => {
        await page.goto('/');
        await page.getByRole('button', { name: 'People', exact: true }).click();
        await page.getByRole('switch', { name: 'Show Ida Solberg' }).click();
        await expect(page.getByText('Put Ida Solberg’s time on the sheet')).toBeVisible();
      },
      PANEL,
    ],
    [
      'somebody’s day',
      async (page) => {
        await bar(page, 'Lens fitting').first().click();
        await expect(panel(page, 'Ida Solberg').getByText('Bench 1')).toBeVisible();
      },
    ],
  ],
);

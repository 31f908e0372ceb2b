import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { bar, expect, openDemo, panel, see, test } from './fixtures';

/** Opens a view, ready to be looked at. */
const VIEWS: [string, (page: Page) => Promise<void>][] = [
  ['the plan', openDemo],
  [
    'details',
    async (page) => {
      await openDemo(page);
      await bar(page, 'Osaka call: lens order').click();
      await expect(panel(page, 'Osaka call: lens order').getByText('Small office')).toBeVisible();
    },
  ],
  [
    'the editor',
    async (page) => {
      await openDemo(page);
      await bar(page, 'Crate inspection').click();
      await page.getByRole('button', { name: 'Edit' }).click();
      await expect(panel(page, /^Edit/)).toBeVisible();
    },
  ],
  [
    'the add card',
    async (page) => {
      await openDemo(page);
      await page.getByRole('button', { name: 'Add', exact: true }).click();
      await page.keyboard.type('Lamp check tomorrow 9-10:30');
      await page.getByRole('button', { name: /^When/ }).click();
    },
  ],
  [
    'copying',
    async (page) => {
      await openDemo(page);
      await bar(page, 'Supplier terms').click();
      await page.getByRole('button', { name: 'Copy to…' }).click();
      await expect(panel(page, /^Copy/)).toBeVisible();
    },
  ],
  [
    'a series in the editor',
    async (page) => {
      await openDemo(page);
      await bar(page, 'Stock count').click();
      await page.getByRole('button', { name: 'Edit' }).click();
      await page.getByRole('button', { name: /^Repeats/ }).click();
      await page.getByRole('button', { name: /^Time zone/ }).click();
      await expect(page.getByRole('status', { name: 'Next dates' })).toBeVisible();
    },
  ],
  [
    'the question of which dates',
    async (page) => {
      await openDemo(page);
      await bar(page, 'Stock count').click();
      await page.getByRole('button', { name: 'Remove…' }).click();
      await expect(page.getByRole('radiogroup', { name: 'Which dates' })).toBeVisible();
    },
  ],
  [
    'zones',
    async (page) => {
      await openDemo(page);
      await page.getByRole('button', { name: 'Zones', exact: true }).click();
      await page.getByRole('textbox', { name: 'Travel to' }).fill('tokyo');
      await expect(page.getByRole('button', { name: /^Tokyo, / })).toBeVisible();
    },
  ],
  [
    'the form of a calendar',
    async (page) => {
      await page.goto('/calendars');
      await page.getByRole('button', { name: 'New calendar' }).click();
      await panel(page, 'New calendar')
        .getByRole('button', { name: 'What new events begin with' })
        .click();
      await expect(page.getByRole('radio', { name: '90 min' })).toBeVisible();
    },
  ],
  [
    'an event’s menu',
    async (page) => {
      await openDemo(page);
      await bar(page, 'Crate inspection').click({ button: 'right' });
      await expect(panel(page, 'Crate inspection')).toBeVisible();
    },
  ],
  ...(
    [
      ['columns', ['How long', 'Week'], 'Columns'],
      ['the grid', ['How long', 'Month'], 'Grid'],
      ['the year', ['How long', 'Year'], 'Year'],
      ['the agenda', ['How long', 'Week'], 'Agenda'],
      ['the table', ['How long', 'Month'], 'Table'],
    ] as const
  ).map(([name, [group, choice], form]): [string, (page: Page) => Promise<void>] => [
    name,
    async (page) => {
      await openDemo(page);
      await see(page, { span: [group, choice], form });
      await expect(page.getByRole('button', { name: /24 November|Freight/ }).first()).toBeVisible();
    },
  ]),
  [
    'how the sheet is seen',
    async (page) => {
      await openDemo(page);
      await page.getByRole('button', { name: /change how the sheet is seen$/ }).click();
      await expect(panel(page, 'How the sheet is seen')).toBeVisible();
    },
  ],
  [
    'lenses',
    async (page) => {
      await openDemo(page);
      await page.getByRole('button', { name: /change how the sheet is seen$/ }).click();
      await page.getByRole('button', { name: 'Save as a lens' }).click();
      await expect(panel(page, 'Lenses')).toBeVisible();
    },
  ],
  [
    'the filter, and the hours',
    async (page) => {
      await openDemo(page);
      await page.getByRole('button', { name: /: show the hours$/ }).click();
      await expect(panel(page, 'Booked and clear').getByText(/ h clear$/)).toBeVisible();
      await page.getByRole('button', { name: 'Filter', exact: true }).click();
      await expect(panel(page, 'Show only')).toBeVisible();
    },
  ],
  [
    'the small window',
    (page) =>
      page
        .goto('/small')
        .then(() => expect(page.getByText(/^Next: Quarter ledger review/)).toBeVisible()),
  ],
  [
    'tidy',
    (page) =>
      page
        .goto('/tidy')
        .then(() => expect(page.getByRole('list', { name: 'Dates in the way' })).toBeVisible()),
  ],
  [
    'today',
    (page) =>
      page
        .goto('/today')
        .then(() => expect(page.getByRole('list', { name: 'Today’s events' })).toBeVisible()),
  ],
  [
    'calendars',
    (page) =>
      page.goto('/calendars').then(() => expect(page.getByText('Workshop').first()).toBeVisible()),
  ],
  [
    'import',
    (page) =>
      page
        .goto('/import')
        .then(() => expect(page.getByRole('button', { name: 'Choose files' })).toBeVisible()),
  ],
  [
    'removed',
    (page) =>
      page.goto('/removed').then(() => expect(page.getByText('Nothing is here.')).toBeVisible()),
  ],
  [
    'settings',
    (page) =>
      page
        .goto('/settings')
        .then(() => expect(page.getByRole('heading', { name: 'Time' })).toBeVisible()),
  ],
];

for (const scheme of ['light', 'dark'] as const) {
  test.describe(`in the ${scheme}`, () => {
    test.use({ colorScheme: scheme });
    for (const [name, open] of VIEWS) {
      test(`axe finds nothing serious in ${name}`, async ({ page }) => {
        await open(page);
        const { violations } = await new AxeBuilder({ page }).analyze();
        const serious = violations.filter(
          ({ impact }) => impact === 'serious' || impact === 'critical',
        );
        const told = serious.flatMap(({ id, nodes }) =>
          nodes.map((node) => `${id}: ${node.html.slice(0, 200)} ${node.failureSummary ?? ''}`),
        );
        expect(told).toEqual([]);
      });
    }
  });
}

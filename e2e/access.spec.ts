import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { bar, expect, openDemo, panel, test } from './fixtures';

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
    'calendars',
    (page) =>
      page.goto('/calendars').then(() => expect(page.getByText('Workshop').first()).toBeVisible()),
  ],
  [
    'import',
    (page) =>
      page
        .goto('/import')
        .then(() => expect(page.getByRole('button', { name: 'Choose a file' })).toBeVisible()),
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

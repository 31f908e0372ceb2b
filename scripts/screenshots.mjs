/** Takes the pictures in docs/screenshots from the demo, at a fixed time. */
import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { chromium } from '@playwright/test';
import { buildServer, SERVER } from './server.mjs';
import { ensureBrowser, ensureBuilt, ensurePackages, ROOT } from './setup.mjs';

const PORT = '4398';
const URL = `http://localhost:${PORT}`;
const NOW = new Date('2026-11-24T10:25:00Z');
const SIZES = { phone: { width: 390, height: 844 }, wide: { width: 1280, height: 800 } };

const bar = (page, title) => page.getByRole('button', { name: new RegExp(`^${title}, `) });

async function jot(page) {
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.keyboard.type('Lens class every Wed 16:00 except 9 Dec at Quay 3, private');
}

/** The week as it will be printed. */
async function print(page) {
  await page.keyboard.press('Control+p');
  await page.getByRole('img', { name: /^Page 1 of/ }).waitFor();
}

async function tidy(page) {
  await page.goto(`${URL}/tidy?check=doubles`);
  await page.getByRole('list', { name: 'Found: Doubles' }).getByRole('listitem').first().waitFor();
}

async function find(page) {
  await page.goto(`${URL}/find`);
  await page.getByRole('textbox', { name: 'Find', exact: true }).fill('lamp');
  await page.getByRole('region', { name: 'Suggestions' }).waitFor();
  await page.getByRole('group', { name: 'To come' }).waitFor();
}

/** Words and days together. */
async function findOnDays(page) {
  await page.goto(`${URL}/find`);
  await page.getByRole('textbox', { name: 'Find', exact: true }).fill('bench round next week');
  await page.getByRole('button', { name: 'Dates: next week. Change' }).waitFor();
  await page.getByRole('group', { name: 'To come' }).waitFor();
}

/** Several events selected among what was found, with what would become of them. */
async function change(page) {
  await find(page);
  const lines = page.getByRole('group', { name: 'To come' }).getByRole('button');
  await lines.nth(2).click({ modifiers: ['Control'] });
  await lines.nth(5).click({ modifiers: ['Shift'] });
  await page.getByRole('button', { name: 'Change…' }).click();
  const kinds = page.getByRole('dialog', { name: 'Change' });
  await kinds.getByRole('button', { name: 'Move by days' }).click();
  await page.getByRole('button', { name: 'Another change' }).click();
  await kinds.getByRole('button', { name: 'Calendar', exact: true }).click();
  await page.getByRole('radio', { name: 'Clients' }).click();
  await page.getByText(/would change\.$/).waitFor();
}

async function line(page, text) {
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('dialog').getByRole('textbox', { name: 'What, when, where' }).fill(text);
  await page.getByRole('button', { name: 'Keep' }).click();
  await page.getByText(/^Added/).waitFor();
}

/** Three reminders that have come due, of which one is a call to join and one matters. */
async function reminders(page) {
  await line(
    page,
    'Crate call 10:45 at Quay 3 https://room.quay.example/crates 10 min to get there remind me 15 min before',
  );
  await line(page, 'Gale warning 10:50 high importance remind me 20 min before');
  await line(page, 'Oil samples 11:15 remind me 45 min before');
  await page.clock.fastForward('05:00');
  await page.getByRole('region', { name: 'Reminders' }).getByText('Oil samples').waitFor();
}

async function tasks(page) {
  await page.goto(`${URL}/tasks`);
  await page.getByRole('listitem', { name: 'Order shellac' }).waitFor();
}

async function eventPage(page) {
  await page.goto(`${URL}/event?of=single-1`);
  await page.getByRole('heading', { name: 'Before we go' }).waitFor();
}

async function readMessage(page) {
  await page.goto(`${URL}/message`);
  await page.getByRole('button', { name: 'A call by another clock' }).click();
  await page.getByRole('radio', { name: 'Workshop', checked: true }).waitFor();
}

async function openings(page) {
  await page.goto(`${URL}/people`);
  await page.getByRole('button', { name: 'When could all of Workshop meet?' }).click();
  await page.getByRole('list', { name: 'Openings' }).getByRole('listitem').first().waitFor();
}

async function invitations(page) {
  await page.goto(`${URL}/invitations`);
  await page.getByRole('button', { name: 'Let them invite you' }).click();
  await page.getByRole('heading', { name: 'Cash count' }).waitFor();
  await page.clock.fastForward('10:30');
  await page.getByRole('group', { name: 'What changed' }).waitFor();
  await page.getByRole('button', { name: 'Close message' }).click();
}

/** The sheet over another span, in another form. */
const seen = (span, form) => async (page) => {
  await page.getByRole('button', { name: /change how the sheet is seen$/ }).click();
  const dialog = page.getByRole('dialog', { name: 'How the sheet is seen' });
  await dialog
    .getByRole('radiogroup', { name: 'How long' })
    .getByRole('radio', { name: span, exact: true })
    .click();
  await dialog.getByRole('radio', { name: new RegExp(`^${form}:`) }).click();
  await dialog.getByRole('button', { name: 'Done' }).click();
};

const PICTURES = [
  { name: 'plan-phone', size: 'phone' },
  { name: 'plan-wide', size: 'wide' },
  { name: 'columns-wide', size: 'wide', open: seen('Week', 'Columns') },
  { name: 'grid-wide', size: 'wide', open: seen('Month', 'Grid') },
  { name: 'year-phone', size: 'phone', open: seen('Year', 'Year') },
  { name: 'table-wide', size: 'wide', open: seen('Month', 'Table') },
  { name: 'add-phone', size: 'phone', open: jot },
  { name: 'print-wide', size: 'wide', open: print },
  { name: 'reminders-wide', size: 'wide', open: reminders },
  { name: 'find-phone', size: 'phone', open: findOnDays },
  { name: 'change-wide', size: 'wide', open: change },
  { name: 'page-wide', size: 'wide', open: eventPage },
  { name: 'openings-phone', size: 'phone', open: openings },
  { name: 'message-phone', size: 'phone', open: readMessage },
  { name: 'tidy-wide', size: 'wide', open: tidy },
  {
    name: 'today-phone',
    size: 'phone',
    open: async (page) => {
      await page.goto(`${URL}/today`);
      await page.getByRole('heading', { name: /^Now, / }).waitFor();
    },
  },
  { name: 'invitations-wide', size: 'wide', open: invitations },
  { name: 'tasks-wide', size: 'wide', open: tasks },
  { name: 'calendars-wide', size: 'wide', open: (page) => page.goto(`${URL}/calendars`) },
];

async function take(browser, { name, size, scheme = 'light', open }) {
  const context = await browser.newContext({
    viewport: SIZES[size],
    hasTouch: size === 'phone',
    isMobile: size === 'phone',
    colorScheme: scheme,
    locale: 'en-GB',
    timezoneId: 'Europe/London',
  });
  await context.clock.install({ time: NOW });
  const page = await context.newPage();
  await page.goto(URL);
  await bar(page, 'Lamp 14 strip-down').first().waitFor();
  await open?.(page);
  // What fades in has done so once the page's clock has gone on.
  await page.clock.runFor(2000);
  await page.waitForLoadState('networkidle');
  await page.screenshot({ path: path.join(ROOT, 'docs', 'screenshots', `${name}.png`) });
  await context.close();
}

ensurePackages();
ensureBrowser();
ensureBuilt();
mkdirSync(path.join(ROOT, 'docs', 'screenshots'), { recursive: true });
await buildServer();
const server = spawn(process.execPath, [SERVER, '--demo', '--today=2026-11-24'], {
  cwd: ROOT,
  env: { ...process.env, PORT, DATABASE_URL: ':memory:' },
});
await new Promise((resolve, reject) => {
  server.stdout.once('data', resolve);
  server.stderr.once('data', (text) => reject(new Error(String(text))));
});
process.on('exit', () => server.kill());
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
const only = process.argv.slice(2);
for (const picture of PICTURES) {
  if (only.length === 0 || only.includes(picture.name)) await take(browser, picture);
}
await browser.close();
server.kill();

import { readFile } from 'node:fs/promises';
import type { Locator, Page } from '@playwright/test';
import { test as base, expect } from '@playwright/test';

/** Tuesday 24 November 2026, 10:25 in Saltmarsh. */
export const NOW = new Date('2026-11-24T10:25:00Z');

/** React Native's web target says that it animates by script, and wonders at a right button let go; that is all it may say. */
const KNOWN_WARNING =
  /useNativeDriver|touch end without a touch start|Service Worker registration blocked/;

/** The test's own clock, which a letter's frame keeps out as it does any script. */
const CLOCK_KEPT_OUT = /^Blocked script execution in 'about:srcdoc'/;

/** Every page of a test: a fixed clock, and nothing that fails unseen. */
export const test = base.extend<{ problems: string[]; isPhone: boolean }>({
  problems: [
    async ({ context, baseURL }, provide) => {
      const problems: string[] = [];
      context.on('console', (message) => {
        if (
          (message.type() === 'error' && !CLOCK_KEPT_OUT.test(message.text())) ||
          (message.type() === 'warning' && !KNOWN_WARNING.test(message.text()))
        )
          problems.push(`console: ${message.text()}`);
      });
      context.on('weberror', (error) => problems.push(`unhandled: ${error.error().message}`));
      context.on('request', (request) => {
        const { protocol, origin } = new URL(request.url());
        if (/^https?:$/.test(protocol) && origin !== baseURL)
          problems.push(`request to ${request.url()}`);
      });
      await context.clock.install({ time: NOW });
      await provide(problems);
      expect(problems).toEqual([]);
    },
    { auto: true },
  ],
  isPhone: async ({ viewport }, provide) => {
    await provide((viewport?.width ?? 0) < 900);
  },
});

export { expect };

/** Opens the demo on its week. */
export async function openDemo(page: Page): Promise<void> {
  await page.goto('/');
  await expect(bar(page, 'Lamp 14 strip-down')).toBeVisible();
  // The hours of another zone come with the settings, and put everything below them lower.
  await expect(page.getByText(/^Osaka(?: \+9)?$/).first()).toBeVisible();
  // Letters of another face take other room: what is measured before they are here is elsewhere after.
  await page.evaluate(async () => {
    await document.fonts.ready;
  });
}

/** Opens the person's own, empty store. */
export async function openOwn(page: Page): Promise<void> {
  await page.goto('/settings');
  await page.getByRole('button', { name: 'Open my own data' }).click();
  await expect(
    page
      .getByRole('switch', { name: 'My work' })
      .or(page.getByRole('button', { name: /^Calendars: \d+ of \d+ shown$/ })),
  ).toBeVisible();
}

/** Acts among the calendars that the sheet can show: chips, which a phone has behind a button. */
export async function amongCalendars(
  page: Page,
  act: (calendars: Locator) => Promise<unknown>,
): Promise<void> {
  const chips = page.getByRole('group', { name: 'Calendars shown' });
  const button = page.getByRole('button', { name: /^Calendars: \d+ of \d+ shown$/ });
  const isBehind = await button.isVisible();
  if (isBehind) await button.click();
  await act(chips);
  if (isBehind)
    await panel(page, 'Calendars shown').getByRole('button', { name: 'Done', exact: true }).click();
}

/** Shows a calendar, or hides it. */
export const toggleCalendar = (page: Page, name: string) =>
  amongCalendars(page, (calendars) => calendars.getByRole('switch', { name }).click());

export const sheet = (page: Page, span = 'Week') =>
  page.getByRole('group', { name: span, exact: true });

/** Chooses how long a stretch the sheet shows, and how it is drawn. */
export async function see(
  page: Page,
  { span, form }: { span?: [group: string, choice: string]; form?: string },
): Promise<void> {
  await page.getByRole('button', { name: /change how the sheet is seen$/ }).click();
  const dialog = panel(page, 'How the sheet is seen');
  if (span)
    await dialog
      .getByRole('radiogroup', { name: span[0], exact: true })
      .getByRole('radio', { name: span[1], exact: true })
      .click();
  if (form) await dialog.getByRole('radio', { name: new RegExp(`^${form}:`) }).click();
  await dialog.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(dialog).toBeHidden();
}

/** An event's bar on the sheet, by how its name begins. */
export function bar(page: Page, title: string, span = 'Week'): Locator {
  return sheet(page, span).getByRole('button', { name: new RegExp(`^${title}, `) });
}

/** Goes to a place; those that a phone's bar has no room for are under More. */
export async function goTo(page: Page, place: string): Promise<void> {
  const link = page.getByRole('link', { name: place, exact: true });
  if (!(await link.isVisible()))
    await page.getByRole('button', { name: 'More', exact: true }).click();
  await link.click();
}

export const panel = (page: Page, name: string | RegExp) => page.getByRole('dialog', { name });

/** Makes a calendar, from wherever one is; ends on the Calendars screen. */
export async function makeCalendar(page: Page, name: string, isClosures = false): Promise<void> {
  await goTo(page, 'Calendars');
  await page.getByRole('button', { name: 'New calendar' }).click();
  const form = panel(page, 'New calendar');
  await form.getByRole('textbox', { name: 'Name' }).fill(name);
  if (isClosures) await form.getByRole('button', { name: 'Its events are closures' }).click();
  await form.getByRole('button', { name: 'Make' }).click();
  await expect(form).toBeHidden();
}

/** The text of the file that a press makes the browser keep. */
export async function downloaded(page: Page, press: () => Promise<void>): Promise<string> {
  const download = page.waitForEvent('download');
  await press();
  return readFile(await (await download).path(), 'utf8');
}

/** All of the person's calendars as the file that they would get; ends on the Calendars screen. */
export async function exportAll(page: Page): Promise<string> {
  await goTo(page, 'Calendars');
  await page.getByRole('button', { name: 'Export…' }).click();
  const dialog = panel(page, 'Export');
  return downloaded(page, () => dialog.getByRole('button', { name: 'Export' }).click());
}

/** Types into the card that adds, once it hears what is typed. */
export async function typeLine(page: Page, line: string): Promise<void> {
  await expect(page.getByRole('textbox', { name: 'What, when, where' })).toBeFocused();
  await page.keyboard.type(line);
}

/** Enters a line by the card that adds, at once as if pasted; its answer is the caller's to wait for. */
export async function enterLine(page: Page, line: string): Promise<void> {
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  const field = page.getByRole('textbox', { name: 'What, when, where' });
  await expect(field).toBeFocused();
  await field.fill(line);
  // What is typed at once is drawn first: the key means what stands there then.
  await field.evaluate(() => new Promise((resolve) => requestAnimationFrame(resolve)));
  await field.press('Enter');
}

/** Adds what one typed line says, from wherever one is. */
export async function jot(page: Page, line: string): Promise<void> {
  await enterLine(page, line);
  await expect(message(page, /^Added “/)).toBeVisible();
  await expect(panel(page, 'Add an event')).toBeHidden();
}

/** Takes a day of the month that an open date picker shows. */
export async function pickDay(page: Page, date: string): Promise<void> {
  await page
    .getByRole('gridcell')
    .getByRole('button', { name: new RegExp(`\\b${date}$`) })
    .click();
}

export const message = (page: Page, text: string | RegExp) => page.getByText(text);

/** Takes hold of a row of a list by its handle, with the keyboard. */
export async function takeHold(page: Page, row: string): Promise<void> {
  await page.getByRole('button', { name: `Move ${row}`, exact: true }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(`${row} is at the place of ${row}.`)).toBeAttached();
  // The list hears the arrows from the next turn of the page's clock on.
  await page.evaluate(() => new Promise((resolve) => setTimeout(resolve)));
}

type Box = NonNullable<Awaited<ReturnType<Locator['boundingBox']>>>;

export async function boxOf(locator: Locator) {
  let box: Box | null = null;
  let before: Box | null;
  // What is still moving is looked at again, frame by frame.
  do {
    before = box;
    box = await locator.boundingBox();
    if (!box) throw new Error('It is not on the page.');
    await locator.evaluate(() => new Promise((resolve) => requestAnimationFrame(resolve)));
  } while (JSON.stringify(before) !== JSON.stringify(box));
  return box;
}

/** Pixels that an hour takes on the sheet, from a bar that lasts two of them. */
export async function hourWidth(page: Page): Promise<number> {
  return (await boxOf(bar(page, 'Lamp 14 strip-down'))).width / 2;
}

/** Where a minute of a day is on the sheet; rows are found by their heads. */
export async function spotOf(
  page: Page,
  day: RegExp,
  hour: number,
  down = 0.8,
): Promise<{ x: number; y: number }> {
  const head = await boxOf(sheet(page).getByRole('button', { name: day }));
  const all = await boxOf(sheet(page));
  const left = head.x + head.width;
  return {
    x: left + ((hour - 7) / 12) * (all.x + all.width - left),
    y: head.y + head.height * down,
  };
}

interface Point {
  x: number;
  y: number;
}

/** A finger that goes from point to point, resting first. */
export async function touchDrag(
  page: Page,
  points: Point[],
  restMs: number,
  hold?: () => Promise<void>,
): Promise<void> {
  const client = await page.context().newCDPSession(page);
  const send = (type: 'touchStart' | 'touchMove' | 'touchEnd', touchPoints: Point[]) =>
    client.send('Input.dispatchTouchEvent', { type, touchPoints });
  const isDown = await page.evaluateHandle(() => {
    const down = new Promise((resolve) =>
      window.addEventListener('pointerdown', resolve, { once: true, capture: true }),
    );
    return { down };
  });
  // One that does not rest goes on at once, however slow the machine is: no time passes for the page.
  if (!restMs) await page.clock.pauseAt(await page.evaluate(() => Date.now() + 5000));
  await send('touchStart', [points[0]!]);
  // A busy page may be told of it late; the finger rests from then on, by the page's own clock.
  await isDown.evaluate(async ({ down }) => void (await down));
  if (restMs) await page.clock.runFor(restMs);
  for (const [i, to] of points.slice(1).entries()) {
    const from = points[i]!;
    for (let step = 1; step <= 6; step++) {
      await send('touchMove', [
        { x: from.x + ((to.x - from.x) * step) / 6, y: from.y + ((to.y - from.y) * step) / 6 },
      ]);
    }
  }
  await hold?.();
  await send('touchEnd', []);
  if (!restMs) await page.clock.resume();
  await client.detach();
}

/** A mouse that takes hold, goes and lets go; `hold` looks at the page before that. */
export async function mouseDrag(
  page: Page,
  from: Point,
  to: Point,
  hold?: () => Promise<void>,
): Promise<void> {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2, { steps: 4 });
  await page.mouse.move(to.x, to.y, { steps: 4 });
  await hold?.();
  await page.mouse.up();
}

/** Two fingers around a middle, one under the other, moved apart (or together) from one distance to another. */
export async function pinch(page: Page, middle: Point, from: number, to: number): Promise<void> {
  const client = await page.context().newCDPSession(page);
  const send = (type: 'touchStart' | 'touchMove' | 'touchEnd', touchPoints: Point[]) =>
    client.send('Input.dispatchTouchEvent', { type, touchPoints });
  const fingers = (distance: number) => [
    { x: middle.x, y: middle.y - distance / 2 },
    { x: middle.x, y: middle.y + distance / 2 },
  ];
  const STEPS = 8;
  await send('touchStart', fingers(from).slice(0, 1));
  await send('touchStart', fingers(from));
  for (let step = 1; step <= STEPS; step++)
    await send('touchMove', fingers(from + ((to - from) * step) / STEPS));
  await send('touchEnd', []);
  await client.detach();
}

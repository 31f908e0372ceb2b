import type { Page } from '@playwright/test';
import { median, report, worst } from './report';

/** A form by its key, and what it draws events or days with. */
const FORMS = [
  { name: 'columns', key: 'c', draws: '.sheet-block' },
  { name: 'grid', key: 'k', draws: '.sheet-line' },
  { name: 'agenda', key: 'l', draws: '.agenda-line' },
  { name: 'table', key: 'b', draws: 'td.table-title' },
  { name: 'rows', key: 'r', draws: '.sheet-label' },
] as const;

const RUNS = 5;
const SWITCHES = 200;

/** Presses a key and waits until what it shows is painted; ms. */
async function switchBy(page: Page, key: string, draws: string): Promise<number> {
  return page.evaluate(
    async ([pressed, selector]) => {
      const frame = () => new Promise<number>((resolve) => requestAnimationFrame(resolve));
      const isDrawn = () => {
        const element = document.querySelector<HTMLElement>(selector!);
        return element !== null && getComputedStyle(element).visibility === 'visible';
      };
      const before = performance.now();
      window.dispatchEvent(new KeyboardEvent('keydown', { key: pressed, bubbles: true }));
      await frame();
      while (!isDrawn()) await frame();
      await frame();
      return performance.now() - before;
    },
    [key, draws],
  );
}

/** What the browser alone takes to parse and paint the markup that is on the sheet now; ms. */
async function bareMarkup(page: Page): Promise<number> {
  return page.evaluate(async () => {
    const frame = () => new Promise<number>((resolve) => requestAnimationFrame(resolve));
    const markup = document.querySelector('main [aria-label="Week"]')!.outerHTML;
    const holder = document.createElement('div');
    holder.style.cssText = 'position:fixed;inset:0;display:flex;z-index:9';
    document.body.append(holder);
    await frame();
    const before = performance.now();
    holder.innerHTML = markup;
    await frame();
    await frame();
    const taken = performance.now() - before;
    holder.remove();
    return taken;
  });
}

/** Chooses how long a stretch is shown, in the page's own time; ms until it is painted. */
async function showSpan(page: Page, span: string, draws: string): Promise<number> {
  await page.getByRole('button', { name: /change how the sheet is seen$/ }).click();
  const dialog = page.getByRole('dialog', { name: 'How the sheet is seen' });
  await dialog.getByRole('radio', { name: span, exact: true }).waitFor();
  const taken = await page.evaluate(
    async ([name, selector]) => {
      const frame = () => new Promise<number>((resolve) => requestAnimationFrame(resolve));
      const radios = [...document.querySelectorAll<HTMLElement>('dialog [role=radio]')];
      const before = performance.now();
      radios.find(({ textContent }) => textContent === name)!.click();
      await frame();
      while (!document.querySelector(selector!)) await frame();
      await frame();
      return performance.now() - before;
    },
    [span, draws],
  );
  await dialog.getByRole('button', { name: 'Close' }).click();
  return taken;
}

/** Frames a second while a list is scrolled through. */
async function scrollRate(page: Page, list: string): Promise<number> {
  return page.evaluate(async (selector) => {
    const scroller = document.querySelector<HTMLElement>(selector)!;
    const frame = () => new Promise<number>((resolve) => requestAnimationFrame(resolve));
    const from = await frame();
    const FRAMES = 120;
    let last = from;
    for (let i = 0; i < FRAMES; i++) {
      scroller.scrollTop += 40;
      last = await frame();
    }
    return (FRAMES / (last - from)) * 1000;
  }, list);
}

const heapOf = () =>
  (performance as unknown as { memory: { usedJSHeapSize: number } }).memory.usedJSHeapSize / 1e6;

/** How long each form and span takes to be painted, and whether switching holds memory. */
export async function benchForms(page: Page): Promise<void> {
  for (const { name, key, draws } of FORMS) {
    report(`the week as ${name}, the first time`, await switchBy(page, key, draws), 'ms', 100);
    await page.waitForTimeout(500);
  }
  for (const { name, key, draws } of FORMS.slice(0, -1)) {
    const times: number[] = [];
    const bare: number[] = [];
    for (let run = 0; run < RUNS; run++) {
      times.push(await switchBy(page, key, draws));
      await page.waitForTimeout(150);
      bare.push(await bareMarkup(page));
      await page.waitForTimeout(150);
      await switchBy(page, 'r', '.sheet-label');
      await page.waitForTimeout(150);
    }
    report(`switched to ${name}, median`, median(times), 'ms', 100);
    report(`switched to ${name}, slowest`, worst(times), 'ms');
    report(`… against Chromium’s own parse and paint of it`, median(times) / median(bare), '×');
  }
  report('the month as a grid', await showSpan(page, 'Month', '.sheet-line'), 'ms', 100);
  report('the year', await showSpan(page, 'Year', '.year-day'), 'ms', 200);
  await switchBy(page, 'b', 'td.table-title');
  report('the year’s table scrolled', await scrollRate(page, '.table-scroller'), 'fps', {
    atLeast: 55,
  });
  await switchBy(page, 'l', '.agenda-line');
  report('the agenda scrolled', await scrollRate(page, '.agenda'), 'fps', { atLeast: 55 });
  await showSpan(page, 'Week', '.agenda-line');
  await switchBy(page, 'r', '.sheet-label');
  const before = await page.evaluate(heapOf);
  for (let i = 0; i < SWITCHES / 2; i++) {
    await switchBy(page, 'c', '.sheet-block');
    await switchBy(page, 'r', '.sheet-label');
  }
  const grown = (await page.evaluate(heapOf)) - before;
  report(`memory of the page after ${SWITCHES} switches, more by`, grown, 'MB');
}

import { add, backUp, begin, kill, killDuring, openApp } from './browser.mjs';

let added = 0;

/** Adds one event after the other by the interface, noting each that was said to be added, until the browser is gone. */
export async function addOn(page, kept) {
  for (;;) {
    const title = `Lamp ${++added}`;
    await add(page, title);
    kept.push(title);
  }
}

/** What was said to be kept and is not there, and what is damaged. */
export async function missingOf(page, kept) {
  const { records, aside } = await backUp(page);
  const titles = new Set(records.event.map(({ title }) => title));
  return { lost: kept.filter((title) => !titles.has(title)).length, damaged: aside.length };
}

/** Kills the browser while events are being added. */
export async function adding(folder, kills) {
  const kept = [];
  for (let n = 0; n < kills; n++) {
    const { child, page } = await begin(folder);
    await openApp(page);
    await killDuring(child, addOn(page, kept), 1500, 5500);
  }
  const { child, page } = await begin(folder);
  await openApp(page);
  const { lost, damaged } = await missingOf(page, kept);
  await kill(child);
  return {
    isGood: !lost && !damaged,
    said: `${kept.length} events were said to be added, ${lost} of them are lost; ${damaged} records are damaged`,
  };
}

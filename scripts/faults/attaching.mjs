import { Buffer } from 'node:buffer';
import { add, backUp, begin, kill, killDuring, openApp } from './browser.mjs';

let attached = 0;

/** Attaches one file after the other to an event, noting each that was said to be attached. */
async function attachOn(page, kept) {
  await page.getByRole('button', { name: /^Keel plan, / }).click();
  for (;;) {
    const name = `sheet-${++attached}.txt`;
    const buffer = Buffer.alloc(400_000, name);
    await page
      .getByLabel('Files to attach')
      .setInputFiles({ name, mimeType: 'text/plain', buffer });
    await page.getByRole('button', { name: `Open ${name}` }).waitFor();
    kept.push(name);
  }
}

/** Kills the browser while files are being attached: each that is named on the event must have its content. */
export async function attaching(folder, kills) {
  const kept = [];
  for (let n = 0; n < kills; n++) {
    const { child, page } = await begin(folder);
    await openApp(page);
    if (n === 0) await add(page, 'Keel plan');
    await killDuring(child, attachOn(page, kept), 1500, 4500);
  }
  const { child, page } = await begin(folder);
  await openApp(page);
  const { records, files } = await backUp(page);
  await kill(child);
  const here = records.event.flatMap(({ attachments }) => attachments);
  const names = new Set(here.map(({ name }) => name));
  const lost = kept.filter((name) => !names.has(name)).length;
  const empty = here.filter(
    ({ id, name, bytes }) =>
      !Buffer.from(files[id] ?? '', 'base64').equals(Buffer.alloc(bytes, name)),
  ).length;
  return {
    isGood: !lost && !empty,
    said: `${kept.length} files were said to be attached, ${lost} of them are lost; ${empty} are named and have not what was in them`,
  };
}

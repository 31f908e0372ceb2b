import { Buffer } from 'node:buffer';
import { add, backUp, begin, kill, killDuring, openApp } from './browser.mjs';

const EVENTS = 3000;

/** A backup as the app writes it, with many more events than there are. */
function many(backup) {
  const [one] = backup.records.event;
  const event = Array.from({ length: EVENTS }, (_, i) => ({
    ...one,
    id: `many-${i}`,
    uid: `many-${i}@faults.example`,
    title: `Many ${i}`,
  }));
  return JSON.stringify({ ...backup, records: { ...backup.records, event } });
}

async function restoreNow(page, text, said) {
  await page.getByRole('link', { name: 'Calendars' }).click();
  await page.getByLabel('Backup file').setInputFiles({
    name: 'backup.json',
    mimeType: 'application/json',
    buffer: Buffer.from(text),
  });
  await page.getByRole('button', { name: 'Restore it' }).click();
  said.asked = true;
  await page.getByText(/^Restored the backup/).waitFor();
  said.done = true;
}

/** Kills the browser while a backup is restored: afterwards all of it is there, or what was before. */
export async function restoring(folder, kills) {
  const first = await begin(folder);
  await openApp(first.page);
  const { page } = first;
  await add(page, 'Before it all');
  const before = await backUp(page);
  const after = many(before);
  await kill(first.child);
  const counts = { before: 0, after: 0, halves: 0, lost: 0 };
  for (let n = 0; n < kills; n++) {
    const { child, page: at } = await begin(folder);
    await openApp(at);
    const said = {};
    await killDuring(child, restoreNow(at, after, said), 600, 5000);
    const next = await begin(folder);
    await openApp(next.page);
    const titles = (await backUp(next.page)).records.event.map(({ title }) => title);
    const isBefore = titles.length === 1 && titles[0] === 'Before it all';
    const isAfter = titles.length === EVENTS && !titles.includes('Before it all');
    counts[isBefore ? 'before' : isAfter ? 'after' : 'halves']++;
    if (said.done && !isAfter) counts.lost++;
    if (isAfter) await restoreNow(next.page, JSON.stringify(before), {});
    await kill(next.child);
  }
  return {
    isGood: !counts.halves && !counts.lost,
    said: `all of it was there ${counts.after} times, nothing of it ${counts.before} times, a part of it ${counts.halves} times; said to be restored and gone: ${counts.lost}`,
  };
}

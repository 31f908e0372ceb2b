import { add, backUp, begin, kill, killDuring, openApp, URL } from './browser.mjs';

const EVENTS = 2000;

/** Makes a store as the platform's storage of the first version made it. */
async function storeOfBefore(page, records) {
  await page.goto(`${URL}manifest.webmanifest`);
  await page.evaluate(
    (texts) =>
      new Promise((resolve, reject) => {
        const request = indexedDB.open('orderly-week-own', 1);
        request.onupgradeneeded = () => request.result.createObjectStore('entries');
        request.onerror = () => reject(request.error);
        request.onsuccess = () => {
          const transaction = request.result.transaction('entries', 'readwrite');
          for (const [key, text] of Object.entries(texts))
            transaction.objectStore('entries').put(text, key);
          transaction.oncomplete = () => {
            request.result.close();
            resolve(undefined);
          };
          transaction.onerror = () => reject(transaction.error);
        };
      }),
    records,
  );
}

const stored = (data) => JSON.stringify({ version: 1, data });

/** Kills the browser while it takes over what an older version had kept. */
export async function adopting(folder, kills) {
  const first = await begin(`${folder}-new`);
  await openApp(first.page);
  await add(first.page, 'Template');
  const { records } = await backUp(first.page);
  await kill(first.child);
  const [calendar] = records.calendar;
  const [event] = records.event;
  const texts = { [`calendar/${calendar.id}`]: stored(calendar) };
  for (let i = 0; i < EVENTS; i++) {
    const id = `old-${i}`;
    texts[`event/${id}`] = stored({ ...event, id, uid: `${id}@faults.example`, title: `Old ${i}` });
  }
  const old = await begin(folder);
  await storeOfBefore(old.page, texts);
  await old.page.waitForTimeout(1000);
  await kill(old.child);
  for (let n = 0; n < kills; n++) {
    const { child, page } = await begin(folder);
    await killDuring(child, openApp(page), 100, 2500);
  }
  const { child, page } = await begin(folder);
  await openApp(page);
  const found = await backUp(page);
  await kill(child);
  const titles = new Set(found.records.event.map(({ title }) => title));
  const lost = Array.from({ length: EVENTS }, (_, i) => `Old ${i}`).filter(
    (title) => !titles.has(title),
  ).length;
  return {
    isGood: !lost && !found.aside.length,
    said: `of ${EVENTS} events that an older version kept ${lost} are lost, ${found.aside.length} records are damaged`,
  };
}

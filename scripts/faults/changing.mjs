import { Buffer } from 'node:buffer';
import { add, backUp, begin, kill, killDuring, openApp, openDemo, URL } from './browser.mjs';

const EVENTS = 400;
const SECOND = 'second';

const go = (page, name) => page.getByRole('link', { name }).first().click();

/** A backup with many old events on a calendar of their own. */
function many(backup) {
  const [calendar] = backup.records.calendar;
  const [one] = backup.records.event;
  const year = Number(one.start.local.slice(0, 4)) - 3;
  const old = (time) => ({ ...time, local: `${year}${time.local.slice(4)}` });
  const event = Array.from({ length: EVENTS }, (_, i) => ({
    ...one,
    ...{ id: `many-${i}`, uid: `many-${i}@faults.example`, title: `Many ${i} ` },
    ...{ calendarId: SECOND, start: old(one.start), end: old(one.end) },
  }));
  const second = { ...calendar, id: SECOND, name: 'Second', order: 9 };
  return {
    ...backup,
    records: { ...backup.records, calendar: [calendar, second], event },
  };
}

async function restore(page, backup) {
  await go(page, 'Calendars');
  await page.getByLabel('Backup file').setInputFiles({
    name: 'backup.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(backup)),
  });
  await page.getByRole('button', { name: 'Restore it' }).click();
  await page.getByText(/^Restored the backup/).waitFor();
}

async function fromMenu(page, calendar, item) {
  await go(page, 'Calendars');
  await page.getByRole('button', { name: `More for ${calendar}` }).click();
  await page.getByRole('dialog').getByRole('button', { name: item }).click();
}

const manyOf = ({ records }) => records.event.filter(({ id }) => id.startsWith('many-'));

/**
 * Changes of many records: the way up to the last press, the press that begins it, what is said once it
 * is done, and how many parts of it a backup has, of how many.
 */
const CHANGES = {
  bulk: {
    async ready(page) {
      await page.goto(`${URL}find?q=${encodeURIComponent('{"text":"many"}')}`);
      await page.getByRole('button', { name: /^Select all/ }).click();
      await page.getByRole('button', { name: 'Change…' }).click();
      await page.getByRole('dialog').getByRole('button', { name: 'Trim spaces' }).click();
      return page.getByRole('button', { name: `Change ${EVENTS} events` });
    },
    said: /^(Changed|Trimmed)/,
    partsOf: (backup) => [
      manyOf(backup).filter(({ title }) => !title.endsWith(' ')).length,
      EVENTS,
    ],
  },
  archive: {
    async ready(page) {
      await go(page, 'Tidy');
      return page.getByRole('button', { name: `Archive ${EVENTS} events` });
    },
    said: /^Archived/,
    partsOf: (backup) => [manyOf(backup).filter(({ removedAt }) => removedAt).length, EVENTS],
  },
  merge: {
    async ready(page) {
      await fromMenu(page, 'Second', 'Merge into another…');
      const dialog = page.getByRole('dialog');
      await dialog.getByRole('radio').first().click();
      return dialog.getByRole('button', { name: `Merge ${EVENTS} events` });
    },
    said: /^Merged Second/,
    partsOf: (backup) => [
      manyOf(backup).filter(({ calendarId }) => calendarId !== SECOND).length,
      EVENTS,
    ],
  },
  invitation: {
    isDemo: true,
    async ready(page) {
      await go(page, /^Invitations/);
      await page.getByRole('button', { name: 'Let them invite you' }).click();
      return page
        .getByRole('listitem', { name: 'Lens trial for lamp 22', exact: true })
        .getByRole('button', { name: 'Accept: I come' });
    },
    within: 1500,
    said: 'Accepted “Lens trial for lamp 22”',
    // The answer on the event and the mail that says it: both or neither.
    partsOf: ({ records }) => {
      const asked = records.event.find(({ title }) => title === 'Lens trial for lamp 22');
      const mail = records.mail.some(({ isOut, uid }) => isOut && uid === asked?.uid);
      const isAccepted = asked?.attendees.some(({ answer }) => answer === 'accepted');
      return [Number(Boolean(isAccepted)) + Number(mail), 2];
    },
  },
  share: {
    isDemo: true,
    async ready(page) {
      await fromMenu(page, 'Clients', 'Share…');
      return page.getByRole('dialog').getByRole('button', { name: 'Share it' });
    },
    within: 1500,
    said: null,
    listed: (page) =>
      page.getByRole('list', { name: 'Shared already' }).getByRole('listitem').first(),
    partsOf: ({ records }) => [records.share?.length ?? 0, 1],
  },
};

/** Makes the walk that kills the browser while one of the changes is being made: all of it is kept, or nothing. */
const changing = (change) => async (folder, kills) => {
  const open = change.isDemo ? openDemo : openApp;
  const counts = { before: 0, after: 0, halves: 0, lost: 0 };
  let start = null;
  if (!change.isDemo) {
    const { child, page } = await begin(`${folder}-template`);
    await openApp(page);
    await add(page, 'Template');
    start = many(await backUp(page));
    await kill(child);
  }
  for (let n = 0; n < kills; n++) {
    const own = `${folder}-${n}`;
    const { child, page } = await begin(own);
    await open(page);
    if (start) await restore(page, start);
    const press = await change.ready(page);
    await press.waitFor();
    const said = {};
    const doing = async () => {
      await press.click();
      await (change.listed?.(page) ?? page.getByText(change.said)).waitFor();
      said.done = true;
    };
    await killDuring(child, doing(), 0, change.within ?? 1800);
    const next = await begin(own);
    await open(next.page);
    const [parts, all] = change.partsOf(await backUp(next.page));
    counts[parts === 0 ? 'before' : parts === all ? 'after' : 'halves']++;
    if (said.done && parts !== all) counts.lost++;
    await kill(next.child);
  }
  return {
    isGood: !counts.halves && !counts.lost,
    said: `all of it was there ${counts.after} times, nothing of it ${counts.before} times, a part of it ${counts.halves} times; said to be done and gone: ${counts.lost}`,
  };
};

export const bulk = changing(CHANGES.bulk);
export const archive = changing(CHANGES.archive);
export const merge = changing(CHANGES.merge);
export const invitation = changing(CHANGES.invitation);
export const share = changing(CHANGES.share);

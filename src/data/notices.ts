import { z } from '@/core/model/zod';
import type { StoreName } from '@/engine/engine.worker';

/** What the browser says of notifications: whether it knows any, and what the person allowed. */
export type NoticeState = 'unknown' | 'default' | 'granted' | 'denied';

/** One notification: a reminder by its id, with what it says. */
export interface Notice {
  id: string;
  title: string;
  body: string;
}

/** What can be pressed on a notification; a press on it itself opens the event. */
const NOTICE_ACTIONS = ['open', 'done', 'again'] as const;
export type NoticeAction = (typeof NOTICE_ACTIONS)[number];

/** What `public/notified.js` tells the page of a press. */
const noticePress = z.object({
  kind: z.literal('reminder'),
  store: z.string(),
  id: z.string(),
  action: z.enum(NOTICE_ACTIONS),
});
export type NoticePress = z.infer<typeof noticePress>;

/** How long "Again" on a notification puts off, in minutes. */
export const NOTICE_AGAIN = 10;

export const noticeState = (): NoticeState =>
  'Notification' in window && 'serviceWorker' in navigator ? Notification.permission : 'unknown';

/** Asks the browser, which asks the person; only after a press. */
export const askForNotices = (): Promise<NotificationPermission> =>
  Notification.requestPermission();

async function registration(): Promise<ServiceWorkerRegistration | null> {
  if (noticeState() !== 'granted') return null;
  return (await navigator.serviceWorker.getRegistration()) ?? null;
}

let turn: Promise<unknown> = Promise.resolve();

/** One after the other: a browser forgets what is being shown while it is asked what it shows. */
function inTurn(work: () => Promise<void>): Promise<void> {
  const done = turn.then(work);
  turn = done.catch(() => undefined); // Whoever asked for it is told.
  return done;
}

/** Shows notifications; `isSilent` where the app sounds itself. */
export const showNotices = (
  store: StoreName,
  notices: readonly Notice[],
  isSilent: boolean,
): Promise<void> =>
  inTurn(async () => {
    const there = await registration();
    for (const { id, title, body } of notices)
      await there?.showNotification(title, {
        body,
        tag: id,
        silent: isSilent,
        icon: '/icon-192.png',
        data: { store },
        // Of the standard, but not yet in the types of the DOM.
        ...({
          actions: [
            { action: 'done', title: 'Done' },
            { action: 'again', title: `Again in ${NOTICE_AGAIN} min` },
          ],
        } as object),
      });
  });

/** What waits, as it was told last. */
let waits: ReadonlySet<string> = new Set();

/** Takes away notifications of reminders that wait no longer. */
export function closeNotices(waiting: ReadonlySet<string>): Promise<void> {
  waits = waiting;
  return inTurn(async () => {
    const there = await registration();
    for (const notice of (await there?.getNotifications()) ?? [])
      if (!waits.has(notice.tag)) notice.close();
  });
}

/** Hears what was pressed on notifications, now and (by the address) before this page was opened. */
export function onNoticePress(heard: (press: NoticePress) => void): () => void {
  const listen = ({ data }: MessageEvent<unknown>) => {
    const press = noticePress.safeParse(data);
    if (press.success) heard(press.data);
  };
  navigator.serviceWorker?.addEventListener('message', listen);
  const opened = pressOfAddress();
  if (opened) heard(opened);
  return () => navigator.serviceWorker?.removeEventListener('message', listen);
}

/** The press that opened this page, if one did; the address forgets it. */
function pressOfAddress(): NoticePress | null {
  const address = new URL(window.location.href);
  const get = (name: string) => address.searchParams.get(name);
  const press = noticePress.safeParse({
    kind: 'reminder',
    store: get('store'),
    id: get('reminder'),
    action: get('press'),
  });
  if (!press.success) return null;
  for (const name of ['store', 'reminder', 'press']) address.searchParams.delete(name);
  window.history.replaceState(window.history.state, '', address);
  return press.data;
}

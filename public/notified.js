/* A part of the service worker: what a press on a notification of a reminder does. */

self.addEventListener('notificationclick', (event) => {
  const { notification, action } = event;
  notification.close();
  const press = {
    kind: 'reminder',
    store: notification.data?.store ?? '',
    id: notification.tag,
    action: action || 'open',
  };
  event.waitUntil(passOn(press));
});

/** Tells a window of the app, or opens one that finds it in its address. */
async function passOn(press) {
  const windows = await self.clients.matchAll({ type: 'window', includeUncontrolled: true });
  const [first] = windows;
  if (first) {
    first.postMessage(press);
    if (press.action === 'open') await first.focus();
    return;
  }
  const { store, id, action } = press;
  const asked = new URLSearchParams({ store, reminder: id, press: action });
  await self.clients.openWindow(`/?${asked}`);
}

/**
 * Has the browser keep the app itself, so that it opens when its server can't be reached. Only a
 * built app has the worker for it.
 * @throws what the browser says when it does not keep it.
 */
export async function keepForOffline(): Promise<void> {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
  await navigator.serviceWorker.register('/sw.js');
}

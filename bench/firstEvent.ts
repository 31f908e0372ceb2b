import type { Page } from '@playwright/test';

/** Notes when the first event is on the page, in ms since the navigation began. */
export function watchFirstEvent(): void {
  const look = () => {
    if (!document.querySelector('[data-occ]')) requestAnimationFrame(look);
    else Object.assign(window, { firstEvent: performance.now() });
  };
  requestAnimationFrame(look);
}

export async function firstEvent(page: Page, url: string): Promise<number> {
  await page.goto(url);
  const handle = await page.waitForFunction(
    () => (window as unknown as { firstEvent?: number }).firstEvent,
  );
  return (await handle.jsonValue())!;
}

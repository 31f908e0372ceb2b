import type { ChildProcess } from 'node:child_process';
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { expect, jot, test } from './fixtures';

const PORTS = { phone: 4411, wide: 4412 };

test.use({
  serviceWorkers: 'allow',
  baseURL: async ({ isPhone }, provide) => {
    await provide(`http://localhost:${isPhone ? PORTS.phone : PORTS.wide}`);
  },
});

/** A server of its own, to be stopped while the page is open. */
async function ownServer(port: number): Promise<ChildProcess> {
  const server = spawn(process.execPath, ['dist-server/main.cjs', '--demo', '--today=2026-11-24'], {
    env: { ...process.env, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await once(server.stdout!, 'data');
  return server;
}

test(
  'the app says how it is installed, and opens with its server stopped',
  { tag: '@wide' },
  async ({ page, isPhone }) => {
    const port = isPhone ? PORTS.phone : PORTS.wide;
    const server = await ownServer(port);
    const stopped = once(server, 'exit');
    try {
      await page.goto('/');
      await expect(page.getByRole('button', { name: /^Lamp 14 strip-down, / })).toBeVisible();
      const manifest = await page.evaluate(async () => {
        const link = document.querySelector<HTMLLinkElement>('link[rel=manifest]')!;
        return (await fetch(link.href)).json() as Promise<{
          name: string;
          icons: { src: string }[];
        }>;
      });
      expect(manifest.name).toBe('Orderly Week');
      for (const { src } of manifest.icons) {
        const icon = await page.request.get(src);
        expect(icon.headers()['content-type']).toMatch(/^image\//);
      }
      await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
      await expect
        .poll(() => page.evaluate(() => navigator.serviceWorker.controller?.state))
        .toBe('activated');
      await jot(page, 'Varnish test Thu 15:30');
    } finally {
      server.kill();
      await stopped;
    }
    await page.reload();
    await expect(page.getByRole('button', { name: /^Varnish test, / })).toBeVisible();
    await page.goto('/today');
    await expect(page.getByText(/^Next: Quarter ledger review/)).toBeVisible();
  },
);

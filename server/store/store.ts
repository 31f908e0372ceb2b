import { mkdirSync, readdirSync, readFileSync } from 'node:fs';
import { homedir } from 'node:os';
import path from 'node:path';
import type { Client } from '@libsql/client';
import { createClient } from '@libsql/client';

/** What the server keeps: rows that are written for good before a request is answered. */
export type Store = Client;

const MIGRATIONS = path.join(__dirname, 'migrations');

/** Where the store lies: `DATABASE_URL`, else a file in the folder `DATA`, by default one of the person's own. */
export function storeUrl(env: Readonly<Record<string, string | undefined>>): string {
  if (env['DATABASE_URL']) return env['DATABASE_URL'];
  const folder = path.resolve(env['DATA'] || path.join(homedir(), '.orderly-week'));
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  return `file:${path.join(folder, 'orderly-week.db')}`;
}

/** Applies the migrations that the store has not had yet, in the order of their numbers, each whole or not at all. */
async function migrate(store: Store): Promise<void> {
  const { rows } = await store.execute('PRAGMA user_version');
  const had = Number(rows[0]?.['user_version'] ?? 0);
  const files = readdirSync(MIGRATIONS)
    .filter((name) => name.endsWith('.sql'))
    .sort();
  if (had > files.length)
    throw new Error('A newer version of Orderly Week has written this server’s data.');
  for (const [nth, name] of files.entries()) {
    if (nth < had) continue;
    const sql = readFileSync(path.join(MIGRATIONS, name), 'utf8');
    await store.executeMultiple(`BEGIN;\n${sql}\nPRAGMA user_version = ${nth + 1};\nCOMMIT;`);
  }
}

/** Opens the store at an address of libSQL, `:memory:` for one that is gone with its process. */
export async function openStore(url: string): Promise<Store> {
  const store = createClient({ url });
  if (url.startsWith('file:')) {
    await store.execute('PRAGMA journal_mode = WAL');
    await store.execute('PRAGMA synchronous = FULL');
  }
  await migrate(store);
  return store;
}

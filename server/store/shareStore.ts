import type { SharedCopy } from '../../src/core/people/shared';
import { sharedCopy } from '../../src/core/people/shared';
import type { SharedChange } from '../../src/core/people/sharedChange';
import { sharedChange } from '../../src/core/people/sharedChange';
import { DAY } from '../../src/core/time/civil';
import type { Store } from './store';

/** What one publisher may have at once, and what all have together: shares, and bytes of their copies. */
export const ROOM = { publisher: { shares: 100, bytes: 60e6 }, all: { shares: 2000, bytes: 1e9 } };
/** Days after which what nobody published again is let go, and what is over. */
const KEPT = { unpublished: 400, over: 30 };

/** Something shared, as it lies here. */
export interface PublishedShare {
  copy: SharedCopy;
  /** Tells one copy from another. */
  version: string;
  /** When it was first published, by the page's clock, epoch ms. */
  begun: number;
  /** Whether the colleague whom it is shared with did something already. */
  isEdited: boolean;
}

/** A change that was refused, as who sent it is told. */
export interface RefusedChange {
  change: SharedChange;
  why: string;
}

/** Why there is no room, in words. */
export class NoRoomError extends Error {}

/** What is shared, and what others changed of it until the app has taken it in. `now` is epoch ms. */
export class ShareStore {
  constructor(
    private readonly store: Store,
    private readonly now: () => number,
  ) {}

  async find(token: string): Promise<PublishedShare | null> {
    const { rows } = await this.store.execute({
      sql: 'SELECT copy, version, begun, edited FROM shares WHERE token = ?',
      args: [token],
    });
    const [row] = rows;
    const read = row && sharedCopy.safeParse(JSON.parse(String(row['copy'])));
    if (!row || !read?.success) return null;
    return {
      copy: read.data,
      version: String(row['version']),
      begun: Number(row['begun']),
      isEdited: Number(row['edited']) === 1,
    };
  }

  /** @throws NoRoomError where the publisher, or the server, has no room for more. */
  async publish(
    token: string,
    { publisher, copy, version }: { publisher: string; copy: SharedCopy; version: string },
  ): Promise<void> {
    const text = JSON.stringify(copy);
    const bytes = Buffer.byteLength(text);
    await this.letGo();
    await this.assertRoom(token, publisher, bytes);
    await this.store.batch(
      [
        {
          sql: `INSERT INTO shares (token, publisher, copy, bytes, version, begun, published)
            VALUES (?, ?, ?, ?, ?, ?, ?)
            ON CONFLICT (token) DO UPDATE SET publisher = excluded.publisher, copy = excluded.copy,
              bytes = excluded.bytes, version = excluded.version, published = excluded.published`,
          args: [token, publisher, text, bytes, version, copy.changing?.made ?? 0, this.now()],
        },
        // What nobody may do any more is not done.
        ...(copy.changing ? [] : [{ sql: 'DELETE FROM changes WHERE token = ?', args: [token] }]),
      ],
      'write',
    );
  }

  private async assertRoom(token: string, publisher: string, bytes: number): Promise<void> {
    const { rows } = await this.store.execute({
      sql: `SELECT count(*) AS shares, total(bytes) AS bytes,
          sum(publisher = ?) AS own, total(bytes * (publisher = ?)) AS ownBytes
        FROM shares WHERE token <> ?`,
      args: [publisher, publisher, token],
    });
    const row = rows[0]!;
    const isFull = (name: 'publisher' | 'all', shares: unknown, used: unknown) =>
      Number(shares ?? 0) + 1 > ROOM[name].shares || Number(used ?? 0) + bytes > ROOM[name].bytes;
    if (isFull('publisher', row['own'], row['ownBytes']))
      throw new NoRoomError('You have no room for more here. End a share that is not needed.');
    if (isFull('all', row['shares'], row['bytes']))
      throw new NoRoomError('This server has no room for more shares.');
  }

  /** Takes away what is long over, or was not published again for a year. */
  private async letGo(): Promise<void> {
    await this.store.execute({
      sql: `DELETE FROM shares WHERE published < ?
        OR (json_extract(copy, '$.expires') IS NOT NULL AND json_extract(copy, '$.expires') < ?)`,
      args: [this.now() - KEPT.unpublished * DAY, this.now() - KEPT.over * DAY],
    });
  }

  async end(token: string): Promise<void> {
    await this.store.batch(
      [
        { sql: 'DELETE FROM changes WHERE token = ?', args: [token] },
        { sql: 'DELETE FROM shares WHERE token = ?', args: [token] },
      ],
      'write',
    );
  }

  /** Changes that wait for the app, the first first. */
  async waiting(token: string): Promise<SharedChange[]> {
    const { rows } = await this.store.execute({
      sql: 'SELECT change FROM changes WHERE token = ? AND refused IS NULL ORDER BY place',
      args: [token],
    });
    return rows.flatMap((row) => {
      const read = sharedChange.safeParse(JSON.parse(String(row['change'])));
      return read.success ? [read.data] : [];
    });
  }

  /** The last changes that the app refused. */
  async refused(token: string): Promise<RefusedChange[]> {
    const { rows } = await this.store.execute({
      sql: `SELECT change, refused FROM changes WHERE token = ? AND refused IS NOT NULL
        ORDER BY place DESC LIMIT 10`,
      args: [token],
    });
    return rows.flatMap((row) => {
      const read = sharedChange.safeParse(JSON.parse(String(row['change'])));
      return read.success ? [{ change: read.data, why: String(row['refused']) }] : [];
    });
  }

  /** Keeps changes until the app has taken them in; one that is here already does nothing. */
  async add(token: string, changes: readonly SharedChange[], isEdited = false): Promise<void> {
    await this.store.batch(
      [
        ...changes.map((change) => ({
          sql: 'INSERT OR IGNORE INTO changes (token, id, change) VALUES (?, ?, ?)',
          args: [token, change.id, JSON.stringify(change)],
        })),
        ...(isEdited
          ? [{ sql: 'UPDATE shares SET edited = 1 WHERE token = ?', args: [token] }]
          : []),
      ],
      'write',
    );
  }

  /** Lets go of a change that the app took in, or keeps why it was refused. */
  async settle(token: string, id: string, refused: string | null): Promise<void> {
    await this.store.execute(
      refused === null
        ? { sql: 'DELETE FROM changes WHERE token = ? AND id = ?', args: [token, id] }
        : {
            sql: 'UPDATE changes SET refused = ? WHERE token = ? AND id = ?',
            args: [refused, token, id],
          },
    );
  }
}

import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';

/** Bytes of the digest that a UID takes: enough that no two rows ever share them. */
const BYTES = 16;

/**
 * The UID of a row (RFC 5545 §3.8.4.7): the same whenever it is read, so that it comes in once.
 * `copy` counts the rows before it in its file that say the same.
 */
export function rowUid(cells: readonly string[], copy: number): string {
  const digest = sha256(utf8ToBytes(JSON.stringify(cells))).subarray(0, BYTES);
  return `row-${bytesToHex(digest)}${copy > 0 ? `-${copy + 1}` : ''}@orderly-week`;
}

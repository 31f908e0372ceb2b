import { sha256 } from '@noble/hashes/sha2.js';
import { utf8ToBytes } from '@noble/hashes/utils.js';
import type { Share } from '../model/share';

/** Letters of a token: 192 bits. */
const LENGTH = 32;

/**
 * The token of a share's address, by its key: whoever reads at the address knows the token and can't
 * tell the key, so that nobody else can ever publish there, also after it was ended.
 */
export function tokenFor(key: string): string {
  const hash = sha256(utf8ToBytes(`orderly-week share\n${key}`));
  const text = btoa(String.fromCharCode(...hash));
  return text.replaceAll('+', '-').replaceAll('/', '_').slice(0, LENGTH);
}

/**
 * Whether a share is at its address: not while it waits for the person to go on with it, as after a
 * backup was restored, nor one of before tokens were made of keys.
 */
export const isOn = ({ isPaused, token, key }: Share): boolean =>
  !isPaused && token === tokenFor(key);

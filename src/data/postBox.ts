import { nanoid } from 'nanoid';
import { z } from '@/core/model/zod';
import { localStore } from './localStore';

const box = localStore(() => 'orderly-week-post-box', z.string().min(1).nullable(), null);

/** The name of this browser's box at the post of the stand-in office, which nobody else can guess. */
export function postBox(): string {
  const known = box.get();
  if (known) return known;
  const made = nanoid();
  box.put(made);
  return made;
}

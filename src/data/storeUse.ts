import { z } from '@/core/model/zod';
import type { StoreName } from '@/engine/engine.worker';
import { localStore } from './localStore';

/**
 * Whether a store was ever filled in this browser, told in another storage of the browser than the
 * store itself: when the one is lost and the other is not, the person is told.
 */
const used = (store: StoreName) =>
  localStore(() => `orderly-week-used-${store}`, z.literal('yes').nullable(), null);

export const wasUsed = (store: StoreName): boolean => used(store).get() !== null;

export const noteUse = (store: StoreName): void => used(store).put('yes');

/** The store is emptied on purpose. */
export const forgetUse = (store: StoreName): void => used(store).put(null);

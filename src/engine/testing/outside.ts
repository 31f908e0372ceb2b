import { FileError } from '@/core/files/ics/scan';
import type { Outside } from '../engine';
import { MemoryFiles } from './memoryFiles';

/** What is outside for tests and benchmarks: no network, and files in memory. */
export const outside = (): Outside => ({
  askFeed: () => Promise.reject(new FileError('There is no network here.')),
  sendMessage: () => Promise.reject(new Error('There is no network here.')),
  post: {
    send: () => Promise.reject(new Error('There is no network here.')),
    fetch: () => Promise.reject(new Error('There is no network here.')),
    take: () => Promise.resolve(),
  },
  files: new MemoryFiles(),
});

import { decodeText } from '@/core/files/ics/decode';
import type { FileContents } from '@/core/files/ics/readFile';
import { readCalendarFile } from '@/core/files/ics/readFile';
import type { EpochMs } from '@/core/time/units';
import { yieldToEventLoop } from '../yieldToEventLoop';

/**
 * What the bytes of a calendar file hold, giving others a turn meanwhile.
 * @throws FileError when nothing can be read.
 */
export async function readContents(bytes: Uint8Array, now: EpochMs): Promise<FileContents> {
  const reader = readCalendarFile(decodeText(bytes).text, now);
  for (;;) {
    const step = reader.next();
    if (step.done) return step.value;
    await yieldToEventLoop();
  }
}

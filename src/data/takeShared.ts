import type { Share } from '@/core/model/share';
import { z } from '@/core/model/zod';
import { sharedChange } from '@/core/people/sharedChange';
import type { RemoteEngine } from '@/engine/client';
import type { Manner } from '@/engine/commands/commands';
import { describeError, userErrorCode } from '@/core/userError';
import { headersOf } from './sharing';
import { noteTouched } from './touched';

const addressOf = ({ token }: Share) => `/shares/${token}/changes`;

/** What waits to be taken in. @throws where the server does not answer, or not well. */
async function waitingOf(share: Share) {
  const response = await fetch(`${addressOf(share)}?now=${Date.now()}`, {
    headers: headersOf(share),
  });
  if (!response.ok) throw new Error(`It answered ${response.status}.`);
  // One that does not fit keeps no other back.
  return z
    .array(z.unknown())
    .parse(await response.json())
    .flatMap((one) => {
      const read = sharedChange.safeParse(one);
      return read.success ? [read.data] : [];
    });
}

/** What came of taking in: what was done, and what could not be, in words. */
export interface Taken {
  did: string[];
  refused: string[];
}

/** Takes in what others did by one share; each is let go of at the server once it is settled here. */
export async function takeShared(
  engine: RemoteEngine,
  share: Share,
  manner: Manner,
): Promise<Taken> {
  const taken: Taken = { did: [], refused: [] };
  for (const change of await waitingOf(share)) {
    let refused = '';
    try {
      const done = await engine.commands.do(
        { kind: 'takeShared', shareId: share.id, change },
        manner,
      );
      if (done) {
        taken.did.push(done.label);
        noteTouched(done.met);
      }
    } catch (error) {
      const code = userErrorCode(error);
      // While nothing can be written here it stays there, and is tried again.
      if (code === 'readOnly') throw error;
      // Anything else is settled and told on both sides, so that one that can't be done keeps no other back.
      refused =
        code === null
          ? `${change.by} asked for something that can’t be done here.`
          : describeError(error);
      taken.refused.push(refused);
    }
    const why = refused && `?${new URLSearchParams({ refused }).toString()}`;
    await fetch(`${addressOf(share)}/${encodeURIComponent(change.id)}${why}`, {
      method: 'DELETE',
      headers: headersOf(share),
    });
  }
  return taken;
}

import { useQuery } from '@tanstack/react-query';
import type { Message } from '@/core/reminders/reminding';
import { message } from '@/core/reminders/reminding';
import { z } from '@/core/model/zod';
import { useEngine } from './engineContext';
import { useEngineQuery } from './engineQuery';
import { useMessages } from './messages';
import { postBox } from './postBox';
import type { Preferences } from './preferences';

/** A message that the outbox has, with when it took it (epoch ms). */
export type SentMessage = Message & { sent: number };

const answer = z.array(message.extend({ sent: z.number() }));
const own = () => ({ headers: { 'X-Orderly-Week': 'outbox', 'X-Orderly-Browser': postBox() } });
/** How often the outbox is looked into while its screen is open, in ms. */
const EVERY = 15_000;

/** What is in the outbox, what waits for it, and what can be done there. */
export function useOutbox({ wording, clock }: Preferences) {
  const { engine, store } = useEngine();
  const { complain } = useMessages();
  const { data: waiting = [] } = useEngineQuery(['unsent'], (e) => e.reminders.unsent());
  const { data, error, refetch } = useQuery({
    queryKey: ['outbox', store, waiting.length],
    queryFn: async (): Promise<SentMessage[]> => {
      const response = await fetch(`/outbox/${store}`, own());
      if (!response.ok) throw new Error(`It answered ${response.status}.`);
      return answer.parse(await response.json());
    },
    staleTime: 0,
    refetchInterval: EVERY,
    placeholderData: (last) => last,
  });
  async function guarded(work: () => Promise<unknown>, failed: string): Promise<void> {
    try {
      await work();
    } catch (problem) {
      complain(`${failed}: ${(problem as Error).message}`);
    }
    await refetch();
  }
  return {
    waiting,
    sent: data ?? [],
    /** Whether the server with the outbox does not answer. */
    isAway: error !== null,
    clear: () =>
      guarded(
        () => fetch(`/outbox/${store}`, { ...own(), method: 'DELETE' }),
        'The outbox could not be cleared',
      ),
    retry: () => guarded(() => engine!.reminders.send(), 'Nothing could be sent'),
    writeLetter: () =>
      guarded(async () => {
        await engine!.reminders.writeLetter(Date.now(), { ...wording, clock });
        await engine!.reminders.send();
      }, 'The letter could not be written'),
  };
}

import type { Message } from '@/core/reminders/reminding';

/** Takes a message for the outbox; whoever has it already takes it as the same. @throws where nobody answers. */
export type SendMessage = (message: Message) => Promise<void>;

/** The outbox of the app's own server, the stand-in for a mail and a text service: one for each store of a browser, which its secret names. */
export const outboxOf =
  (store: string, browser: string): SendMessage =>
  async (message) => {
    const response = await fetch(`/outbox/${store}/${encodeURIComponent(message.id)}`, {
      method: 'PUT',
      headers: {
        'Content-Type': 'application/json',
        'X-Orderly-Week': 'outbox',
        'X-Orderly-Browser': browser,
      },
      body: JSON.stringify(message),
    });
    if (!response.ok) throw new Error(`The outbox answered ${response.status}.`);
  };

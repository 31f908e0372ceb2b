import type { ReactNode } from 'react';
import { createContext, useCallback, useContext, useMemo, useState } from 'react';

/** What a message offers to do next: a step through the history, or something of its own. */
export type Offer = 'undo' | 'redo' | { label: string; run(): void };

/** A short answer to an action. */
export interface Message {
  text: string;
  /** What its buttons offer. */
  offers: readonly Offer[];
  /** The event (or, by its occurrence's id, the date) that it is about; null for none. */
  about: string | null;
  /** A problem stays until it is closed. */
  isProblem: boolean;
  /** Whether it tells how far something is. */
  isProgress: boolean;
  /** Tells messages of the same words apart. */
  id: number;
}

interface More {
  offers?: readonly Offer[];
  about?: string;
}

interface Messages {
  message: Message | null;
  say(text: string, more?: More): void;
  complain(text: string): void;
  /** Says how far something is; the next telling takes its place. */
  tell(text: string, offers: readonly Offer[]): void;
  close(): void;
  /** Takes away what answers the action before, since something new is asked; a problem stays. */
  giveWay(): void;
}

const MessageContext = createContext<Messages | null>(null);

export function MessageProvider({ children }: { children: ReactNode }) {
  const [message, setMessage] = useState<Message | null>(null);
  const show = useCallback((text: string, isProblem: boolean, { offers = [], about }: More) => {
    const shown = { text, offers, about: about ?? null, isProblem, isProgress: false };
    setMessage((last) => ({ ...shown, id: (last?.id ?? 0) + 1 }));
  }, []);
  const say = useCallback((text: string, more: More = {}) => show(text, false, more), [show]);
  const complain = useCallback((text: string) => show(text, true, {}), [show]);
  const tell = useCallback((text: string, offers: readonly Offer[]) => {
    const shown = { text, offers, about: null, isProblem: false, isProgress: true };
    // The same message goes on: it is not read out each time.
    setMessage((last) => ({ ...shown, id: last?.isProgress ? last.id : (last?.id ?? 0) + 1 }));
  }, []);
  const close = useCallback(() => setMessage(null), []);
  const giveWay = useCallback(() => setMessage((last) => (last?.isProblem ? last : null)), []);
  const value = useMemo(
    () => ({ message, say, complain, tell, close, giveWay }),
    [message, say, complain, tell, close, giveWay],
  );
  return <MessageContext.Provider value={value}>{children}</MessageContext.Provider>;
}

export function useMessages(): Messages {
  const messages = useContext(MessageContext);
  if (!messages) throw new Error('useMessages needs a MessageProvider around it.');
  return messages;
}

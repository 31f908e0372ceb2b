import type { ReactNode } from 'react';
import { createContext, useCallback, useContext, useMemo, useState } from 'react';

/** A short answer to an action. */
export interface Message {
  text: string;
  /** What its button offers. */
  offer: 'undo' | 'redo' | null;
  /** A problem stays until it is closed. */
  isProblem: boolean;
  /** Tells messages of the same words apart. */
  id: number;
}

interface Messages {
  message: Message | null;
  say(text: string, offer?: Message['offer']): void;
  complain(text: string): void;
  close(): void;
  /** Takes away what answers the action before, since something new is asked; a problem stays. */
  giveWay(): void;
}

const MessageContext = createContext<Messages | null>(null);

export function MessageProvider({ children }: { children: ReactNode }) {
  const [message, setMessage] = useState<Message | null>(null);
  const show = useCallback((text: string, offer: Message['offer'], isProblem: boolean) => {
    setMessage((last) => ({ text, offer, isProblem, id: (last?.id ?? 0) + 1 }));
  }, []);
  const say = useCallback(
    (text: string, offer: Message['offer'] = null) => show(text, offer, false),
    [show],
  );
  const complain = useCallback((text: string) => show(text, null, true), [show]);
  const close = useCallback(() => setMessage(null), []);
  const giveWay = useCallback(() => setMessage((last) => (last?.isProblem ? last : null)), []);
  const value = useMemo(
    () => ({ message, say, complain, close, giveWay }),
    [message, say, complain, close, giveWay],
  );
  return <MessageContext.Provider value={value}>{children}</MessageContext.Provider>;
}

export function useMessages(): Messages {
  const messages = useContext(MessageContext);
  if (!messages) throw new Error('useMessages needs a MessageProvider around it.');
  return messages;
}

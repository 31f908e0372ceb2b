import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { describeError, userErrorCode } from '@/core/userError';
import { useMessages } from './messages';

/** Tells the person of what failed where nobody waited for it: answers of the engine, and work that was only begun. */
export function useTroubles(): void {
  const { complain } = useMessages();
  const client = useQueryClient();
  useEffect(
    () =>
      client.getQueryCache().subscribe((event) => {
        if (
          event.type === 'updated' &&
          event.action.type === 'error' &&
          userErrorCode(event.action.error) !== 'superseded'
        )
          complain(`Something could not be looked up: ${describeError(event.action.error)}`);
      }),
    [client, complain],
  );
  useEffect(() => {
    function tell({ reason }: PromiseRejectionEvent) {
      complain(describeError(reason));
    }
    window.addEventListener('unhandledrejection', tell);
    return () => window.removeEventListener('unhandledrejection', tell);
  }, [complain]);
}

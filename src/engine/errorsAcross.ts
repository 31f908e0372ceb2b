import { transferHandlers } from 'comlink';
import { userErrorCode } from '@/core/userError';

/**
 * Lets the code of an error for people cross between worker and page: by itself only its name and its
 * words do. To be called on both sides.
 */
export function keepErrorCodes(): void {
  const usual = transferHandlers.get('throw')!;
  transferHandlers.set('throw', {
    ...usual,
    serialize(thrown: { value: unknown }) {
      const [written, transferred] = usual.serialize(thrown) as [
        { value: Record<string, unknown> },
        Transferable[],
      ];
      const code = userErrorCode(thrown.value);
      if (code !== null) written.value['code'] = code;
      return [written, transferred];
    },
  });
}

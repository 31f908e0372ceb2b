import type { Address } from '@/core/view/address';
import { writeAddress } from '@/core/view/address';
import { useMessages } from './messages';

/** Puts an address of the sheet (that which is shown, when none is given) where it can be pasted from. */
export function useCopyAddress(): (address?: Address) => Promise<void> {
  const { say, complain } = useMessages();
  return async (address) => {
    const { origin, href } = window.location;
    const text = address ? `${origin}/?${writeAddress(address)}` : href;
    try {
      await navigator.clipboard.writeText(text);
      say('Copied the address.');
    } catch {
      // Browsers refuse where the page is not from a safe origin, or as the person told them to.
      complain(`The browser does not let the address be copied. It is: ${text}`);
    }
  };
}

import { errorOf } from '@/core/userError';
/** A mail on its way, whole (RFC 5322). */
export interface Posted {
  id: string;
  mime: string;
}

/** The post of an office: takes mails, and has those that came. Each throws where nobody answers, and RefusedMailError for a mail that is never taken. */
export interface Post {
  /** `now` is the page's clock, epoch ms. Who sends a mail twice could not know that it was taken. */
  send(mail: Posted, now: number): Promise<void>;
  /** What came by now and was not taken yet. */
  fetch(now: number): Promise<Posted[]>;
  take(id: string): Promise<void>;
}

/** The post will not take a mail, also when it is asked again. */
export class RefusedMailError extends errorOf('mail') {}

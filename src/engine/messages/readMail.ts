import PostalMime from 'postal-mime';
import { textOfHtml } from '@/core/message/html';
import type { Message, Person } from '@/core/message/message';

/** Something that a mail carries along. */
export interface MailPart {
  name: string;
  mediaType: string;
  content: ArrayBuffer;
}

export interface Mail {
  message: Message;
  parts: MailPart[];
}

interface Address {
  name?: string;
  address?: string;
  group?: Address[];
}

const personOf = ({ name = '', address = '' }: Address): Person => ({ name, address });

/** Minutes by which a stamp's clock is ahead of UTC: "+0900" is 540; null where it says none. */
function offsetOf(stamp: string): number | null {
  const [, sign, hours, minutes] = /([+-])(\d{2}):?(\d{2})\s*(?:\([^)]*\))?\s*$/.exec(stamp) ?? [];
  if (!sign) return /(?:GMT|UTC?|Z)\s*$/i.test(stamp) ? 0 : null;
  return (sign === '-' ? -1 : 1) * (Number(hours) * 60 + Number(minutes));
}

/** Reads a mail (RFC 5322 with MIME). @throws Error, in words for the person, for what is none. */
export async function readMail(source: string | ArrayBuffer): Promise<Mail> {
  const mail = await PostalMime.parse(source, { attachmentEncoding: 'arraybuffer' });
  const stamp = mail.headers.find(({ key }) => key === 'date')?.value ?? '';
  const sent = Date.parse(stamp);
  const text = mail.text?.trim() ? mail.text : textOfHtml(mail.html ?? '');
  if (!mail.from && !mail.subject && !mail.date)
    throw new Error('This is no mail that can be read.');
  return {
    message: {
      subject: mail.subject ?? '',
      from: mail.from ? personOf(mail.from as Address) : null,
      to: [...(mail.to ?? []), ...(mail.cc ?? [])].map((one) => personOf(one as Address)),
      sent: Number.isNaN(sent) ? null : sent,
      offset: Number.isNaN(sent) ? null : offsetOf(stamp),
      text,
    },
    parts: mail.attachments.map(({ filename, mimeType, content }, i) => ({
      name: filename || (mimeType === 'text/calendar' ? 'invitation.ics' : `part ${i + 1}`),
      mediaType: mimeType,
      content: content as ArrayBuffer,
    })),
  };
}

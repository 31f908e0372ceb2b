import type { Mail, MailParty } from '../model/mail';
import { methodName } from './messages';

/** Letters in a line of base64 (RFC 2045 §6.8). */
const LINE = 76;
/** Bytes in one encoded word: 75 letters with what stands around (RFC 2047 §2). */
const WORD = 42;

function base64(bytes: Uint8Array): string {
  let text = '';
  for (const byte of bytes) text += String.fromCharCode(byte);
  return btoa(text);
}

const encode = (text: string) => base64(new TextEncoder().encode(text));

/** A text as a header can hold it: plain letters as they are, others as encoded words (RFC 2047). */
export function headerText(text: string): string {
  const line = text.replaceAll(/[\r\n\t]+/g, ' ').trim();
  if (/^[\x20-\x7e]*$/.test(line) && !line.includes('=?')) return line;
  const words: string[] = [];
  let word = '';
  for (const letter of line) {
    if (new TextEncoder().encode(word + letter).length > WORD) {
      words.push(word);
      word = '';
    }
    word += letter;
  }
  return [...words, word].map((one) => `=?UTF-8?B?${encode(one)}?=`).join('\r\n ');
}

/** An address as a header has it: the name in quotes, what would end it left out (RFC 5322 §3.4). */
function headerParty({ name, address }: MailParty): string {
  const bare = address.replaceAll(/[\s<>,;"\\]/g, '');
  const line = name.replaceAll(/[\x00-\x1f\x7f]+/g, ' ').trim();
  if (!line) return bare;
  return /^[\x20-\x7e]*$/.test(line)
    ? `"${line.replaceAll(/["\\]/g, '')}" <${bare}>`
    : `${headerText(line)} <${bare}>`;
}

const MONTHS = 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ');
const DAYS = 'Sun Mon Tue Wed Thu Fri Sat'.split(' ');
const two = (n: number) => String(n).padStart(2, '0');

/** An instant (epoch ms) as a mail's date (RFC 5322 §3.3), in UTC. */
export function mailDate(instant: number): string {
  const at = new Date(instant);
  const day = `${DAYS[at.getUTCDay()]}, ${at.getUTCDate()} ${MONTHS[at.getUTCMonth()]}`;
  const clock = [at.getUTCHours(), at.getUTCMinutes(), at.getUTCSeconds()].map(two).join(':');
  return `${day} ${at.getUTCFullYear()} ${clock} +0000`;
}

function part(type: string, text: string): string[] {
  const body = encode(text).match(new RegExp(`.{1,${LINE}}`, 'g')) ?? [];
  return [`Content-Type: ${type}`, 'Content-Transfer-Encoding: base64', '', ...body];
}

/**
 * A message between people as a mail (RFC 6047): what it says in plain words, and the same as a
 * calendar text. Lines end in CRLF.
 */
export function writeMail(
  mail: Pick<Mail, 'id' | 'from' | 'to' | 'subject' | 'at' | 'method' | 'calendar'>,
  words: string,
): string {
  const boundary = `part-${mail.id.replaceAll(/[^\w-]/g, '')}`;
  return [
    `From: ${headerParty(mail.from)}`,
    `To: ${mail.to.map(headerParty).join(',\r\n ')}`,
    `Subject: ${headerText(mail.subject)}`,
    `Date: ${mailDate(mail.at)}`,
    `Message-ID: <${mail.id.replaceAll(/[^\w-]/g, '')}@orderly-week>`,
    'MIME-Version: 1.0',
    `Content-Type: multipart/alternative; boundary="${boundary}"`,
    '',
    `--${boundary}`,
    ...part('text/plain; charset=UTF-8', words),
    `--${boundary}`,
    ...part(`text/calendar; charset=UTF-8; method=${methodName(mail.method)}`, mail.calendar),
    `--${boundary}--`,
    '',
  ].join('\r\n');
}

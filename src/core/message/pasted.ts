import { personOf } from './details';
import type { Message, Person } from './message';
import { textMessage } from './message';

const HEAD_LINE = /^\s*\*?(from|sent|date|to|cc|subject)\*?\s*:\*?\s*(.+)$/i;

/** Lines that only the source of a mail has. */
const SOURCE = /^(?:mime-version|message-id|received|content-type|return-path)\s*:/im;

/** Whether a pasted text is the source of a mail. */
export const isMailSource = (text: string): boolean =>
  SOURCE.test(text.slice(0, 4000).split(/\r?\n\r?\n/)[0] ?? '') &&
  /^from\s*:/im.test(text.slice(0, 4000));

/** The people of a list in a head: "Nora Hale <nora@…>; Ben Ost". */
const peopleIn = (list: string): Person[] =>
  list
    .split(/[;,](?=(?:[^"]*"[^"]*")*[^"]*$)/)
    .filter((one) => one.trim())
    .map((one) =>
      one.includes('<') || one.includes('@') ? personOf(one) : { name: one.trim(), address: '' },
    );

/**
 * A pasted text as a message: its subject and its writer are those of the head that was pasted along.
 * When it was written is left to the head, which stays in the text.
 */
export function messageOfText(text: string): Message {
  const lines = text.replaceAll('\r\n', '\n').trimStart().split('\n');
  const head: Record<string, string> = {};
  for (const line of lines.slice(0, 8)) {
    const [, name, value] = HEAD_LINE.exec(line) ?? [];
    if (!name) break;
    head[name.toLowerCase()] = value!.trim();
  }
  const isHead = Object.keys(head).length >= 2;
  if (!isHead) return textMessage(text);
  return {
    ...textMessage(text),
    subject: head['subject'] ?? '',
    from: head['from'] ? personOf(head['from']) : null,
    to: peopleIn(`${head['to'] ?? ''};${head['cc'] ?? ''}`),
  };
}

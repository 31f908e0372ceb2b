import type { Form, ViewSpan } from '../model/view';
import { form as formSchema, span as spanSchema } from '../model/view';
import { formatDate, parseDate } from '../time/civil';
import type { DayNumber } from '../time/units';

/** What an address of the sheet says; what it is silent about stays as it is. */
export interface Address {
  /** Day number */
  day?: DayNumber;
  span?: ViewSpan;
  form?: Form;
  lensId?: string;
  /** An occurrence, by its id, that is open. */
  event?: string;
}

/** A span as one word: `week`, `days-3`, `period-` and its id. */
function wordOf(span: ViewSpan): string {
  if ('count' in span) return `${span.kind}-${span.count}`;
  return span.kind === 'period' ? `period-${span.id}` : span.kind;
}

function spanOfWord(word: string): ViewSpan | undefined {
  const [, kind, rest] = /^([a-z]+)(?:-(.+))?$/s.exec(word) ?? [];
  const more = kind === 'period' ? { id: rest } : rest === undefined ? {} : { count: Number(rest) };
  return spanSchema.safeParse({ kind, ...more }).data;
}

function dayOfText(text: string): number | undefined {
  try {
    return parseDate(text);
  } catch {
    return undefined; // Somebody's typing; the day that is shown will do.
  }
}

/** The query of an address, without its question mark. */
export function writeAddress({ day, span, form, lensId, event }: Address): string {
  const parts: [string, string | undefined][] = [
    ['on', day === undefined ? undefined : formatDate(day)],
    ['span', span && wordOf(span)],
    ['form', form],
    ['lens', lensId],
    ['event', event],
  ];
  const said = parts.filter((part): part is [string, string] => part[1] !== undefined);
  return new URLSearchParams(said).toString();
}

/** What a query says of the sheet. What can't be understood of it is left out. */
export function readAddress(query: string): Address {
  const said = new URLSearchParams(query);
  const [on, span, form] = ['on', 'span', 'form'].map((name) => said.get(name));
  const address: Address = {
    day: on ? dayOfText(on) : undefined,
    span: span ? spanOfWord(span) : undefined,
    form: formSchema.safeParse(form).data,
    lensId: said.get('lens') || undefined,
    event: said.get('event') || undefined,
  };
  const known = Object.entries(address).filter(([, value]) => value !== undefined);
  return Object.fromEntries(known);
}

import { dayNumber, civilDate } from '../../time/civil';

/** Which comes first in a date that is all figures. */
export type DateOrder = 'day' | 'month';

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
/** A weekday may stand before it. */
const FIGURES = /^(?:[a-z]{2,9}\.?,?\s+)?(\d{1,4})[./-](\d{1,2})[./-](\d{1,4})/i;

function existing(year: number, month: number, day: number): number | null {
  const full = year < 100 ? 2000 + year : year;
  if (month < 1 || month > 12 || day < 1 || day > 31) return null;
  const number = dayNumber(full, month, day);
  const read = civilDate(number);
  return read.month === month && read.day === day ? number : null;
}

/** The day number of a date as people and programs write it; null when it is none that exists. */
export function readDate(text: string, order: DateOrder): number | null {
  const figures = FIGURES.exec(text);
  if (figures) {
    const [a, b, c] = figures.slice(1).map(Number) as [number, number, number];
    if (figures[1]!.length === 4) return existing(a, b, c);
    return order === 'day' ? existing(c, b, a) : existing(c, a, b);
  }
  const words =
    /^(?:[a-z]+,?\s+)?(\d{1,2})(?:st|nd|rd|th)?\.?[\s-]+([a-z]{3})[a-z]*\.?,?[\s-]+(\d{2,4})/i.exec(
      text,
    );
  if (words) return existing(Number(words[3]), monthOf(words[2]!), Number(words[1]));
  const american =
    /^(?:[a-z]+,?\s+)?([a-z]{3})[a-z]*\.?\s+(\d{1,2})(?:st|nd|rd|th)?,?\s+(\d{2,4})/i.exec(text);
  if (american) return existing(Number(american[3]), monthOf(american[1]!), Number(american[2]));
  return null;
}

const monthOf = (word: string) => MONTHS.indexOf(word.toLowerCase()) + 1;

/** Whether the order matters at all: there are dates in figures that are other days the other way round. */
export function isOrderAsked(texts: readonly string[]): boolean {
  return texts.some((text) => {
    const [day, month] = [readDate(text, 'day'), readDate(text, 'month')];
    return day !== null && month !== null && day !== month;
  });
}

/** What the dates of a column say of their order: one that only fits so decides; null when none does. */
export function dateOrderOf(texts: readonly string[]): DateOrder | null {
  const votes = { day: 0, month: 0 };
  for (const text of texts) {
    const figures = FIGURES.exec(text);
    if (!figures || figures[1]!.length === 4) continue;
    const [a, b] = [Number(figures[1]), Number(figures[2])];
    if (a > 12 && b <= 12) votes.day++;
    if (b > 12 && a <= 12) votes.month++;
  }
  if (votes.day === votes.month) return null;
  return votes.day > votes.month ? 'day' : 'month';
}

/** What an event is called; one without a title has a name all the same. */
export const titleOf = (event: { title: string }): string => event.title.trim() || 'Untitled';

/** Letters of scripts that are written from right to left. */
const RIGHT_TO_LEFT = /[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufefc]/;

/** A text that keeps its own order among others: what stands beside it is not drawn into it (Unicode, UAX #9). */
export const isolated = (text: string): string =>
  RIGHT_TO_LEFT.test(text) ? `\u2068${text}\u2069` : text;

/** The same within a sentence: “Bench round”. */
export const quotedTitle = (event: { title: string }): string => `“${isolated(titleOf(event))}”`;

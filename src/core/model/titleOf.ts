/** What an event is called; one without a title has a name all the same. */
export const titleOf = (event: { title: string }): string => event.title.trim() || 'Untitled';

/** The same within a sentence: “Bench round”. */
export const quotedTitle = (event: { title: string }): string => `“${titleOf(event)}”`;

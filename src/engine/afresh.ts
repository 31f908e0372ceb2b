/** The channel that is told the name of a store that was emptied: every page that shows it begins anew. */
export const AFRESH = 'orderly-week-afresh';

/** The channel that is told the name of a store that was emptied: every page that shows it begins anew. */
export const STORE_RESET = 'orderly-week-afresh';

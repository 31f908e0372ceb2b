import { createContext } from 'react';

/** The day number that counts as today, told by the app, for pickers to mark; none is marked without it. */
export const Today = createContext<number | undefined>(undefined);

import { createContext } from 'react';

/** Whether weeks are numbered in months that a date is picked from. */
export const WeekNumbers = createContext(true);

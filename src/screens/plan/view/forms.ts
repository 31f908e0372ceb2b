import type { Detail, Form } from '@/core/model/view';

/** What forms are called, and how each draws its days. */
export const FORM_WORDS: Record<Form, { name: string; icon: string; says: string }> = {
  rows: { name: 'Rows', icon: 'view-sequential-outline', says: 'a row a day, time across' },
  columns: { name: 'Columns', icon: 'view-column-outline', says: 'a column a day, time down' },
  grid: { name: 'Grid', icon: 'view-grid-outline', says: 'weeks under each other' },
  year: { name: 'Year', icon: 'dots-grid', says: 'twelve months by booked hours' },
  agenda: { name: 'Agenda', icon: 'view-list-outline', says: 'days with events, on and on' },
  table: { name: 'Table', icon: 'table', says: 'a line an event, with totals' },
};

/** Which spans a form is for, said where the one shown does not suit it. */
export const FORM_NEEDS: Record<Form, string> = {
  rows: 'for up to two months',
  columns: 'for up to seven days',
  grid: 'for a week to two months',
  year: 'for a year',
  agenda: 'for any span',
  table: 'for any span',
};

export const DETAIL_WORDS: Record<Detail, string> = {
  marks: 'Marks',
  bars: 'Bars',
  titles: 'Titles',
};

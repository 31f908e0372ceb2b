import type { Detail, Form } from '@/core/model/view';

/** What a form is called and needs, and what it draws. Which component draws it stands in SheetForm. */
interface FormDef {
  name: string;
  icon: string;
  /** How it draws its days. */
  says: string;
  /** Which spans it is for, said where the one shown does not suit it. */
  needs: string;
  /**
   * What it draws: the occurrences of its days as far as they fit (`drawn`) or all of them (`all`),
   * how booked its days are (`loads`), or pages of days without end (`pages`).
   */
  data: 'drawn' | 'all' | 'loads' | 'pages';
  /** Whether the title says how much is booked; where each event counts for itself, the form does. */
  isBookedSaid: boolean;
}

export const FORM_DEFS: Readonly<Record<Form, FormDef>> = {
  rows: {
    name: 'Rows',
    icon: 'view-sequential-outline',
    says: 'a row a day, time across',
    needs: 'for up to two months',
    data: 'drawn',
    isBookedSaid: true,
  },
  columns: {
    name: 'Columns',
    icon: 'view-column-outline',
    says: 'a column a day, time down',
    needs: 'for up to seven days',
    data: 'drawn',
    isBookedSaid: true,
  },
  grid: {
    name: 'Grid',
    icon: 'view-grid-outline',
    says: 'weeks under each other',
    needs: 'for a week to two months',
    data: 'drawn',
    isBookedSaid: true,
  },
  year: {
    name: 'Year',
    icon: 'dots-grid',
    says: 'twelve months by booked hours',
    needs: 'for a year',
    data: 'loads',
    isBookedSaid: true,
  },
  agenda: {
    name: 'Agenda',
    icon: 'view-list-outline',
    says: 'days with events, on and on',
    needs: 'for any span',
    data: 'pages',
    isBookedSaid: false,
  },
  table: {
    name: 'Table',
    icon: 'table',
    says: 'a line an event, with totals',
    needs: 'for any span',
    data: 'all',
    isBookedSaid: false,
  },
};

export const DETAIL_WORDS: Record<Detail, string> = {
  marks: 'Marks',
  bars: 'Bars',
  titles: 'Titles where they fit',
};

import type { ComponentType } from 'react';
import type { Form } from '@/core/model/view';
import { Rows } from './rows/Rows';
import type { FormProps } from './sheet/formProps';
import { later } from '@/ui/later';

const COMPONENTS: Readonly<Record<Form, ComponentType<FormProps>>> = {
  // What a new window begins with comes with the page.
  rows: Rows,
  columns: later(() => import('./columns/Columns').then(({ Columns }) => Columns)),
  grid: later(() => import('./grid/Grid').then(({ Grid }) => Grid)),
  year: later(() => import('./year/Year').then(({ Year }) => Year)),
  agenda: later(() => import('./agenda/Agenda').then(({ Agenda }) => Agenda)),
  table: later(() => import('./table/Table').then(({ Table }) => Table)),
};

/** The sheet in the form that was chosen. */
export function SheetForm(props: FormProps) {
  const Drawn = COMPONENTS[props.content.form];
  return <Drawn {...props} />;
}

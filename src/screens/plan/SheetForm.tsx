import type { ComponentType } from 'react';
import type { Form } from '@/core/model/view';
import { Agenda } from './agenda/Agenda';
import { Columns } from './columns/Columns';
import { Grid } from './grid/Grid';
import { Rows } from './rows/Rows';
import type { FormProps } from './sheet/formProps';
import { Table } from './table/Table';
import { Year } from './year/Year';

const COMPONENTS: Readonly<Record<Form, ComponentType<FormProps>>> = {
  rows: Rows,
  columns: Columns,
  grid: Grid,
  year: Year,
  agenda: Agenda,
  table: Table,
};

/** The sheet in the form that was chosen. */
export function SheetForm(props: FormProps) {
  const Drawn = COMPONENTS[props.content.form];
  return <Drawn {...props} />;
}

import type { ReactNode } from 'react';

export interface SortableProps {
  /** What the list is called. */
  name: string;
  /** Ids of its rows in their order, and what each is called. */
  ids: readonly string[];
  nameOf(id: string): string;
  /** What stands in a row, beside the handle that it is moved by. */
  row(id: string): ReactNode;
  /** A row was put at the place of another. */
  onMove(id: string, toId: string): void;
}

import { proxy } from 'comlink';
import { useCallback, useEffect, useState } from 'react';
import { useEngine } from '@/data/engineContext';
import { useMessages } from '@/data/messages';
import { hasRoomFor } from '@/data/persistence';
import type { TableChoice } from './ColumnsStep';
import type { TableReading } from '@/core/files/csv/rows';
import type {
  ImportPreview,
  ImportProgress,
  ImportTarget,
  TableLook,
} from '@/engine/files/importer';

export type ImportState =
  | { step: 'choose'; problem: string | null }
  | { step: 'reading'; fileName: string; progress: ImportProgress | null }
  | { step: 'columns'; look: TableLook; chosen: TableChoice | null }
  | {
      step: 'preview' | 'keeping';
      preview: ImportPreview;
      table: OpenTable | null;
      /** The file, where it is an invitation or an answer. */
      invitation?: File;
    }
  | { step: 'done'; text: string };

const isTable = ({ name, type }: File) => /\.(csv|tsv)$/i.test(name) || type === 'text/csv';

/** A table whose rows are looked at, and how it was read. */
export interface OpenTable {
  look: TableLook;
  choice: TableChoice;
}

/** A file on its way in: chosen, read in the worker, looked at, kept. */
export function useImport() {
  const { engine } = useEngine();
  const { say } = useMessages();
  const [state, setState] = useState<ImportState>({ step: 'choose', problem: null });

  const stop = useCallback(() => {
    void engine?.files.stopImport();
    setState({ step: 'choose', problem: null });
  }, [engine]);

  // Leaving the screen stops what is being read.
  useEffect(() => () => void engine?.files.stopImport(), [engine]);

  const read = useCallback(
    async (files: File[]) => {
      if (!engine) return;
      const fileName = files.length === 1 ? files[0]!.name : `${files.length} files`;
      setState({ step: 'reading', fileName, progress: null });
      const table = files.find(isTable);
      const onProgress = (progress: ImportProgress) =>
        setState((last) => (last.step === 'reading' ? { ...last, progress } : last));
      const bytes = files.reduce((sum, { size }) => sum + size, 0);
      try {
        if (!(await hasRoomFor(bytes, 'imported')))
          throw new Error(
            'The browser has no room for what is in it. Nothing was changed. Settings show what takes the room.',
          );
        if (table && files.length > 1)
          throw new Error('Tables (.csv) come in one at a time, and not with calendar files.');
        if (table) {
          const look = await engine.files.openTable(table);
          setState((last) =>
            last.step === 'reading' ? { step: 'columns', look, chosen: null } : last,
          );
          return;
        }
        const preview = await engine.files.previewImport(files, Date.now(), proxy(onProgress));
        setState((last) =>
          last.step === 'reading'
            ? {
                ...{ step: 'preview', preview, table: null },
                ...(preview.isInvitation && { invitation: files[0] }),
              }
            : last,
        );
      } catch (error) {
        const problem = `${fileName}: ${(error as Error).message}`;
        setState((last) => (last.step === 'reading' ? { step: 'choose', problem } : last));
      }
    },
    [engine],
  );

  const readTable = useCallback(
    async (table: OpenTable, reading: Omit<TableReading, keyof TableChoice>) => {
      if (!engine) return;
      try {
        const preview = await engine.files.previewTable({ ...table.choice, ...reading });
        setState({ step: 'preview', preview, table });
      } catch (error) {
        setState({ step: 'choose', problem: (error as Error).message });
      }
    },
    [engine],
  );

  const keep = useCallback(
    async (
      { preview, table }: { preview: ImportPreview; table: OpenTable | null },
      target: ImportTarget,
    ) => {
      if (!engine) return;
      setState({ step: 'keeping', preview, table });
      try {
        const { added, updated, label } = await engine.files.applyImport(target, Date.now());
        say(label, { offers: added + updated > 0 ? ['undo'] : [] });
        setState({ step: 'done', text: `${label}: ${added} new, ${updated} updated.` });
      } catch (error) {
        setState({ step: 'choose', problem: (error as Error).message });
      }
    },
    [engine, say],
  );

  /** From the look at the rows back to what the columns mean. */
  const backToColumns = useCallback(
    ({ look, choice }: OpenTable) => setState({ step: 'columns', look, chosen: choice }),
    [],
  );

  return { state, isReady: engine !== null, read, readTable, backToColumns, keep, stop };
}

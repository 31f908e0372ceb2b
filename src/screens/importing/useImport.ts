import { proxy } from 'comlink';
import { useCallback, useEffect, useState } from 'react';
import { useEngine } from '@/data/engineContext';
import { useMessages } from '@/data/messages';
import type { ImportPreview, ImportProgress, ImportTarget } from '@/engine/importer';

export type ImportState =
  | { step: 'choose'; problem: string | null }
  | { step: 'reading'; fileName: string; progress: ImportProgress | null }
  | { step: 'preview'; preview: ImportPreview }
  | { step: 'keeping'; preview: ImportPreview }
  | { step: 'done'; text: string };

/** A file on its way in: chosen, read in the worker, looked at, kept. */
export function useImport() {
  const { engine } = useEngine();
  const { say } = useMessages();
  const [state, setState] = useState<ImportState>({ step: 'choose', problem: null });

  const stop = useCallback(() => {
    void engine?.stopImport();
    setState({ step: 'choose', problem: null });
  }, [engine]);

  // Leaving the screen stops what is being read.
  useEffect(() => () => void engine?.stopImport(), [engine]);

  const read = useCallback(
    async (file: File) => {
      if (!engine) return;
      setState({ step: 'reading', fileName: file.name, progress: null });
      const onProgress = (progress: ImportProgress) =>
        setState((last) => (last.step === 'reading' ? { ...last, progress } : last));
      try {
        const preview = await engine.previewImport(file, Date.now(), proxy(onProgress));
        setState((last) => (last.step === 'reading' ? { step: 'preview', preview } : last));
      } catch (error) {
        const problem = `${file.name}: ${(error as Error).message}`;
        setState((last) => (last.step === 'reading' ? { step: 'choose', problem } : last));
      }
    },
    [engine],
  );

  const keep = useCallback(
    async (preview: ImportPreview, target: ImportTarget) => {
      if (!engine) return;
      setState({ step: 'keeping', preview });
      try {
        const { added, updated, label } = await engine.applyImport(target, Date.now());
        say(label, added + updated > 0 ? 'undo' : null);
        setState({ step: 'done', text: `${label}: ${added} new, ${updated} updated.` });
      } catch (error) {
        setState({ step: 'choose', problem: (error as Error).message });
      }
    },
    [engine, say],
  );

  return { state, isReady: engine !== null, read, keep, stop };
}

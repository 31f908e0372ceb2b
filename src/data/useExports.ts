import { count } from '@/core/time/words';
import { sayFilesLeft } from '@/core/files/attached';
import type { ExportedFile, ExportRequest, TableRequest } from '@/engine/files/exporter';
import { describeError } from '@/core/userError';
import { download, downloadBlob } from './browser';
import { useEngine } from './engineContext';
import { useMessages } from './messages';

/** Exports: what was asked for becomes a file of the browser's, told with what it leaves behind. */
export function useExports() {
  const { engine } = useEngine();
  const { say, complain } = useMessages();

  async function guarded(run: () => Promise<void>): Promise<boolean> {
    try {
      if (!engine) throw new Error('your calendars are still being opened.');
      await run();
      return true;
    } catch (error) {
      complain(`That could not be exported. ${describeError(error)}`);
      return false;
    }
  }

  async function saveBeside({ beside }: ExportedFile) {
    for (const { id, name } of beside) {
      const content = await engine!.files.fileContent(id);
      if (content) downloadBlob(name, content);
    }
  }

  /** A calendar file; where it leaves files behind, the message offers it with them. */
  const calendarFile = (request: ExportRequest): Promise<boolean> =>
    guarded(async () => {
      const file = await engine!.files.exportCalendars(request);
      download(`${file.name}.ics`, file.text, 'text/calendar');
      await saveBeside(file);
      const { filesLeft, unmailed } = file;
      const asShown = unmailed
        ? `. Email reminders of ${count(unmailed, 'event')} go out as reminders on screen: no email address is set`
        : '';
      say(
        `Exported ${count(file.events, 'event')} to ${file.name}.ics${sayFilesLeft(filesLeft)}${asShown}`,
        filesLeft.length
          ? {
              offers: [
                {
                  label: 'With its files',
                  run: () => void calendarFile({ ...request, withFiles: true }),
                },
              ],
            }
          : {},
      );
    });

  const table = (request: TableRequest): Promise<boolean> =>
    guarded(async () => {
      const file = await engine!.files.exportTable(request);
      download(`${file.name}.csv`, file.text, 'text/csv');
      say(`Exported ${count(file.events, 'line')} to ${file.name}.csv`);
    });

  return { calendarFile, table };
}

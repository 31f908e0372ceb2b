import type { EventIndex } from '@/core/agenda/eventIndex';
import type { TableReading } from '@/core/files/csv/rows';
import { FileError } from '@/core/files/ics/scan';
import type { EpochMs } from '@/core/time/units';
import { EVERYTHING } from '@/core/query/eventQuery';
import type { Commands } from '../commands/commands';
import type { FoundBy } from '../queries/asked';
import type { Queries } from '../queries/queries';
import type { Repository } from '../repository';
import type { FileStore } from '../storage/fileStore';
import type { Attachment, AttachmentStore } from './attachmentStore';
import type { BackupMade, RestorePreview } from './backupService';
import { BackupService } from './backupService';
import type { ExportedFile, ExportRequest, TableRequest } from './exporter';
import { exportCalendarFile, exportTable } from './exporter';
import type {
  ImportPreview,
  ImportProgress,
  ImportResult,
  ImportTarget,
  TableLook,
} from './importer';
import { Importer } from './importer';

interface Parts {
  repository: Repository;
  index: EventIndex;
  foundBy: FoundBy;
  queries: Queries;
  commands: Commands;
  attachments: AttachmentStore;
  store: FileStore;
}

/** What comes in and goes out as files: calendar files, tables, backups, attachments. */
export class Files {
  private readonly importer: Importer;
  private readonly backups: BackupService;

  constructor(private readonly parts: Parts) {
    this.importer = new Importer(parts.repository, parts.store);
    this.backups = new BackupService(parts.repository, parts.store);
  }

  async previewImport(
    files: readonly (Blob & { name: string })[],
    now: EpochMs,
    onProgress: (p: ImportProgress) => void,
  ): Promise<ImportPreview> {
    return this.importer.preview(files, now, onProgress);
  }

  openTable(file: Blob & { name: string }): Promise<TableLook> {
    return this.importer.openTable(file);
  }

  previewTable(reading: TableReading): ImportPreview {
    return this.importer.previewTable(reading);
  }

  /** Brings in what the last preview read, as one change. `now` is epoch ms. */
  async applyImport(target: ImportTarget, now: EpochMs): Promise<ImportResult> {
    const { label, edits, added, updated } = await this.importer.plan(target, now);
    if (edits.length) await this.parts.commands.keep({ label, at: now, edits });
    this.importer.forget();
    return { added, updated, label };
  }

  /** Stops a preview that is under way, and forgets what it read. */
  stopImport(): void {
    this.importer.stop();
  }

  backup(now: EpochMs): Promise<BackupMade> {
    return this.backups.backup(now);
  }

  previewRestore(file: Blob): Promise<RestorePreview> {
    return this.backups.previewRestore(file);
  }

  /** Makes everything as the last previewed backup has it, as one change; its label. */
  async restore(now: EpochMs): Promise<string> {
    const { label, edits } = await this.backups.plan();
    if (edits.length) await this.parts.commands.keep({ label, at: now, edits });
    this.backups.forget();
    return label;
  }

  keepFile(file: Blob & { name: string }, now: EpochMs): Promise<Attachment> {
    return this.parts.attachments.keep(file, now);
  }

  fileContent(id: string): Promise<Blob | null> {
    return this.parts.attachments.content(id);
  }

  private sources() {
    const { repository: records, index, foundBy, queries, store: files } = this.parts;
    return { records, index, foundBy, calendars: queries.calendars(), files };
  }

  /** A table file with one line a date of a period. */
  exportTable(request: TableRequest): ExportedFile {
    return exportTable(this.sources(), request);
  }

  /**
   * An iCalendar file of some events, with their files, that was read back and found to hold each of
   * them as it is. @throws FileError when it does not; then nothing may be taken away for it.
   */
  async archive(ids: readonly string[], now: EpochMs): Promise<ExportedFile> {
    const query = { ...EVERYTHING, eventIds: ids };
    const file = await this.exportCalendars({ query, withFiles: true });
    const blob = Object.assign(new Blob([file.text]), { name: `${file.name}.ics` });
    const { fates, problems } = await this.importer.preview([blob], now, () => undefined);
    this.importer.forget();
    if (problems || fates.unchanged !== ids.length)
      throw new FileError(
        `Of ${ids.length} events, ${fates.unchanged} came back from the file as they are. Nothing was taken away.`,
      );
    return { ...file, name: `archive-${file.name}` };
  }

  exportCalendars(request: ExportRequest): Promise<ExportedFile> {
    return exportCalendarFile(this.sources(), request);
  }
}

import type { EventIndex } from '@/core/agenda/eventIndex';
import type { TableReading } from '@/core/files/csv/rows';
import type { EpochMs } from '@/core/time/units';
import type { Commands } from '../commands/commands';
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
    const { label, edits, added, updated } = await this.importer.plan(target);
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
    const { repository: records, index, queries, store: files } = this.parts;
    return { records, index, calendars: queries.calendars(), files };
  }

  /** A table file with one line a date of a period. */
  exportTable(request: TableRequest): ExportedFile {
    return exportTable(this.sources(), request);
  }

  exportCalendars(request: ExportRequest): Promise<ExportedFile> {
    return exportCalendarFile(this.sources(), request);
  }
}

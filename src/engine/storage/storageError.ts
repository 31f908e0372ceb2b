import { UserError } from '@/core/userError';

/** Why a database can't be used, in words for the person. */
export class StorageError extends UserError {
  override name = 'StorageError';

  /** `isNewer`: a newer version of the app has it; this one must not write any more. */
  constructor(
    message: string,
    readonly isNewer = false,
  ) {
    super('storage', message);
  }
}

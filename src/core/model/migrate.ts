import type { Data, MigrationSteps } from './versions';
import { MIGRATIONS, SCHEMA_VERSION } from './versions';
import { z } from './zod';
import { errorOf } from '../userError';

/** Why a stored record can't be used, in words for the person. */
export class RecordError extends errorOf('record') {}

const isPlainObject = (value: unknown) =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What everything stored by itself is wrapped in. */
const envelope = z.object({
  version: z.number().int().min(1),
  // Its fields are looked at one by one by the kind's own schema.
  data: z.custom<Data>(isPlainObject),
});

/**
 * Takes what was stored in a version to the current one (`target`), step by step.
 * @throws RecordError when it was written by a newer version, or by one that can't be read any more.
 */
export function migrate(
  kind: string,
  data: Data,
  from: number,
  steps: MigrationSteps = MIGRATIONS,
  target = SCHEMA_VERSION,
): Data {
  if (from > target) throw new RecordError('it was written by a newer version of the app');
  let lifted = data;
  for (let version = from; version < target; version++) {
    const step = steps[version];
    if (!step) throw new RecordError(`version ${version} can't be read any more`);
    lifted = step(kind, lifted);
  }
  return lifted;
}

/**
 * Reads a stored text and takes what it holds to the current version.
 * @throws RecordError when the text is damaged, not of this app, or of a newer version.
 */
export function unwrap(
  kind: string,
  text: string,
  steps: MigrationSteps = MIGRATIONS,
  target = SCHEMA_VERSION,
): Data {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    throw new RecordError('the text is damaged');
  }
  const wrapped = envelope.safeParse(parsed);
  if (!wrapped.success) throw new RecordError('it is not a record of this app');
  return migrate(kind, wrapped.data.data, wrapped.data.version, steps, target);
}

/** The text that something is stored as. */
export const wrap = (data: Data): string => JSON.stringify({ version: SCHEMA_VERSION, data });

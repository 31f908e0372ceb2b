/** Kinds of refusals and failures, for code that acts on them. */
const USER_ERROR_CODES = [
  'refused',
  'gone',
  'unreadable',
  'file',
  'rule',
  'record',
  'storage',
  'readOnly',
  'history',
  'mail',
  'stopped',
  'superseded',
  'interrupted',
] as const;
export type UserErrorCode = (typeof USER_ERROR_CODES)[number];

/** An error whose message is words for the person: what failed, why, and what to do. */
export class UserError extends Error {
  override name = 'UserError';

  constructor(
    readonly code: UserErrorCode,
    message: string,
  ) {
    super(message);
  }
}

/** Makes the base class of errors of one code. */
export const errorOf = (code: UserErrorCode) =>
  class extends UserError {
    constructor(message: string) {
      super(code, message);
    }
  };

/** The code of an error that was made for people, also of one that came from a worker; null for any other. */
export function userErrorCode(error: unknown): UserErrorCode | null {
  const code: unknown = error instanceof Error ? (error as { code?: unknown }).code : undefined;
  return USER_ERROR_CODES.find((known) => known === code) ?? null;
}

/** What is said where something failed that nobody foresaw. */
const UNFORESEEN =
  'Something in the app failed. What you kept is safe; try it again, or reload the page.';

/** What is said of failures that a browser names, by their names. */
const OF_BROWSER: Readonly<Record<string, string>> = {
  NotAllowedError: 'The browser does not let this page do that. Allow it, and try again.',
  NotFoundError: 'The file or folder is not there any more. Choose it again.',
  NotReadableError: 'The file could not be read. Close what else has it open, and try again.',
  QuotaExceededError: 'There is no room left on this device. Free some, and try again.',
};

/** Words for the person: those of an error that was made for people; a platform's words are never shown. */
export function describeError(error: unknown): string {
  if (userErrorCode(error) !== null) return (error as Error).message;
  return OF_BROWSER[error instanceof Error ? error.name : ''] ?? UNFORESEEN;
}

/**
 * What a number counts. A plain number fits each of them, so that sums need no ceremony; but what
 * counts one thing does not compile where another is asked for.
 */
declare const unit: unique symbol;
type Counting<Unit extends string> = number & { readonly [unit]?: Unit };

/** Whole days since 1970-01-01: a plain date, without a zone. */
export type DayNumber = Counting<'days'>;

/** Milliseconds since 1970-01-01T00:00 on a wall clock, as if that clock never changed. */
export type WallMs = Counting<'wall milliseconds'>;

/** Milliseconds since 1970-01-01T00:00Z: an instant. */
export type EpochMs = Counting<'milliseconds'>;

/** Minutes after midnight on the clock. */
export type MinuteOfDay = Counting<'minutes of a day'>;

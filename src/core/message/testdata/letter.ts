/**
 * Messages of the demo's world with what they ask for, by a reader in Saltmarsh (Europe/London) on
 * Tuesday 24 November 2026. Expected: `E` an event or `T` a task, its start, `/` its end where that
 * is said, `@` its zone where one is named, and `?` where something of it must not be shown as sure.
 */
export interface Letter {
  name: string;
  subject: string;
  from: string;
  /** When it was sent, with its writer's offset; empty for a pasted text without a head. */
  date: string;
  text: string;
  expected: string[];
  isHard?: true;
}

export const IDA = 'Ida Solberg <ida@lanternquay.example>';
export const TOMAS = 'Tomas Reyl <tomas@lanternquay.example>';
export const OSKAR = 'Oskar Brandt <oskar@lanternquay.example>';
export const MEI = 'Mei Lund <mei@lanternquay.example>';
export const JUNIA = 'Junia Pace <junia@lanternquay.example>';
export const AMBLE = 'Greta Amble <g.amble@pilotstation.example>';
export const COSTA = 'Rui Costa <rui@alvor-freight.example>';
export const HAYASHI = 'Ken Hayashi <hayashi@osaka-lens.example>';
export const MACRAE = 'Fiona MacRae <fiona@halifax-pilots.example>';
export const MONDAY = '2026-11-23T16:05:00+00:00';
export const TODAY = '2026-11-24T09:12:00+00:00';

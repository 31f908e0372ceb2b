import type { Check, Finding, World } from './check';
import { clashing } from './clashing';
import { doubles } from './doubles';
import { inks, scattered, spelledTwice, unused } from './labels';
import { files, idleReminders, information, unguarded } from './meaning';
import type { CheckName } from '../../model/checks';
import { overClosures, stale } from './series';
import { lengths, oddHours, outsideHours } from './times';
import { misplaced, timeInTitle, untitled } from './wording';

/** Every check by its name. */
export const CHECKS: Readonly<Record<CheckName, Check>> = {
  doubles,
  clashing,
  overClosures,
  untitled,
  timeInTitle,
  misplaced,
  oddHours,
  lengths,
  outsideHours,
  information,
  scattered,
  stale,
  idleReminders,
  unguarded,
  inks,
  spelledTwice,
  unused,
  files,
};

export type Found = Finding<CheckName>;

/** What one check finds, without what was left as it is. */
export function findingsOf(name: CheckName, world: World, left: ReadonlySet<string>): Found[] {
  return CHECKS[name]
    .find(world)
    .map((finding) => ({ ...finding, check: name }))
    .filter((finding) => !left.has(leftKey(finding)));
}

/** By what it is known that a finding was left as it is. */
export const leftKey = ({ check, key }: Pick<Found, 'check' | 'key'>) => `${check} ${key}`;

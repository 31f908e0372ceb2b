import { readdirSync, readFileSync } from 'node:fs';

/** What a process takes, with its share of what several use (PSS), in MB; 0 for one that is gone. */
function shareOf(id: string): number {
  try {
    const text = readFileSync(`/proc/${id}/smaps_rollup`, 'utf8');
    return Number(/^Pss:\s+(\d+)/m.exec(text)?.[1] ?? 0) / 1000;
  } catch {
    return 0; // It ended meanwhile.
  }
}

function isOf(id: string, program: string): boolean {
  try {
    return readFileSync(`/proc/${id}/cmdline`, 'utf8').includes(program);
  } catch {
    return false; // It ended meanwhile.
  }
}

/** What all processes of a program take together, in MB, where the machine tells it; else null. */
export function memoryOf(program: string): number | null {
  let ids: string[];
  try {
    ids = readdirSync('/proc').filter((name) => /^\d+$/.test(name));
  } catch {
    return null; // Not a machine that has /proc.
  }
  const all = ids.filter((id) => isOf(id, program)).reduce((sum, id) => sum + shareOf(id), 0);
  return all || null;
}

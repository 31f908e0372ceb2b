import { execFileSync } from 'node:child_process';
import { copyFileSync, mkdirSync } from 'node:fs';
import path from 'node:path';
import { addOn, missingOf } from './adding.mjs';
import { begin, kill, openApp } from './browser.mjs';

const run = (command, ...args) => execFileSync(command, args, { encoding: 'utf8' }).trim();

/** A disk of its own in a file. Only what a program has asked to be written is written to it: the system's own rounds come too late. */
function mount(image, point) {
  mkdirSync(point, { recursive: true });
  const device = run('losetup', '-f', '--show', image);
  run('mount', '-o', 'commit=600', device, point);
  return () => {
    run('umount', '-l', point);
    run('losetup', '-d', device);
  };
}

/** Whether this machine lets a program make disks. */
export function canCutPower() {
  try {
    run('losetup', '-f');
    return process.getuid() === 0;
  } catch {
    return false; // No such program, or no right to it.
  }
}

/** Takes the power from the disk while events are being added, and looks at what had reached it. */
export async function power(folder, cuts) {
  mkdirSync(folder, { recursive: true });
  let kept = 0;
  let lost = 0;
  let damaged = 0;
  for (let n = 0; n < cuts; n++) {
    const image = path.join(folder, `disk-${n}.img`);
    run('truncate', '-s', '500M', image);
    run('mkfs.ext4', '-q', image);
    const point = path.join(folder, `at-${n}`);
    const unmount = mount(image, point);
    const { child, page } = await begin(path.join(point, 'profile'));
    await openApp(page);
    const said = [];
    const over = addOn(page, said).catch(() => undefined);
    await new Promise((resolve) => setTimeout(resolve, 2500 + Math.random() * 4000));
    const acknowledged = [...said];
    const cut = path.join(folder, `cut-${n}.img`);
    copyFileSync(image, cut);
    await kill(child);
    await over;
    unmount();
    const after = path.join(folder, `after-${n}`);
    const unmountCut = mount(cut, after);
    const again = await begin(path.join(after, 'profile'));
    await openApp(again.page);
    const found = await missingOf(again.page, acknowledged);
    kept += acknowledged.length;
    lost += found.lost;
    damaged += found.damaged;
    await kill(again.child);
    unmountCut();
  }
  return {
    isGood: !lost && !damaged,
    said: `${kept} events were said to be added before, ${lost} of them are lost; ${damaged} records are damaged`,
  };
}

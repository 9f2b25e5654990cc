import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Stop } from './say.mjs';

/**
 * Keeps a data folder to one user at a time; a lock whose process is gone does not count.
 * @returns how to let go of it
 */
export function takeLock(folder) {
  const file = join(folder, 'running');
  const holder = existsSync(file) ? Number(readFileSync(file, 'utf8')) : 0;
  if (holder && isAlive(holder)) throw new Stop(`Inch Game already runs from this folder (process ${holder}). End it first.`);
  writeFileSync(file, String(process.pid));
  return () => rmSync(file, { force: true });
}

function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return pid !== process.pid;
  } catch {
    return false;
  }
}

import 'server-only';
import { appendFile, mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import type { Erasure } from '@/core/people/erasure';
import { env } from './env';

/**
 * Keeps, beside the backups, that somebody is erased: a backup from before has them, and whoever restores it erases them again (`npm run restore`).
 * Only ids are kept.
 */
export async function keepErasure(one: Omit<Erasure, 'at'>): Promise<void> {
  const { BACKUP_DIR, INCH_DATA } = env();
  const folder = BACKUP_DIR ?? join(INCH_DATA, 'backups');
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const line: Erasure = { ...one, at: new Date().toISOString() };
  await appendFile(join(folder, 'erasures.jsonl'), `${JSON.stringify(line)}\n`, { mode: 0o600, flush: true });
}

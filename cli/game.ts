import { readGameFile } from '@/core/game/file';
import type { GameSpec } from '@/core/game/spec';

/** A game as its file says; what is wrong with it is refused, each with its path. */
export function gameAt(path: string, read: (path: string) => string): GameSpec {
  const file = readGameFile(read(path));
  if ('problems' in file)
    throw new Error(`${path}: ${file.problems.map(({ path: at, message }) => [at, message].filter(Boolean).join(': ')).join('; ')}`);
  return file.game;
}

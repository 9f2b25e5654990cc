import { documentFile } from '../document-file';
import type { Problem } from '../problem';
import { gameSpecSchema, type GameSpec } from './spec';
import { storedGames } from './stored-games';

const file = documentFile<GameSpec>({ format: 'inch-game', noun: 'game', kind: storedGames, schema: gameSpecSchema });

/** What a game file is called. */
export const GAME_FILE_ENDING = file.ending;
/** The game as a file. */
export const writeGameFile = file.write;
/** A name for the file of a game. */
export const gameFileName = file.nameOf;

/** Reads a game file; what is wrong is said with its place, and nothing is thrown. */
export function readGameFile(text: string): { game: GameSpec } | { problems: Problem[] } {
  const read = file.read(text);
  return 'document' in read ? { game: read.document } : read;
}

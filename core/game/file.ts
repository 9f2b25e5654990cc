import { fileStem, sayPath, type Problem } from '../problem';
import { gameSpecSchema, type GameSpec } from './spec';
import { storedGames } from './stored-games';

/** What a game file is called. */
export const GAME_FILE_ENDING = '.inch-game.json';
const MOST_CHARACTERS = 500_000;

/** The game as a file: JSON with the keys in the order of the schema, so that the same game is the same file. */
export function writeGameFile(game: GameSpec): string {
  return `${JSON.stringify(gameSpecSchema.parse(game), null, 2)}\n`;
}

/** Reads a game file; what is wrong is said with its place, and nothing is thrown. */
export function readGameFile(text: string): { game: GameSpec } | { problems: Problem[] } {
  if (text.length > MOST_CHARACTERS) return refuse('', 'This file is too large for a game.');
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return refuse('', 'This isn’t a game file: it isn’t JSON.');
  }
  if (value === null || typeof value !== 'object' || Array.isArray(value))
    return refuse('', 'This isn’t a game file: a game is one object.');
  const { format, version } = value as Record<string, unknown>;
  if (format !== 'inch-game') return refuse('format', 'This isn’t a game file: its format isn’t “inch-game”.');
  if (!Number.isInteger(version) || !storedGames.understands(value))
    return refuse(
      'version',
      `This game file was made with a newer version of the program. This one reads files up to version ${storedGames.version}.`,
    );
  const parsed = gameSpecSchema.safeParse(storedGames.read(value));
  if (parsed.success) return { game: parsed.data };
  return { problems: parsed.error.issues.map((issue) => ({ path: sayPath(issue.path), message: issue.message })) };
}

const refuse = (path: string, message: string) => ({ problems: [{ path, message }] });

/** A name for the file of a game: letters and figures of its title. */
export function gameFileName(title: string): string {
  return `${fileStem(title) || 'game'}${GAME_FILE_ENDING}`;
}

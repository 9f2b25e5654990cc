import { gameSpecSchema, type GameSpec } from './spec';

/** What a game file is called. */
export const GAME_FILE_ENDING = '.inch-game.json';
const MOST_CHARACTERS = 500_000;

/** What is wrong in a file, and where: "stations 2, balls". */
export type Problem = { path: string; message: string };

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
    return refuse('', 'This is no game file: it is not JSON.');
  }
  if (value === null || typeof value !== 'object' || Array.isArray(value)) return refuse('', 'This is no game file: a game is one object.');
  const { format, version } = value as Record<string, unknown>;
  if (format !== 'inch-game') return refuse('format', 'This is no game file: its format is not “inch-game”.');
  if (version !== 1) return refuse('version', 'This game file is of a version that this program does not read; it reads version 1.');
  const parsed = gameSpecSchema.safeParse(value);
  if (parsed.success) return { game: parsed.data };
  return { problems: parsed.error.issues.map((issue) => ({ path: sayPath(issue.path), message: issue.message })) };
}

const refuse = (path: string, message: string) => ({ problems: [{ path, message }] });

/** "stations 2, balls": where in a file, counted from 1 as people do. */
export function sayPath(path: readonly PropertyKey[]): string {
  return path
    .map((part) => (typeof part === 'number' ? String(part + 1) : String(part)))
    .join(', ')
    .replace(/, (\d+)/g, ' $1');
}

/** A name for the file of a game: letters and figures of its title. */
export function gameFileName(title: string): string {
  const slug = title
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '');
  return `${slug || 'game'}${GAME_FILE_ENDING}`;
}

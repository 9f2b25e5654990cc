import { documentKind, type Holds } from '../document';
import { storedGames } from '../game/stored-games';
import type { Hour } from './hour';
import type { Run } from './run-schema';
import { HOUR_STEPS, RUN_STEPS } from './steps';

type WithGame = { game?: { spec?: unknown } | null };

/** Parts of a document with their games put through `of`. */
export function eachGame(parts: unknown, of: (spec: unknown) => unknown): unknown {
  if (!Array.isArray(parts)) return parts;
  return (parts as WithGame[]).map((part) => (part?.game?.spec ? { ...part, game: { ...part.game, spec: of(part.game.spec) } } : part));
}

const games: Holds = { kind: storedGames, each: (hour, of) => ({ ...hour, parts: eachGame(hour.parts, of) }) };

/** Hours that were stored. */
export const storedHours = documentKind<Hour>(HOUR_STEPS, games);
/** Runs that were stored. */
export const storedRuns = documentKind<Run>(RUN_STEPS);

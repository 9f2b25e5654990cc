import type { GameSpec } from '../game/spec';
import type { Part } from '../hour/hour';

/** A game that is there already: the academy's own under its id, or a ready one. */
export type Candidate = { gameId: string | null; spec: GameSpec };

/** What a part is filled with; a game without an id is new to the academy. */
export type Filled = Pick<Part, 'title' | 'cue' | 'sets' | 'setOf' | 'why' | 'luck'> & { game: Candidate | null };

/** What is filled, by the key of its part. */
export type FilledParts = Record<string, Filled>;

/**
 * A part with what it was filled with; its thought stays.
 * @param newId makes the id of a game that is new to the academy
 */
export function filledPart(part: Part, by: Filled | undefined, newId: () => string): Part {
  if (!by) return part;
  const { game, cue, ...rest } = by;
  return { ...part, ...rest, cue: part.cue || cue, game: game && { gameId: game.gameId ?? newId(), spec: game.spec } };
}

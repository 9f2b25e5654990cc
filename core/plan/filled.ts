import type { GameSpec } from '../game/spec';
import { withTest } from '../hour/change';
import type { Part } from '../hour/hour';

/** A game that is there already: the academy's own under its id, or a ready one. */
export type Candidate = { gameId: string | null; spec: GameSpec };

/** What a part is filled with; a game without an id is new to the academy. */
export type Filled = Pick<Part, 'title' | 'cue' | 'sets' | 'setOf' | 'why' | 'luck'> & { game: Candidate | null };

/** What is filled, by the key of its part. */
export type FilledParts = Record<string, Filled>;

/**
 * Parts with what they were filled with; thoughts stay, and the test is the game that comes last.
 * @param newId makes the id of a game that is new to the academy
 */
export function filledWith(parts: readonly Part[], filled: FilledParts, newId: () => string): Part[] {
  const all = parts.map((part): Part => {
    const by = filled[part.key];
    if (!by) return part;
    const { game, cue, ...rest } = by;
    return { ...part, ...rest, cue: part.cue || cue, game: game && { gameId: game.gameId ?? newId(), spec: game.spec } };
  });
  const last = all.findLast(({ kind }) => kind === 'game')?.game ?? null;
  // The same new game has one id.
  const same = (part: Part) => part.kind === 'test' && part.game && last && JSON.stringify(part.game.spec) === JSON.stringify(last.spec);
  return withTest(all.map((part) => (same(part) ? { ...part, game: last } : part)));
}

import * as z from 'zod';
import { openObject } from '../stored';
import { schemeOf } from './scoring';
import { fittedM, unitFor, unitM, type OwnLengths, type Sizes } from './sizes';
import type { GameSpec } from './spec';

/**
 * A player in one session, with all that the game takes from them. It is fixed when the session starts, so that a
 * later change of the player's level or measures changes no score.
 */
export const entrantSchema = openObject({
  playerId: z.uuid(),
  level: z.number(),
  /** Metres of one unit in which the zones are measured; null: as the game says. */
  unitM: z.number().gt(0).nullable(),
  /** By how much zones are larger than drawn. */
  scale: z.number().gt(0),
  /** A head start, in what the score counts. */
  allowance: z.number(),
});
export type Entrant = z.infer<typeof entrantSchema>;

/** Nobody is given a larger head start, in what the score counts (of a length: in feet or metres). */
export const MOST_ALLOWANCE = 1000;
/** A head start as somebody gives it. */
export const allowanceSchema = z
  .number({ error: 'Enter the head start as a number, or leave it empty.' })
  .min(-MOST_ALLOWANCE, `A head start is at most ${MOST_ALLOWANCE}.`)
  .max(MOST_ALLOWANCE, `A head start is at most ${MOST_ALLOWANCE}.`)
  .refine((value) => Number.isInteger(value * 2), 'Enter the head start in whole or half numbers.');

/** Somebody of whom the game takes nothing: zones as drawn, no allowance. */
export function plainEntrant(playerId: string, level = 18): Entrant {
  return { playerId, level, unitM: null, scale: 1, allowance: 0 };
}

/**
 * What a session fixes about a player when it starts.
 * @param player `scale`: by how much zones that grow with the level are larger for them (`scaleForLevel`)
 */
export function entrantFor(
  player: { playerId: string; level: number; scale: number } & OwnLengths,
  sizes: Sizes,
  coach: OwnLengths,
  allowance: number,
): Entrant {
  const own = unitFor(sizes, player, coach);
  return {
    playerId: player.playerId,
    level: player.level,
    unitM: own === unitM(sizes) ? null : own,
    scale: sizes.scaled ? player.scale : 1,
    allowance,
  };
}

/** Radii as they are for one player: in their own measure, and scaled to them. */
export function fitFor(sizes: Sizes, { unitM: own, scale }: Pick<Entrant, 'unitM' | 'scale'>): (radiusM: number) => number {
  return (radiusM) => fittedM(radiusM, sizes, { unitM: own ?? unitM(sizes), scale });
}

/** The game as it is for one player: zones in their own measure, and the par of their level. */
export function gameFor(game: GameSpec, entrant: Entrant): GameSpec {
  const { scoring } = game;
  const extra = schemeOf(scoring).extraPar(scoring, entrant.level);
  if (entrant.unitM === null && entrant.scale === 1 && extra === 0) return game;
  const fit = fitFor(game.sizes, entrant);
  return {
    ...game,
    sizes: entrant.unitM === null ? game.sizes : { ...game.sizes, of: 'fixed', fixedM: entrant.unitM },
    scoring: schemeOf(scoring).fitted(scoring, fit),
    leadIn: game.leadIn.map((phase) => ({ ...phase, scoring: schemeOf(phase.scoring).fitted(phase.scoring, fit) })),
    stations: extra === 0 ? game.stations : game.stations.map((station) => ({ ...station, par: (station.par ?? 2) + extra })),
  };
}

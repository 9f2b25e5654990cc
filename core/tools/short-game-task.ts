import type { Tally } from '../skill/evidence';
import type { SkillModel } from '../skill/model';
import { unpackDraws } from '../skill/posterior';
import { shortGames, type ShortGames } from './short-game';

/** What a player's short game comes to, asked for as plain data, so that it can be worked out beside what else is done. */
export type ShortGameTask = {
  kind: 'short_game';
  /** Of which version the model has to be. */
  version: number;
  level: number;
  /** The balls from which is believed, and what is, packed. */
  tallies: readonly Tally[];
  draws: Float32Array;
  mix: readonly (readonly [key: string, uses: number])[];
};

/**
 * Works it out.
 * @throws RangeError where it was asked of another model
 */
export function doShortGame(model: SkillModel, { version, level, draws, mix }: ShortGameTask): ShortGames {
  const read = version === model.version ? unpackDraws(draws, model.prior(level)) : null;
  if (!read) throw new RangeError(`what model ${version} knows reached model ${model.version}`);
  return shortGames(model, { level, draws: read }, new Map(mix));
}

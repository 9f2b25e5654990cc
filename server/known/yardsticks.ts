import type { OwnReference } from '@/core/formats/reference-table';
import type { SkillModel } from '@/core/skill/model';
import type { ListedPlayer } from '../data';

/** How often each cell comes up in a player's rounds: their own mix where somebody gave one, else their level's. */
export function mixOf(model: SkillModel, player: Pick<ListedPlayer, 'level' | 'roundMix'>): Map<string, number> {
  const mix = model.mix(player.level);
  for (const [key, uses] of Object.entries(player.roundMix ?? {})) if (mix.has(key)) mix.set(key, uses);
  return mix;
}

/** Strokes expected by a coach's own table; of cells that it leaves out, the level's. */
export function ownPar(model: SkillModel, expected: OwnReference, level: number): number[] {
  return model.cells.map(({ key }, i) => expected[key] ?? model.expects(i, level));
}

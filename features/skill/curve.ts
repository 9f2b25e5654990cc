import { METRES_PER } from '@/core/units/length';
import type { Belief, Finding } from '@/core/skill/diagnose';
import type { SkillModel } from '@/core/skill/model';
import { leftInterval } from '@/core/shot/evidence';
import type { Shot } from '@/core/shot/shot';

/** What shots of one kind leave, by the distance they are played from, in metres. */
export type Curve = {
  title: string;
  /** By cell: the middle, and between what it lies eight times in ten; beside it the level's. */
  points: { distanceM: number; middle: number; low: number; high: number; level: number }[];
  balls: { distanceM: number; leftM: number }[];
  level: number;
};

/** The model's curve of what is left, over all cells of the kind, with the balls of the one that is open. */
export function curveOf(model: SkillModel, belief: Belief, finding: Finding, shots: readonly Shot[]): Curve {
  const prior = model.prior(belief.level);
  const points = model.cells.flatMap((cell, i) => {
    if (cell.shotType !== finding.shotType || cell.surface !== finding.surface) return [];
    const level = prior.at(i, cell.distanceM).mu;
    const deltas = Float64Array.from(belief.draws, ({ delta }) => delta[i]!).sort();
    const at = (share: number) => Math.exp(level + deltas[Math.floor(share * (deltas.length - 1))]!);
    return [{ distanceM: cell.distanceM, middle: at(0.5), low: at(0.1), high: at(0.9), level: Math.exp(level) }];
  });
  const balls = shots.flatMap((shot) => {
    const left = leftInterval(shot);
    return left && left.from === left.to ? [{ distanceM: shot.distanceM, leftM: left.from }] : [];
  });
  return { title: 'What is left, by distance', points, balls, level: belief.level };
}

export const inUnit = (metres: number, unit: 'ft' | 'yd' | 'm') => metres / METRES_PER[unit];

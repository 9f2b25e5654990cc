import { ballsOf } from '../game/phases';
import { schemeOf } from '../game/scoring';
import type { GameSpec } from '../game/spec';
import { cellKey } from '../skill/cells';
import type { Judged } from './together';

/** Half of what a ball is worth is what its shot costs in a round, half what is not known of that. */
const FOR_COST = 0.5;

/** What a ball of each shot is worth, from 0 to 1: by what the shot costs in a round, and by how open that is. What is rare costs little and leaves little open. */
export function worthOfCells({ findings, lost }: Judged): number[] {
  const cost = findings.map(({ perRound, ranked }) => (ranked ? Math.max(0, perRound.mean) : 0));
  const open = findings.map(({ uses, ranked }, i) => (ranked ? uses * deviation(lost[i]!) : 0));
  const [mostCost, mostOpen] = [Math.max(1e-9, ...cost), Math.max(1e-9, ...open)];
  return cost.map((value, i) => FOR_COST * (value / mostCost) + (1 - FOR_COST) * (open[i]! / mostOpen));
}

function deviation(values: Float64Array): number {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length);
}

/** What the balls of a game are worth on average, with the shots they are, the most frequent first, as indices of findings. */
export function worthOfGame(game: GameSpec, findings: Judged['findings'], worth: readonly number[]): { worth: number; cells: number[] } {
  const index = new Map(findings.map(({ key }, i) => [key, i]));
  const balls = new Map<number, number>();
  let sum = 0;
  for (const { shotType, surface, distanceM, balls: here } of game.stations) {
    const cell = index.get(cellKey(shotType, surface, distanceM));
    const hit = schemeOf(game.scoring).countsBalls ? here : 1;
    sum += hit;
    if (cell !== undefined) balls.set(cell, (balls.get(cell) ?? 0) + hit);
  }
  const cells = [...balls.keys()].toSorted((a, b) => balls.get(b)! - balls.get(a)!);
  const all = cells.reduce((total, cell) => total + balls.get(cell)! * worth[cell]!, 0);
  return { worth: sum === 0 || ballsOf(game) === 0 ? 0 : all / sum, cells };
}
